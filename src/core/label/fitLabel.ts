/**
 * A bought bottle worked backwards: of all amounts that hold its order, percentages and nutrition (see `labelProgram`),
 * the interval of each thing, by a linear program of its own with no more misfit than the best; and of what fits, what a
 * cook would most likely have done: first nothing beyond what cooks put in, then the middle of what is left, then the two
 * ends of the thing that has most room. Simplex by `core/numeric`.
 */
import type { Progress, Work } from '#core/balance';
import type { Ingredient } from '#core/ingredient';
import { solveLinear } from '#core/numeric';
import { PALATE, PALATE_KEYS, palateValue, type PalateKey } from '#core/palate';
import { exactly } from '#core/quantity';
import { labelProgram, type LabelProgram } from './labelProgram';
import { PER_100_G, type Nutrient, type Printed, type PrintedPer } from './printed';
import type { Additive, LabelItem } from './readLabel';

export interface LabelAddition {
  readonly ingredient: Ingredient;
  /** What it stands in the brackets of; null: of nothing. */
  readonly partOf: string | null;
  readonly gPer100G: number;
  readonly low: number;
  readonly high: number;
}
export interface LabelAnswer {
  readonly additions: readonly LabelAddition[];
  /** In units of what is printed; 0: all of it holds. */
  readonly misfit: number;
  /** What a taster would notice against the first answer, most first; none of the first itself. */
  readonly differs: readonly Differs[];
}
/** Steps that a taster notices, more or less of it than the first answer has. */
export interface Differs {
  readonly measure: PalateKey;
  readonly steps: number;
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

/** The same at once. */
export function fitLabel(
  items: readonly LabelItem[],
  printed: Printed,
  per: PrintedPer = PER_100_G,
): LabelOutcome {
  const work = stepLabel(items, printed, per);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/**
 * @param printed each finite and ≥ 0. @param per what they are printed of
 * @throws RangeError where a figure is none
 */
export function* stepLabel(
  items: readonly LabelItem[],
  printed: Printed,
  per: PrintedPer = PER_100_G,
): Work<LabelOutcome> {
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
  const program = labelProgram(items, printed, per);
  const best = solved(program, program.misfit);
  if (!best) return fail({ code: 'order-or-percentages' });
  const misfit = dot(program.misfit, best);
  const off = program.nutrients.filter((_, j) => best[program.misfitFrom + j]! > MOST_MISFIT);
  if (off.length > 0) return fail({ code: 'nutrition', nutrients: off });
  const held = atMost(program, program.misfit, misfit);
  const bounds = yield* endsOf(held, items.length, best, { done: 0, total: 2 });
  const known = { ...held, rows: [...held.rows, ...program.habits] };
  const common = solved(known, program.uncommon) ?? best;
  const usual = atMost(known, program.uncommon, dot(program.uncommon, common));
  const ends = yield* endsOf(usual, items.length, common, { done: 1, total: 2 });
  const corners = ends.flatMap(({ low, high }) => [low, high]);
  const middle = best.map((_, k) => corners.reduce((sum, corner) => sum + corner[k]!, 0) / corners.length);
  const widths = ends.map(({ low, high }, i) => high[i]! - low[i]!);
  const widest = widths.indexOf(Math.max(...widths));
  const others = widths[widest]! >= ROOM_G ? [ends[widest]!.low, ends[widest]!.high] : [];
  const answers = [middle, ...others].map((values): LabelAnswer => ({
    misfit,
    differs: values === middle ? [] : differing(items, values, middle),
    additions: items.flatMap(({ ingredient, of }, i) =>
      ingredient === null
        ? []
        : [
            {
              ingredient,
              partOf: of?.text ?? null,
              gPer100G: clean(values[i]!),
              low: clean(bounds[i]!.low[i]!),
              high: clean(bounds[i]!.high[i]!),
            },
          ],
    ),
  }));
  return { answers, impossible: [], leftOut };
}

const atMost = (program: LabelProgram, coefficients: readonly number[], high: number): LabelProgram => ({
  ...program,
  rows: [...program.rows, { coefficients, high: high + HAIR }],
});
/** A vertex that is held to the last bit sends the simplex in circles; nobody weighs so little. */
const HAIR = 1e-5;

interface Ends {
  readonly low: readonly number[];
  readonly high: readonly number[];
}
/** The least and the most of each thing, with all else that comes with it. */
function* endsOf(
  program: LabelProgram,
  count: number,
  inside: readonly number[],
  { done, total }: Progress,
): Work<readonly Ends[]> {
  const ends: Ends[] = [];
  for (let i = 0; i < count; i++) {
    yield { done: done + i / count, total };
    const one = program.misfit.map((_, k) => (k === i ? 1 : 0));
    const down = one.map((x) => -x);
    ends.push({ low: solved(program, one) ?? inside, high: solved(program, down) ?? inside });
  }
  return ends;
}

const MOST_DIFFERS = 3;
function differing(
  items: readonly LabelItem[],
  values: readonly number[],
  middle: readonly number[],
): readonly Differs[] {
  const portions = (grams: readonly number[]) =>
    items.flatMap(({ ingredient }, i) =>
      ingredient ? [{ ingredient, form: '', massG: exactly(Math.max(0, grams[i]!)) }] : [],
    );
  const [here, there] = [portions(values), portions(middle)];
  return PALATE_KEYS.flatMap((measure): Differs[] => {
    const [is, was] = [palateValue(here, measure), palateValue(there, measure)];
    if (is === null || was === null) return [];
    const steps = (is - was) / PALATE[measure].step;
    return Math.abs(steps) >= 1 ? [{ measure, steps }] : [];
  })
    .sort(
      (a, b) => PALATE[b.measure].weight * Math.abs(b.steps) - PALATE[a.measure].weight * Math.abs(a.steps),
    )
    .slice(0, MOST_DIFFERS);
}

const clean = (value: number): number => (Math.abs(value) < 1e-9 ? 0 : value);
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, x, i) => sum + x * b[i]!, 0);

function solved({ rows, upper }: LabelProgram, objective: readonly number[]): readonly number[] | null {
  const outcome = solveLinear({ objective, rows, upper });
  return outcome.status === 'optimal' ? outcome.values : null;
}
