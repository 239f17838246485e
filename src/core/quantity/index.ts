export { type Amount, type AmountTerm } from './amount';
export { type Doubt, type Problem } from './finding';
export { formatCount, nearestSpoons, sensibleDecimals, sensibly } from './formatAmount';
export { nudgeAmount, withCount } from './nudge';
export { parseAmount, type ParsedAmount } from './parseAmount';
export { exactly, isExact, less, plus, range, scaled, times, type Range } from './range';
export { type DecimalSign } from './readNumber';
export { SPOON_SYSTEMS, SPOON_VOLUMES, type SpoonSystem } from './spoons';
export {
  DEFAULT_PART_VOLUME_ML,
  DEFAULT_SMALL_MEASURES,
  DRY_BIT_ML,
  GRAMS_PER,
  isLooseUnit,
  isMassUnit,
  isSmallMassUnit,
  isSmallVolumeUnit,
  isVolumeUnit,
  LOOSE_ML,
  unitVolumeMl,
  type SmallMeasures,
  type Unit,
} from './units';
export { EGG_SIZE_FACTORS, NUMBER_WORDS, SIZE_FACTORS, type Size } from './vocabulary';
