/** What a jar costs, from the prices the kitchen gave. Money is in the kitchen's own currency. */
import type { IngredientId } from '#core/ingredient';
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

/** Grams are edible; a pack is paid as bought, so its price is divided by the edible yield. */
export function costOf(portions: readonly Portion[], priceOf: (id: IngredientId) => PackPrice | null): Cost {
  const lines: CostLine[] = [];
  const unpriced: number[] = [];
  portions.forEach(({ ingredient, massG }, index) => {
    if (massG.nominal <= 0) return;
    const pack = priceOf(ingredient.id);
    if (pack && pack.packMassG > 0) {
      const perGram = pack.price / (pack.packMassG * ingredient.edibleYieldFraction);
      lines.push({ index, cost: perGram * massG.nominal });
    } else if (ingredient.category !== 'water') unpriced.push(index);
  });
  return { total: lines.reduce((sum, { cost }) => sum + cost, 0), lines, unpriced };
}
