export { composition, type Bounds, type CompositionTotals, type Portion, type TotalKey } from './composition';
export { contributions, hiddenSaltG, type ContributedKey, type Contribution } from './contributions';
export { MEASURE_KEYS, type MeasureKey } from './measures';
export { mixedVolumeMlPerG } from './mixedVolume';
export {
  amountTextFor,
  followsRatio,
  RATIO_LIMITS,
  ratioEdit,
  type RatioEdit,
  type RatioSide,
} from './ratioEdit';
