export { deviationNote, openDeviation, type OpenDeviation } from './openDeviation';
export {
  asDoses,
  asFilled,
  asRescaled,
  landingOf,
  weighStep,
  type Landing,
  type Targets,
} from './repairWays';
export {
  formOf,
  ingredientIdOf,
  isSaidByHand,
  isSaidByWeight,
  secondsOf,
  stepName,
  stepSaid,
  stepWordsOf,
} from './stepWords';
