/** The seven components a cook thinks in, each with a colour and a shape on the screen. */
import type { Ingredient } from './ingredient';

export const KITCHEN_COMPONENTS = ['oil', 'acid', 'salt', 'sweet', 'aroma', 'body', 'water'] as const;
export type KitchenComponent = (typeof KITCHEN_COMPONENTS)[number];

const BY_CATEGORY: Record<Ingredient['category'], KitchenComponent> = {
  oil: 'oil',
  vinegar: 'acid',
  citrus: 'acid',
  fruit: 'sweet',
  salt: 'salt',
  savoury: 'salt',
  sweet: 'sweet',
  emulsifier: 'body',
  creamy: 'body',
  thickener: 'body',
  aromatic: 'aroma',
  spice: 'aroma',
  herb: 'aroma',
  veg: 'aroma',
  water: 'water',
};

/** Savoury things without much salt (pesto, ground nuts, cheese-free pastes) count as what they mostly do. */
const SALTY_FROM = 0.035;

/** What an ingredient mainly is to a dressing. Rule: estimate. */
export function componentOf(ingredient: Ingredient): KitchenComponent {
  if (ingredient.category === 'savoury' && ingredient.composition.salt < SALTY_FROM) {
    return ingredient.bodyIndex >= 20 ? 'body' : 'aroma';
  }
  return BY_CATEGORY[ingredient.category];
}

const POURED_CATEGORIES: ReadonlySet<string> = new Set(['oil', 'vinegar', 'citrus', 'water']);

/** Whether a cook would pour it, so that "ounces" may mean volume. */
export function isPoured(ingredient: Ingredient): boolean {
  if (POURED_CATEGORIES.has(ingredient.category)) return true;
  const { composition, spoonDensityGPerMl } = ingredient;
  return spoonDensityGPerMl > 0.9 && composition.water > 0.15 && ingredient.bodyIndex <= 25;
}
