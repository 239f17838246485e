export { upperTail } from './binomial';
export { answerOf, cardsFor, oddCode, type Card } from './panel';
export {
  criticalNumber,
  judgeTest,
  power,
  tastersNeeded,
  TEST_KINDS,
  type TestKind,
  type TestResult,
} from './tests';
