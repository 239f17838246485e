export { G_ACETIC_PER_MEQ } from './acids';
export { chargeResidualEqPerKg, solvePh } from './chargeBalance';
export {
  calculatedPh,
  calculatedPhInterval,
  METER_SPREAD,
  meteredPh,
  phOf,
  waterPhaseOf,
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
  type BoundPart,
  type PhBound,
} from './phBound';
export { acidStrength, equivalentRatio, REFERENCE_STRENGTH, schoolRatios } from './schoolRatios';
export { acidityOf, tastedMeqPer100G, type Acidity } from './titratableAcidity';
export { waterActivityOf, type WaterActivity } from './waterActivity';
