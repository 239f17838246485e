export {
  allergenGroup,
  allergensOf,
  type AllergenEntry,
  type Allergens,
  type ProbableAllergen,
} from './allergens';
export { CAUTION_CODES, CAUTION_TABLE, type Caution, type CautionCode, type CautionTier } from './cautions';
export { LIMIT_DAYS, LOW_ACID_DAYS, LIMIT_NAMES, SHELF_DAYS, type Keeping, type LimitName } from './keeping';
export { isHomeMade } from './lineWords';
export {
  recordSafety,
  type CautionRecord,
  type Named,
  type SafetyOfTheDay,
  type SafetyRecord,
} from './record';
export type { SafetyPart } from './parts';
export { safetyOf, type Safety, type SafetyAbout } from './safety';
export type { SafetyState } from './state';
export { THRESHOLDS, type Threshold, type ThresholdKey } from './thresholds';
