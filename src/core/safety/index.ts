export { allergenGroup, type AllergenEntry, type Allergens, type ProbableAllergen } from './allergens';
export { CAUTION_CODES, inOrder, type Caution, type CautionCode, type CautionTier } from './cautions';
export { LOW_ACID_DAYS, LIMIT_NAMES, type Keeping, type LimitName } from './keeping';
export { isHomeMade } from './lineWords';
export {
  recordSafety,
  type CautionRecord,
  type Named,
  type SafetyOfTheDay,
  type SafetyRecord,
} from './record';
export { safetyOf } from './safety';
export { THRESHOLDS } from './thresholds';
