export { judge, judgePortions, type Judged, type JudgedPortion, type Judgement } from './judgement';
export { judgeFormula, reckonFormula, type ReckonedAddition, type Reckoning } from './reckoning';
export { madeIngredient, madeWith, withMade, type MadeVersion } from './madeIngredient';
