/**
 * A bought bottle worked backwards: grams per 100 g of each thing on its label, so that the order, the printed
 * percentages and the nutrition hold, each within its legal rounding.
 *
 *   minimise Σ s_j   subject to   Σ g_i + rest = 100,  g_i ≥ g_(i+1),  low ≤ g_i ≤ high where a percentage stands,
 *            Σ g_i c_ij (1 + δ) + s_j u_j ≥ printed_low_j,   Σ g_i c_ij (1 − δ) − s_j u_j ≤ printed_high_j
 *
 * c: the tables' composition; δ = 6 %: the maker's mayonnaise is not ours; u: what is printed, as one unit of misfit.
 * The interval of each thing is found by a program of its own, with no more misfit than the best. Linear programs by
 * two-phase simplex (see `core/numeric`). Rounding of nutrition: guidance to Regulation (EU) 1169/2011, from memory.
 */
import type { Ingredient } from '#core/ingredient';
import { solveLinear, type LinearRow } from '#core/numeric';
import type { Additive, LabelItem } from './readLabel';

export const NUTRIENTS = ['energyKcal', 'fatG', 'carbohydrateG', 'sugarsG', 'proteinG', 'saltG'] as const;
export type Nutrient = (typeof NUTRIENTS)[number];
/** Per 100 g, as printed; what the tables do not know (saturated fat) is not among them. */
export type Printed = Readonly<Partial<Record<Nutrient, number>>>;

const DELTA = 0.06;
/** Of colours, salts and the like there may be so much that has no line of its own, g per 100 g. */
const MOST_REST_G = 1.5;
const MOST_ADDITIVE_G = 1;

/** A thing that nobody knows may be anything: at most this of a gram. */
const MOST_IN_ONE: Readonly<Record<Nutrient, number>> = {
  energyKcal: 9,
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

/** Half of the step that is printed, either way. */
export function roundedAs(
  nutrient: Nutrient,
  printed: number,
): { readonly low: number; readonly high: number } {
  const step =
    nutrient === 'energyKcal'
      ? 1
      : nutrient === 'saltG'
        ? printed >= 1
          ? 0.1
          : 0.01
        : printed >= 10
          ? 1
          : 0.1;
  // "0 g" may stand where there is up to half a gram of it, or a hundredth of salt.
  if (printed === 0)
    return { low: 0, high: nutrient === 'energyKcal' ? 4 : nutrient === 'saltG' ? 0.0125 : 0.5 };
  return { low: Math.max(0, printed - step / 2), high: printed + step / 2 };
}

export interface LabelAddition {
  readonly ingredient: Ingredient;
  readonly gPer100G: number;
  readonly low: number;
  readonly high: number;
}
export interface LabelAnswer {
  readonly additions: readonly LabelAddition[];
  /** In units of what is printed; 0: all of it holds. */
  readonly misfit: number;
}
export type LabelTrouble =
  | { readonly code: 'nothing-listed' }
  | { readonly code: 'first-unknown'; readonly text: string }
  | { readonly code: 'order-or-percentages' }
  /** With this list in this order it cannot be so. */
  | { readonly code: 'nutrition'; readonly nutrients: readonly Nutrient[] };
export interface LeftOut {
  readonly text: string;
  readonly additive: Additive;
}
export interface LabelOutcome {
  /** The middle of what fits first; then where it leaves most room, either end of it. */
  readonly answers: readonly LabelAnswer[];
  readonly impossible: readonly LabelTrouble[];
  readonly leftOut: readonly LeftOut[];
}

/** More than so much misfit is no rounding: a tenth of what is printed. */
const MOST_MISFIT = 0.1;
/** From so many grams on a thing leaves room for another dressing. */
const ROOM_G = 5;

/** @param printed per 100 g, each finite and ≥ 0. @throws RangeError where one is none */
export function fitLabel(items: readonly LabelItem[], printed: Printed): LabelOutcome {
  for (const value of Object.values(printed))
    if (!(value >= 0 && Number.isFinite(value))) throw new RangeError('What is printed is a number from 0.');
  // What a kitchen takes in its place is not left out.
  const leftOut = items.flatMap(({ text, additive, ingredient }) =>
    additive === null || ingredient !== null ? [] : [{ text, additive }],
  );
  const fail = (...impossible: readonly LabelTrouble[]): LabelOutcome => ({
    answers: [],
    impossible,
    leftOut,
  });
  const first = items[0];
  if (!first) return fail({ code: 'nothing-listed' });
  if (first.ingredient === null) return fail({ code: 'first-unknown', text: first.text });
  const program = programOf(items, printed);
  const best = solved(program, program.misfit);
  if (!best) return fail({ code: 'order-or-percentages' });
  const misfit = dot(program.misfit, best);
  const off = program.nutrients.filter((_, j) => best[items.length + 1 + j]! > MOST_MISFIT);
  if (off.length > 0) return fail({ code: 'nutrition', nutrients: off });
  const held = { ...program, rows: [...program.rows, { coefficients: program.misfit, high: misfit + 1e-7 }] };
  const ends = items.map((_, i) => {
    const one = held.misfit.map((_, k) => (k === i ? 1 : 0));
    return {
      low: solved(held, one) ?? best,
      high:
        solved(
          held,
          one.map((x) => -x),
        ) ?? best,
    };
  });
  const corners = ends.flatMap(({ low, high }) => [low, high]);
  const middle = best.map((_, k) => corners.reduce((sum, corner) => sum + corner[k]!, 0) / corners.length);
  const answer = (values: readonly number[]): LabelAnswer => ({
    misfit,
    additions: items.flatMap(({ ingredient }, i) =>
      ingredient === null
        ? []
        : [
            {
              ingredient,
              gPer100G: clean(values[i]!),
              low: clean(ends[i]!.low[i]!),
              high: clean(ends[i]!.high[i]!),
            },
          ],
    ),
  });
  const widths = ends.map(({ low, high }, i) => high[i]! - low[i]!);
  const widest = widths.indexOf(Math.max(...widths));
  const others = widths[widest]! >= ROOM_G ? [ends[widest]!.low, ends[widest]!.high] : [];
  return { answers: [middle, ...others].map(answer), impossible: [], leftOut };
}

const clean = (value: number): number => (Math.abs(value) < 1e-9 ? 0 : value);
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * b[i]!, 0);

