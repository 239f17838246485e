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
  /** Of the formula's own dishes; null: a kind of dish and no more. */
  readonly dishId: string | null;
  /** What was said of the bowl; null: nothing. */
  readonly verdict: BowlVerdict | null;
  /** What its things would have taken by the table, ml; null: not known. */
  readonly tableMl: number | null;
  readonly ml: number;
  /** ISO time. */
  readonly at: string;
}

export const BOWL_VERDICTS = ['right', 'soggy', 'dry', 'too-salty'] as const;
export type BowlVerdict = (typeof BOWL_VERDICTS)[number];
/** How much of what went on would have been right; tag: estimate. */
const WOULD_HAVE_BEEN: Readonly<Record<BowlVerdict, number>> = {
  right: 1,
  soggy: 0.8,
  dry: 1.25,
  'too-salty': 1,
};
export const rightShareOf = (verdict: BowlVerdict | null): number =>
  verdict === null ? 1 : WOULD_HAVE_BEEN[verdict];

/** What is said of the same dish within the hour is said of the same bowl: the last word counts. */
const SAME_BOWL_MS = 3_600_000;
export function lastWords<E extends Pick<DressedEntry, 'dishId' | 'verdict' | 'at'>>(
  entries: readonly E[],
): readonly E[] {
  const ordered = [...entries].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return ordered.filter(
    (entry, place) =>
      entry.dishId === null ||
      !ordered
        .slice(place + 1)
        .some(
          (later) =>
            later.dishId === entry.dishId && Date.parse(later.at) - Date.parse(entry.at) < SAME_BOWL_MS,
        ),
  );
}

/** So many of the kitchen's own count as much as the table; estimate. */
const PRIOR_WEIGHT = 3;

/** ml per 100 g: the table's value, drawn towards the mean of the kitchen's own as those grow in number. */
export function mlPer100GOf(kind: DishKind, dressed: Dressed, own: readonly DressedEntry[] = []): number {
  const prior = DISHES[kind].mlPer100G[dressed];
  const mine = lastWords(own).filter((entry) => entry.kind === kind && entry.dressed === dressed);
  const sum = mine.reduce((total, entry) => total + entry.mlPer100G * rightShareOf(entry.verdict), 0);
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
