export { BITE_WORDS, ON_WORDS, ROW_WORDS, sayTasting } from './sayTrial';
export {
  BITES,
  complaintsOf,
  DRAWN_G,
  saysNothing,
  TASTE_ROWS,
  TASTED_ON,
  type Bite,
  type Said,
  type TastedOn,
  type TasteRow,
  type TasteRows,
  type TasteValue,
  type Tasting,
} from './tasting';
export {
  addedLines,
  standingOf,
  trialPortions,
  type Standing,
  type TrialEvent,
  type TrialLine,
} from './trial';
