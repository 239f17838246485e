/**
 * How much dressing a dish takes: ml per 100 g, lightly, normally or well dressed. Values: common practice
 * where a cook could name them, else estimate; a kitchen's own entries draw them towards itself.
 */
import type { Tag } from '#core/ingredient';

export const DISH_KINDS = [
  'tender-leaves',
  'sturdy-leaves',
  'slaw',
  'raw-vegetables',
  'cooked',
  'warm-potato',
  'fish-or-meat',
] as const;
export type DishKind = (typeof DISH_KINDS)[number];
export const DRESSED = ['lightly', 'normally', 'well'] as const;
export type Dressed = (typeof DRESSED)[number];

export interface DishValues {
  readonly mlPer100G: Readonly<Record<Dressed, number>>;
  /** A usual serving of it, g. */
  readonly servingG: number;
  readonly tag: Tag;
}

const dish = (
  [lightly, normally, well]: readonly [number, number, number],
  servingG: number,
  tag: Tag = 'common practice',
): DishValues => ({ mlPer100G: { lightly, normally, well }, servingG, tag });

export const DISHES: Readonly<Record<DishKind, DishValues>> = {
  'tender-leaves': dish([12, 20, 30], 60),
  'sturdy-leaves': dish([18, 28, 40], 70),
  slaw: dish([25, 40, 60], 120),
  'raw-vegetables': dish([12, 20, 30], 120, 'estimate'),
  cooked: dish([15, 25, 40], 150),
  'warm-potato': dish([20, 35, 50], 180),
  'fish-or-meat': dish([10, 16, 25], 130, 'estimate'),
};

/** What a kitchen once used, by weight. */
export interface DressedEntry {
  readonly kind: DishKind;
  readonly dressed: Dressed;
  readonly mlPer100G: number;
}

/** So many of the kitchen's own count as much as the table; estimate. */
const PRIOR_WEIGHT = 3;

/** ml per 100 g: the table's value, drawn towards the mean of the kitchen's own as those grow in number. */
export function mlPer100GOf(kind: DishKind, dressed: Dressed, own: readonly DressedEntry[] = []): number {
  const prior = DISHES[kind].mlPer100G[dressed];
  const mine = own.filter((entry) => entry.kind === kind && entry.dressed === dressed);
  const sum = mine.reduce((total, entry) => total + entry.mlPer100G, 0);
  return (prior * PRIOR_WEIGHT + sum) / (PRIOR_WEIGHT + mine.length);
}

export interface DressingNeed {
  readonly ml: number;
  readonly lowMl: number;
  readonly highMl: number;
}

/**
 * @param massG of the dish, ≥ 0
 * @throws RangeError where it is no weight
 */
export function dressingFor(
  kind: DishKind,
  massG: number,
  dressed: Dressed,
  own: readonly DressedEntry[] = [],
): DressingNeed {
  if (!(massG >= 0 && Number.isFinite(massG))) throw new RangeError('The dish weighs nothing or more.');
  const at = (how: Dressed): number => mlPer100GOf(kind, how, own);
  const here = at(dressed);
  // Half way to the neighbour is where one word ends and the next begins.
  const below =
    dressed === 'lightly' ? here * 0.75 : (here + at(dressed === 'well' ? 'normally' : 'lightly')) / 2;
  const above =
    dressed === 'well' ? here * 1.25 : (here + at(dressed === 'lightly' ? 'normally' : 'well')) / 2;
  const ml = (per100G: number): number => (per100G * massG) / 100;
  return { ml: ml(here), lowMl: ml(Math.min(below, here)), highMl: ml(Math.max(above, here)) };
}

/** Whole servings that a volume dresses. */
export const servingsFrom = (volumeMl: number, perServingMl: number): number =>
  perServingMl > 0 ? Math.floor(volumeMl / perServingMl + 1e-9) : 0;
