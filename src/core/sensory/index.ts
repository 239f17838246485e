export { criticalCount, upperTail } from './binomial';
export { answerOf, cardsFor, oddCode, type Card, type Sample, type Serving } from './panel';
export {
  criticalNumber,
  judgeTest,
  power,
  RISK,
  tastersNeeded,
  TEST_KINDS,
  type TestKind,
  type TestResult,
} from './tests';