interface Fit {
  readonly rows: readonly LinearRow[];
  readonly upper: readonly (number | null)[];
  readonly misfit: readonly number[];
  readonly nutrients: readonly Nutrient[];
}

/** Variables: grams of each item, the rest, then a misfit for each nutrient. */
function programOf(items: readonly LabelItem[], printed: Printed): Fit {
  const nutrients = NUTRIENTS.filter((nutrient) => printed[nutrient] !== undefined);
  const size = items.length + 1 + nutrients.length;
  const row = (pick: (k: number) => number): number[] => Array.from({ length: size }, (_, k) => pick(k));
  const rows: LinearRow[] = [
    { coefficients: row((k) => (k <= items.length ? 1 : 0)), low: 100, high: 100 },
    ...items.slice(1).map((_, i) => ({
      coefficients: row((k) => (k === i ? 1 : k === i + 1 ? -1 : 0)),
      low: 0,
    })),
    ...items.flatMap(({ printed: stands }, i) =>
      stands ? [{ coefficients: row((k) => (k === i ? 1 : 0)), ...stands }] : [],
    ),
    ...nutrients.flatMap((nutrient, j): LinearRow[] => {
      const { low, high } = roundedAs(nutrient, printed[nutrient]!);
      const unit = Math.max(printed[nutrient]!, nutrient === 'energyKcal' ? 20 : 0.5);
      const c = (k: number, most: boolean): number => {
        const item = items[k];
        if (!item) return 0;
        const { ingredient, additive } = item;
        if (ingredient) return inOne[nutrient](ingredient) * (most ? 1 + DELTA : 1 - DELTA);
        return most && additive === 'unknown' ? MOST_IN_ONE[nutrient] : 0;
      };
      const own = items.length + 1 + j;
      return [
        { coefficients: row((k) => (k === own ? unit : c(k, true))), low },
        { coefficients: row((k) => (k === own ? -unit : c(k, false))), high },
      ];
    }),
  ];
  return {
    rows,
    nutrients,
    upper: row((k) => k).map((k) => mostOf(items, k)),
    misfit: row((k) => (k > items.length ? 1 : 0)),
  };
}

/** Null: no upper limit. */
function mostOf(items: readonly LabelItem[], k: number): number | null {
  const item = items[k];
  if (!item) return k === items.length ? MOST_REST_G : null;
  return item.additive === null || item.additive === 'unknown' ? 100 : MOST_ADDITIVE_G;
}

function solved({ rows, upper }: Fit, objective: readonly number[]): readonly number[] | null {
  const outcome = solveLinear({ objective, rows, upper });
  return outcome.status === 'optimal' ? outcome.values : null;
}
