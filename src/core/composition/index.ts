export { composition, type Bounds, type CompositionTotals, type Portion, type TotalKey } from './composition';
export { contributions, hiddenSaltG, type ContributedKey, type Contribution } from './contributions';
export { costOf, type Cost, type CostLine, type PackPrice } from './cost';
export { shortages, type Shortage } from './onHand';
export { MEASURE_KEYS, type MeasureKey } from './measures';
export { mixedVolumeMlPerG } from './mixedVolume';
export {
  followsRatio,
  RATIO_LIMITS,
  ratioEdit,
  type LockablePortion,
  type RatioEdit,
  type RatioSide,
} from './ratioEdit';
export { amountTextFor, scaledAmountText, type Wording } from './rewriteAmount';
