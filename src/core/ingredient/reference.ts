/** The reference ingredients that ship with Ygrana, one data file a category. */
import aromatic from './data/aromatic.json';
import citrus from './data/citrus.json';
import creamy from './data/creamy.json';
import dish from './data/dish.json';
import emulsifier from './data/emulsifier.json';
import fruit from './data/fruit.json';
import herb from './data/herb.json';
import oil from './data/oil.json';
import salt from './data/salt.json';
import savoury from './data/savoury.json';
import spice from './data/spice.json';
import sweet from './data/sweet.json';
import thickener from './data/thickener.json';
import veg from './data/veg.json';
import vinegar from './data/vinegar.json';
import water from './data/water.json';
import type { Catalogue, Ingredient } from './ingredient';
import { fromDishRow, ingredientFromRow, type IngredientRow } from './row';

const rows: readonly IngredientRow[] = [
  ...[oil, vinegar, citrus, salt, sweet].flat(),
  ...[emulsifier, creamy, thickener, savoury].flat(),
  ...[aromatic, herb, spice, fruit, veg, water].flat(),
  ...dish.map(fromDishRow),
];

export const REFERENCE_INGREDIENTS: readonly Ingredient[] = rows.map(ingredientFromRow);

export const REFERENCE_CATALOGUE: Catalogue = catalogueOf(REFERENCE_INGREDIENTS);

/** Later entries replace earlier ones of the same id: a kitchen's own row wins over the reference. */
export function catalogueOf(ingredients: readonly Ingredient[]): Catalogue {
  return new Map(ingredients.map((ingredient) => [ingredient.id, ingredient]));
}
