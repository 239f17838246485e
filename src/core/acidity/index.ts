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
  meteredPh,
  phOf,
  waterPhaseOf,
  type PhInterval,
  type PhPortion,
  type PhReading,
  type PhReason,
} from './ph';
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
