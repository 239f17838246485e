export {
  CATEGORIES,
  COMPONENTS,
  EMULSIFIER_KINDS,
  OIL_STATES,
  HAZARDS,
  PUNGENCY_KINDS,
  STRUCTURE_CUTS,
  STRUCTURE_FAMILIES,
  type SurfaceKind,
  TAGS,
  TRAITS,
  type Catalogue,
  type Category,
  type Composition,
  type EmulsifierKind,
  type EmulsionValues,
  type Hazard,
  type Ingredient,
  type IngredientId,
  type PungencyKind,
  type StructureFamily,
  type StructureValues,
  type Tag,
} from './ingredient';
export { bodyFromWord, THICKNESS_CLASSES, wordOfBody, type ThicknessClass } from './body';
export { ACIDITY_LIMITS, takesLabelAcidity, withBottle } from './bottle';
export {
  ingredientFromLabel,
  usNamesOf,
  type LabelProblem,
  type LabelReading,
  type LabelValues,
} from './fromLabel';
export { componentOf, isPoured, type KitchenComponent } from './category';
export {
  FIGURES,
  OWN_PH_SPREAD,
  provenanceOf,
  spreadOfFigure,
  weakestOf,
  type Figure,
  type Spread,
} from './provenance';
export {
  exactIngredient,
  findIngredient,
  isNamedAfter,
  isNounOf,
  normaliseName,
  searchIngredients,
} from './findIngredient';
export { catalogueOf, REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS } from './reference';
export { ingredientFromRow, ownIngredientFromRow, spreadOf, type IngredientRow } from './row';
export { soakedAs, soakedMass } from './soaked';
export { measuringWith, spoonVolumeMl, toMass, type Measuring } from './toMass';
export { acidLiquidOf, isMadeWith, madeId, madeName, renamedTo, pouredOilOf, readMadeId } from './made';
export {
  OWN_UNITS,
  ownMeasureFrom,
  weighed,
  type OwnMeasure,
  type OwnMeasures,
  type OwnUnit,
} from './ownMeasure';
