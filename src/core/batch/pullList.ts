/** What has to be fetched: by thing, in the units it is bought in, less what is there. */
import { costOf, type PackPrice } from '#core/composition';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { exactly, type Range } from '#core/quantity';
import { boughtUnitOf, countNeeded, type BoughtUnit } from './boughtUnits';

export interface PullRequest {
  readonly ingredient: Ingredient;
  /** Edible, as it is weighed, g. */
  readonly massG: number;
}
/** What the kitchen knows of a thing. */
export interface StockFacts {
  /** Edible, g; null: nobody said. */
  readonly onHandG: number | null;
  readonly price: PackPrice | null;
}

export interface PullLine {
  readonly ingredient: Ingredient;
  readonly neededG: number;
  readonly neededMl: number;
  readonly unit: BoughtUnit;
  /** How many of the unit; null where it is not counted. */
  readonly count: Range | null;
  /** As bought, peel and stalks included, g. */
  readonly asBoughtG: number;
  readonly onHandG: number | null;
  /** What is missing, edible, g; null where nobody said how much there is. */
  readonly shortG: number | null;
  /** How many of the unit are missing; null where it is not counted or nothing is. */
  readonly shortCount: Range | null;
  /** Null where it has no price. */
  readonly cost: number | null;
}

export interface PullList {
  readonly lines: readonly PullLine[];
  /** Of what has a price. */
  readonly cost: number;
  readonly unpriced: readonly Ingredient[];
}

/**
 * The same thing asked for twice, in one batch or in several of a day, is one line. Water comes from the
 * tap and is listed without a price.
 */
export function pullListOf(
  requests: readonly PullRequest[],
  stock: ReadonlyMap<IngredientId, StockFacts>,
): PullList {
  const needed = new Map<IngredientId, PullRequest>();
  const need = (ingredient: Ingredient, massG: number): void => {
    if (!(massG > 0)) return;
    // A house mayonnaise that is not in the pantry is made from what is.
    if (ingredient.made && (stock.get(ingredient.id)?.onHandG ?? null) === null) {
      for (const part of ingredient.made.parts) need(part.ingredient, part.massFraction * massG);
      return;
    }
    needed.set(ingredient.id, { ingredient, massG: massG + (needed.get(ingredient.id)?.massG ?? 0) });
  };
  for (const { ingredient, massG } of requests) need(ingredient, massG);
  const priceOf = (id: IngredientId): PackPrice | null => stock.get(id)?.price ?? null;
  const all = [...needed.values()];
  const cost = costOf(
    all.map(({ ingredient, massG }) => ({ ingredient, massG: exactly(massG) })),
    priceOf,
  );
  const costs = new Map(cost.lines.map((line) => [line.index, line.cost]));
  return {
    lines: all.map(({ ingredient, massG }, index) =>
      pullLine(ingredient, massG, stock.get(ingredient.id)?.onHandG ?? null, costs.get(index) ?? null),
    ),
    cost: cost.total,
    unpriced: cost.unpriced.map((index) => all[index]!.ingredient),
  };
}

function pullLine(
  ingredient: Ingredient,
  neededG: number,
  onHandG: number | null,
  cost: number | null,
): PullLine {
  const unit = boughtUnitOf(ingredient);
  const isTap = ingredient.category === 'water';
  const shortG = isTap ? 0 : onHandG === null ? null : Math.max(0, neededG - onHandG);
  const counted = (massG: number): Range | null =>
    unit.kind === 'counted' && massG > 0 ? countNeeded(massG, unit.massG) : null;
  return {
    ingredient,
    neededG,
    unit,
    onHandG,
    shortG,
    cost: isTap ? 0 : cost,
    neededMl: neededG / ingredient.spoonDensityGPerMl,
    count: counted(neededG),
    asBoughtG: neededG / ingredient.edibleYieldFraction,
    shortCount: counted(shortG ?? neededG),
  };
}
