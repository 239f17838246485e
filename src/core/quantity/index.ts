export { type Amount, type AmountTerm } from './amount';
export { type Doubt, type Problem } from './finding';
export { formatCount, nearestSpoons, sensibleDecimals, sensibly } from './formatAmount';
export { nudgeAmount, withCount } from './nudge';
export { parseAmount, type ParsedAmount } from './parseAmount';
export { exactly, isExact, plus, range, scaled, times, type Range } from './range';
export { type DecimalSign } from './readNumber';
export { SPOON_SYSTEMS, SPOON_VOLUMES, type SpoonSystem } from './spoons';
export {
  DEFAULT_PART_VOLUME_ML,
  DEFAULT_SMALL_MEASURES,
  GRAMS_PER,
  isMassUnit,
  isSmallMassUnit,
  isSmallVolumeUnit,
  isVolumeUnit,
  unitVolumeMl,
  type SmallMeasures,
  type Unit,
} from './units';
export { SIZE_FACTORS } from './vocabulary';
