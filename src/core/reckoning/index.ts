export { judge, judgePortions, portionsOf, type JudgedPortion, type Judgement } from './judgement';
export { judgeFormula, reckonFormula, unreadOf, type ReckonedAddition, type Reckoning } from './reckoning';
export { madeWith, withMade, type MadeVersion } from './madeIngredient';
