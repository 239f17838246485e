export { composition, type Bounds, type CompositionTotals, type Portion, type TotalKey } from './composition';
export { costOf, costPerGram, type Cost, type PackPrice } from './cost';
export { shortages } from './onHand';
export { MEASURE_KEYS, type MeasureKey } from './measures';
export { mixedVolumeMlPerG } from './mixedVolume';
export { followsRatio, RATIO_LIMITS, ratioEdit, type RatioSide } from './ratioEdit';
export { amountTextFor, scaledAmountText } from './rewriteAmount';
