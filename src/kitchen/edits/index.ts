export { freshAmountText, lockedIn, takeAsMade, takeDoses, takeRounding, takeSwap } from './balanceEdits';
export { withBaseAt } from './baseEdits';
export {
  addTyped,
  dropAddition,
  fillFactor,
  moveAll,
  patchAddition,
  patchAll,
  placeAddition,
  placesOf,
  removeAddition,
  removeAll,
  scaleAll,
  setRatio,
  stepAddition,
  type Place,
} from './edits';
export {
  closeStage,
  moveToStage,
  openStage,
  renameStage,
  stageNameProblem,
  stageNamesFrom,
} from './stageEdits';
export { weighedFormula } from './weighedFormula';
