export { allergenGroup, allergensOf, type AllergenEntry, type Allergens } from './allergens';
export { CAUTION_CODES, cautionsOf, type Caution, type CautionCode, type CautionWeight } from './cautions';
export { HAZARD_DAYS, keepingOf, SHELF_STABLE_DAYS, type Keeping, type KeepingReason } from './keeping';
export { sayCaution, sayHazard, sayKeeping, sayKeepingReason, sayPh, sayPhReason } from './saySafety';
export { THRESHOLDS, type Threshold, type ThresholdKey } from './thresholds';
