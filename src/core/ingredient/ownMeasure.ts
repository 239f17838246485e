/**
 * A cook's own pinch, grind or tablespoon, weighed a few times. One of them weighs the mean; where a
 * single one may fall is the 80 % prediction interval, mean ± t s √(1 + 1/n) (Student's t, from memory
 * of the handbook table). One weighing alone says nothing of the spread: a quarter either way, estimate.
 */
import { range, type Range, type Unit } from '#core/quantity';
import type { Catalogue } from './ingredient';
import type { IngredientId } from './ingredient';

export const OWN_UNITS = [
  ...(['pinch', 'dash', 'drop', 'splash', 'grind', 'knob', 'handful', 'ladle'] as const),
  ...(['tsp', 'tbsp', 'cup'] as const),
] as const;
export type OwnUnit = (typeof OWN_UNITS)[number];

export interface OwnMeasure {
  readonly id: string;
  readonly unit: OwnUnit;
  /** What it was weighed with. */
  readonly ingredientId: IngredientId;
  /** Of one. */
  readonly massG: Range;
  readonly spoonDensityGPerMl: number;
  readonly count: number;
}

/** What a cook measures with: old entries by the measure they were typed with, new ones by the newest. */
export interface OwnMeasures {
  readonly byId: ReadonlyMap<string, OwnMeasure>;
  readonly now: (unit: Unit, ingredientId: IngredientId) => OwnMeasure | null;
}

const SINGLE_SPREAD = 0.25;
/** Student's t, 90th percentile, by degrees of freedom from 1; the last stands for all above. */
const T_90 = [3.078, 1.886, 1.638, 1.533, 1.476, 1.44, 1.415, 1.397, 1.383, 1.372, 1.29];
/** A pinch never weighs nothing. */
const LEAST_SHARE = 0.1;

export interface Weighed {
  readonly meanG: number;
  /** Standard deviation of a single one, g; null with fewer than two. */
  readonly spreadG: number | null;
  /** Where a single one falls, 80 %. */
  readonly massG: Range;
}

/** @param weighingsG each > 0 @throws RangeError where there is none, or one is no weight */
export function weighed(weighingsG: readonly number[]): Weighed {
  const n = weighingsG.length;
  if (n === 0 || weighingsG.some((massG) => !(massG > 0 && Number.isFinite(massG))))
    throw new RangeError('A measure needs weights above nothing.');
  const meanG = weighingsG.reduce((sum, massG) => sum + massG, 0) / n;
  if (n === 1)
    return {
      meanG,
      spreadG: null,
      massG: range(meanG, meanG * (1 - SINGLE_SPREAD), meanG * (1 + SINGLE_SPREAD)),
    };
  const spreadG = Math.sqrt(weighingsG.reduce((sum, massG) => sum + (massG - meanG) ** 2, 0) / (n - 1));
  const t = T_90[Math.min(n - 2, T_90.length - 1)]!;
  const half = t * spreadG * Math.sqrt(1 + 1 / n);
  return { meanG, spreadG, massG: range(meanG, Math.max(LEAST_SHARE * meanG, meanG - half), meanG + half) };
}

/** Null where the catalogue no longer knows what it was weighed with. */
export function ownMeasureFrom(
  record: {
    readonly id: string;
    readonly unit: OwnUnit;
    readonly ingredientId: IngredientId;
    readonly weighingsG: readonly number[];
  },
  catalogue: Catalogue,
): OwnMeasure | null {
  const ingredient = catalogue.get(record.ingredientId);
  if (!ingredient || record.weighingsG.length === 0) return null;
  return {
    id: record.id,
    unit: record.unit,
    ingredientId: record.ingredientId,
    massG: weighed(record.weighingsG).massG,
    spoonDensityGPerMl: ingredient.spoonDensityGPerMl,
    count: record.weighingsG.length,
  };
}
