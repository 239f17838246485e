export { ACID_KEYS, ACIDS, G_ACETIC_PER_MEQ, G_CITRIC_PER_MEQ, type AcidKey } from './acids';
export {
  chargeResidualEqPerKg,
  solvePh,
  strongIonDifferenceAt,
  type PhSolution,
  type WaterPhase,
} from './chargeBalance';
export {
  calculatedPh,
  calculatedPhInterval,
  PH_THRESHOLDS,
  METER_SPREAD,
  meteredPh,
  phOf,
  waterPhaseOf,
  type PhInterval,
  type PhPortion,
  bracketedPh,
  type PhReading,
  type PhReason,
} from './ph';
export {
  countedOwnPh,
  isMildPiece,
  isWet,
  organicAcidAsAceticG,
  phBoundOf,
  UNKNOWN_BOUND,
  WET_MASS_FRACTION,
  type BoundPart,
  type PhBound,
} from './phBound';
export {
  acidStrength,
  equivalentRatio,
  REFERENCE_STRENGTH,
  schoolRatios,
  SCHOOLS,
  type SchoolRatio,
} from './schoolRatios';
export { organicAcidMeqPer100G, strongIonDifferenceMeqPer100G } from './strongIons';
export { acidityOf, tastedMeqPer100G, titratableMeqPer100G, type Acidity } from './titratableAcidity';
export { waterActivityOf, type WaterActivity } from './waterActivity';
