export {
  judge,
  judgePortions,
  portionsOf,
  type Judged,
  type JudgedPortion,
  type Judgement,
} from './judgement';
export {
  judgeFormula,
  reckonFormula,
  typedLine,
  unreadOf,
  type ReckonedAddition,
  type Reckoning,
} from './reckoning';
export { madeIngredient, madeWith, withMade, type MadeVersion } from './madeIngredient';
