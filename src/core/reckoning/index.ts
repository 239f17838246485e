export { reckonFormula, type ReckonedAddition, type Reckoning } from './reckoning';
