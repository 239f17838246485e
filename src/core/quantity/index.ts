export { sumOverTerms, type Amount, type AmountTerm } from './amount';
export { type Doubt, type Problem } from './finding';
export { formatCount, nearestSpoons, sensibleDecimals, sensibly, type NearestSpoons } from './formatAmount';
export { nudgeAmount, withCount } from './nudge';
export { parseAmount, type ParsedAmount, type ParseResult } from './parseAmount';
export { between, exactly, isExact, plus, range, scaled, times, type Range } from './range';
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
  type CountedUnit,
  type SmallMeasures,
  type Unit,
} from './units';
export { SIZE_FACTORS, type Size } from './vocabulary';
