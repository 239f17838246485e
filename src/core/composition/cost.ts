/** What a jar costs, from the prices the kitchen gave. Money is in the kitchen's own currency. */
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Portion } from './composition';

/** A pack as it is bought. */
export interface PackPrice {
  readonly price: number;
  /** What the pack weighs as bought, g. */
  readonly packMassG: number;
}

export interface CostLine {
  readonly index: number;
  readonly cost: number;
}

export interface Cost {
  readonly total: number;
  readonly lines: readonly CostLine[];
  /** Portions that cost something and have no price; water has none and needs none. */
  readonly unpriced: readonly number[];
}

/** Money a gram; null where something in it has no price. Water has none and needs none. */
export function costPerGram(
  ingredient: Ingredient,
  priceOf: (id: IngredientId) => PackPrice | null,
): number | null {
  if (ingredient.category === 'water') return 0;
  const pack = priceOf(ingredient.id);
  if (pack && pack.packMassG > 0) return pack.price / (pack.packMassG * ingredient.edibleYieldFraction);
  if (!ingredient.made) return null;
  let total = 0;
  for (const part of ingredient.made.parts) {
    const cost = costPerGram(part.ingredient, priceOf);
    if (cost === null) return null;
    total += part.massFraction * cost;
  }
  return total;
}

/** Grams are edible; a pack is paid as bought, so its price is divided by the edible yield. */
export function costOf(portions: readonly Portion[], priceOf: (id: IngredientId) => PackPrice | null): Cost {
  const lines: CostLine[] = [];
  const unpriced: number[] = [];
  portions.forEach(({ ingredient, massG }, index) => {
    if (massG.nominal <= 0) return;
    if (ingredient.category === 'water') return;
    const perGram = costPerGram(ingredient, priceOf);
    if (perGram === null) unpriced.push(index);
    else lines.push({ index, cost: perGram * massG.nominal });
  });
  return { total: lines.reduce((sum, { cost }) => sum + cost, 0), lines, unpriced };
}
