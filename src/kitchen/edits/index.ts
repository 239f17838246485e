export { freshAmountText, lockedIn, takeAsMade, takeDoses, takeRounding, takeSwap } from './balanceEdits';
export {
  addTyped,
  dropAddition,
  fillFactor,
  moveAll,
  patchAddition,
  patchAll,
  placeAddition,
  removeAddition,
  removeAll,
  scaleAll,
  setRatio,
  stepAddition,
} from './edits';
