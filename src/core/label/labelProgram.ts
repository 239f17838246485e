/**
 * The linear program of a label: grams per 100 g of each thing, so that order, percentages and nutrition hold.
 *
 *   minimise Σ s_j   subject to   Σ g_i + rest = 100,  g_i ≥ g_(i+1),  low ≤ g_i ≤ high where a percentage stands,
 *            Σ g_i c_ij (1 + δ) + s_j u_j ≥ printed_low_j,   Σ g_i c_ij (1 − δ) − s_j u_j ≤ printed_high_j
 *
 * c: the tables' composition; δ = 6 %: the maker's mayonnaise is not ours; u: what is printed, as one unit of misfit.
 * What a cook would not do has variables of its own: e_i ≥ g_i − most_i, and one for the salt of the whole.
 */
import { ceilingOf } from '#core/balance';
import type { Ingredient } from '#core/ingredient';
import type { LinearRow } from '#core/numeric';
import { kcalMost, NUTRIENTS, type Nutrient, type Printed, type PrintedPer, printedAs } from './printed';
import type { LabelItem } from './readLabel';

const DELTA = 0.06;
/** Of colours, salts and the like there may be so much that has no line of its own, g per 100 g. */
const MOST_REST_G = 1.5;
const MOST_ADDITIVE_G = 1;
/** Of salt no dressing holds more, g per 100 g; common practice. */
const MOST_SALT_G = 3.5;

/** A thing that nobody knows may be anything: at most this of a gram. */
const MOST_IN_ONE: Readonly<Record<Nutrient, number>> = {
  energyKcal: kcalMost,
  fatG: 1,
  carbohydrateG: 1,
  sugarsG: 1,
  proteinG: 1,
  saltG: 1,
};
const inOne: Readonly<Record<Nutrient, (ingredient: Ingredient) => number>> = {
  energyKcal: ({ energyKcalPer100G }) => energyKcalPer100G / 100,
  fatG: ({ composition }) => composition.fat,
  carbohydrateG: ({ composition: c }) =>
    c.sucrose + c.glucose + c.fructose + c.lactose + Math.max(0, c.otherCarbohydrate - c.fibre),
  sugarsG: ({ composition: c }) => c.sucrose + c.glucose + c.fructose + c.lactose,
  proteinG: ({ composition }) => composition.protein,
  saltG: ({ composition }) => composition.salt,
};

export interface LabelProgram {
  readonly rows: readonly LinearRow[];
  /** What ties the excesses to the grams; the label itself says nothing of it. */
  readonly habits: readonly LinearRow[];
  readonly upper: readonly (number | null)[];
  /** What is minimised first: how far what is printed is missed, in units of what is printed. */
  readonly misfit: readonly number[];
  /** What is minimised of all that fits: how far it goes beyond what cooks do. */
  readonly uncommon: readonly number[];
  readonly nutrients: readonly Nutrient[];
  /** Where the first misfit stands among the variables. */
  readonly misfitFrom: number;
}

/** Variables: grams of each item, the rest, a misfit for each nutrient, an excess for each item and for the salt. */
export function labelProgram(items: readonly LabelItem[], printed: Printed, per: PrintedPer): LabelProgram {
  const nutrients = NUTRIENTS.filter((nutrient) => printed[nutrient] !== undefined);
  const misfitFrom = items.length + 1;
  const excessFrom = misfitFrom + nutrients.length;
  const saltAt = excessFrom + items.length;
  const row = (pick: (k: number) => number): number[] =>
    Array.from({ length: saltAt + 1 }, (_, k) => pick(k));
  const mosts = items.map(({ ingredient }) => (ingredient ? ceilingOf(ingredient, null) : null));
  const rows: LinearRow[] = [
    { coefficients: row((k) => (k <= items.length ? 1 : 0)), low: 100, high: 100 },
    ...ordered(items, row),
    ...items.flatMap(({ printed: stands }, i) =>
      stands ? [{ coefficients: row((k) => (k === i ? 1 : 0)), ...stands }] : [],
    ),
    ...wholesOf(items).flatMap((whole) => {
      const stands = items[whole[0]!]!.of?.printed;
      return stands ? [{ coefficients: row((k) => (whole.includes(k) ? 1 : 0)), ...stands }] : [];
    }),
    ...nutrients.flatMap((nutrient, j): LinearRow[] => {
      const { low, high } = printedAs(nutrient, printed[nutrient]!, per);
      const unit = Math.max((low + high) / 2, nutrient === 'energyKcal' ? 20 : 0.5);
      const c = (k: number, most: boolean): number => {
        const item = items[k];
        if (!item) return 0;
        const { ingredient, additive } = item;
        if (ingredient) return inOne[nutrient](ingredient) * (most ? 1 + DELTA : 1 - DELTA);
        return most && additive === 'unknown' ? MOST_IN_ONE[nutrient] : 0;
      };
      const own = misfitFrom + j;
      return [
        { coefficients: row((k) => (k === own ? unit : c(k, true))), low },
        { coefficients: row((k) => (k === own ? -unit : c(k, false))), high },
      ];
    }),
  ];
  const habits: LinearRow[] = [
    ...mosts.flatMap((most, i): LinearRow[] =>
      most === null
        ? []
        : [{ coefficients: row((k) => (k === i ? 1 : k === excessFrom + i ? -1 : 0)), high: most * 100 }],
    ),
    {
      coefficients: row((k) =>
        k === saltAt ? -1 : k < items.length ? (items[k]!.ingredient?.composition.salt ?? 0) : 0,
      ),
      high: MOST_SALT_G,
    },
  ];
  return {
    ...{ rows, habits, nutrients, misfitFrom },
    upper: row((k) => k).map((k) => mostOf(items, k)),
    misfit: row((k) => (k >= misfitFrom && k < excessFrom ? 1 : 0)),
    uncommon: row((k) => (k >= excessFrom ? 1 : 0)),
  };
}

/** What the list counts as one: a thing, or all parts of one that is made of others. */
function wholesOf(items: readonly LabelItem[]): readonly (readonly number[])[] {
  const wholes: number[][] = [];
  for (const [i, { of }] of items.entries()) {
    if (of && items[i - 1]?.of === of) wholes.at(-1)!.push(i);
    else wholes.push([i]);
  }
  return wholes;
}

/** No whole is less than the next one, and no part than the next within it. */
function ordered(
  items: readonly LabelItem[],
  row: (pick: (k: number) => number) => readonly number[],
): readonly LinearRow[] {
  const wholes = wholesOf(items);
  const atLeast = (more: readonly number[], less: readonly number[]): readonly LinearRow[] =>
    items[less[0]!]!.inAnyOrder
      ? []
      : [{ coefficients: row((k) => (more.includes(k) ? 1 : less.includes(k) ? -1 : 0)), low: 0 }];
  return [
    ...wholes.slice(1).flatMap((whole, i) => atLeast(wholes[i]!, whole)),
    ...wholes.flatMap((whole) => whole.slice(1).flatMap((part, i) => atLeast([whole[i]!], [part]))),
  ];
}

/** Null: no upper limit. */
function mostOf(items: readonly LabelItem[], k: number): number | null {
  const item = items[k];
  if (!item) return k === items.length ? MOST_REST_G : null;
  return item.additive === null || item.additive === 'unknown' ? 100 : MOST_ADDITIVE_G;
}
