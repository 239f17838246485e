export {
  CATEGORIES,
  COMPONENTS,
  EMULSIFIER_KINDS,
  OIL_STATES,
  GROUP_TAGS,
  HAZARDS,
  PUNGENCY_KINDS,
  TAGS,
  TRAITS,
  type ByHand,
  type Catalogue,
  type Category,
  type Composition,
  type EmulsifierKind,
  type EmulsionValues,
  type OilState,
  type Hazard,
  type Ingredient,
  type MadeOf,
  type MadePart,
  type IngredientId,
  type PungencyKind,
  type Tag,
  type Trait,
} from './ingredient';
export { ACIDITY_LIMITS, takesLabelAcidity, withBottle, type BottleValues } from './bottle';
export {
  ingredientFromLabel,
  usNamesOf,
  type LabelProblem,
  type LabelReading,
  type LabelValues,
} from './fromLabel';
export { componentOf, isPoured, KITCHEN_COMPONENTS, type KitchenComponent } from './category';
export { findIngredient, normaliseName, searchIngredients, type Found } from './findIngredient';
export { catalogueOf, REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS } from './reference';
export { ingredientFromRow, ownIngredientFromRow, spreadOf, type IngredientRow } from './row';
export { measuringWith, spoonVolumeMl, toMass, type MassReading, type Measuring } from './toMass';
export { acidLiquidOf, isMadeWith, madeId, pouredOilOf, readMadeId } from './made';
export {
  isOwnUnit,
  OWN_UNITS,
  ownMeasureFrom,
  weighed,
  type OwnMeasure,
  type OwnMeasures,
  type OwnUnit,
  type Weighed,
} from './ownMeasure';
