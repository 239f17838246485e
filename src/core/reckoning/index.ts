export { judge, type Judged, type Judgement } from './judgement';
export { judgeFormula, reckonFormula, type ReckonedAddition, type Reckoning } from './reckoning';
