/**
 * From two to five jars that were liked or not: the direction, a style of one's own, and which jars would teach most if
 * they were made next. The style's windows are the narrowest, of equal doubt at every edge, that hold the whole of
 * {@link SURE} of the possible tasters. What a jar teaches is the mutual information between its answer and the taster,
 * H(mean answer) − mean H(answer), in bits (Lindley 1956, from memory); the second and third are judged by what they add.
 */
import type { Work } from '#core/balance';
import { SeededRandom } from '#core/numeric';
import { PALATE, type PalateKey, type PalatePortion, type Windows } from '#core/palate';
import {
  answersOf,
  anyTasters,
  BALANCE,
  FURTHEST,
  inSteps,
  possibleTasters,
  TASTED,
  type Heard,
  type InSteps,
  type LikedJar,
  type Taster,
} from './taster';

export const JARS = { least: 2, most: 5 } as const;
const SURE = 0.9;
export const PROPOSALS = 3;

export interface Liking {
  readonly windows: Windows;
  /** Away from what was not liked, else from all that one was liked more than, in steps that a taster notices, surest first. */
  readonly direction: readonly { readonly measure: PalateKey; readonly steps: number }[];
  /** How much of the doubt there was before the first jar is gone, 0..1. */
  readonly learnt: number;
  /** Indices of the jars to make next, in their order, each with what it is expected to teach. */
  readonly next: readonly { readonly index: number; readonly bits: number }[];
}

/** @throws RangeError where there are too few jars or too many, or nothing in one */
export function* learnLiking(
  jars: readonly LikedJar[],
  candidates: readonly (readonly PalatePortion[])[],
  seed = 1,
): Work<Liking> {
  if (jars.length < JARS.least || jars.length > JARS.most)
    throw new RangeError(`From ${JARS.least} to ${JARS.most} jars.`);
  if (jars.some(({ portions }) => !portions.some(({ massG }) => massG.nominal > 0)))
    throw new RangeError('There is nothing in one of the jars.');
  const heard = jars.map(({ portions, said, chips }): Heard => ({ jar: inSteps(portions), said, chips }));
  const random = new SeededRandom(seed);
  const tasters = yield* paced(possibleTasters(heard, random), 0, 0.7);
  const edges = edgesOf(tasters);
  const next = yield* worthMaking(tasters, candidates.map(inSteps));
  const windows = Object.fromEntries(
    TASTED.map((key, k) => [
      key,
      {
        low: edges.low[k]! * PALATE[key].step,
        high: Math.min(edges.high[k]!, FURTHEST[k]!) * PALATE[key].step,
      },
    ]),
  );
  return {
    windows,
    direction: directionOf(tasters, heard),
    learnt: learntOf(anyTasters(random), tasters),
    next,
  };
}

function* paced<T>(work: Generator<number, T, void>, from: number, to: number): Work<T> {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
    yield { done: from + (to - from) * step.value, total: 1 };
  }
}

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.max(0, Math.round(share * (sorted.length - 1))))]!;
const HALVINGS = 12;

/** By bisection over the one share that is left outside at each edge. */
function edgesOf(tasters: readonly Taster[]): Taster {
  const lows = TASTED.map((_, k) => tasters.map(({ low }) => low[k]!).sort((a, b) => a - b));
  const highs = TASTED.map((_, k) => tasters.map(({ high }) => high[k]!).sort((a, b) => a - b));
  const at = (share: number): Taster => ({
    low: lows.map((sorted) => quantile(sorted, share)),
    high: highs.map((sorted) => quantile(sorted, 1 - share)),
  });
  const holds = ({ low, high }: Taster): number =>
    tasters.filter((one) => TASTED.every((_, k) => one.low[k]! >= low[k]! && one.high[k]! <= high[k]!))
      .length / tasters.length;
  let [inside, outside] = [0, 0.25];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (inside + outside) / 2;
    if (holds(at(middle)) >= SURE) inside = middle;
    else outside = middle;
  }
  return at(inside);
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
const spread = (values: readonly number[]): number => {
  const middle = mean(values);
  return Math.sqrt(mean(values.map((value) => (value - middle) ** 2)));
};
const middles = (tasters: readonly Taster[], k: number): readonly number[] =>
  tasters.map(({ low, high }) => (low[k]! + high[k]!) / 2);

const NOTICED = 0.5;
/** Of its own doubt: true in three of four. */
const SURER_THAN_NOT = 0.67;
const MOST_DIRECTIONS = 3;

/** Only what is surer than not; nothing where no jar was liked less than another. */
function directionOf(tasters: readonly Taster[], heard: readonly Heard[]): Liking['direction'] {
  const not = heard.filter(({ said }) => said === 'not');
  const from = not.length > 0 ? not : heard.filter(({ said }) => said !== 'more');
  if (from.length === 0 || (not.length === 0 && from.length === heard.length)) return [];
  return BALANCE.flatMap((measure, k) => {
    const wanted = middles(tasters, k);
    const steps = mean(wanted) - mean(from.map(({ jar }) => jar[k]!));
    const sure = Math.abs(steps) / Math.max(spread(wanted), 1e-9);
    return Math.abs(steps) >= NOTICED && sure >= SURER_THAN_NOT ? [{ measure, steps, sure }] : [];
  })
    .sort((a, b) => b.sure - a.sure)
    .slice(0, MOST_DIRECTIONS)
    .map(({ measure, steps }) => ({ measure, steps }));
}

/** One less the geometric mean of how much of the spread is left. */
function learntOf(before: readonly Taster[], after: readonly Taster[]): number {
  const left = BALANCE.map((_, k) =>
    Math.log(Math.max(spread(middles(after, k)), 1e-6) / Math.max(spread(middles(before, k)), 1e-6)),
  );
  return Math.min(1, Math.max(0, 1 - Math.exp(mean(left))));
}

/** Bits that a jar's answer is expected to tell about which of these tasters it is. */
export function bitsOf(answers: readonly ArrayLike<number>[]): number {
  const width = answers[0]?.length ?? 0;
  let [together, apart] = [0, 0];
  for (let a = 0; a < width; a++) {
    let sum = 0;
    for (const one of answers) {
      const p = one[a]!;
      if (p <= 0) continue;
      sum += p;
      apart -= p * Math.log2(p);
    }
    const p = sum / answers.length;
    if (p > 0) together -= p * Math.log2(p);
  }
  return width === 0 ? 0 : Math.max(0, together - apart / answers.length);
}

/** So few tasters tell the same at a third of the work. */
const ENOUGH = 200;
/** Of the jars that tell most alone, so many are looked at together. */
const SHORTLIST = 40;

interface Asked {
  readonly index: number;
  readonly answers: readonly Float64Array[];
  readonly bits: number;
}

/** Greedily: each next one by what it adds to the answers of those before it, taken at their likeliest. */
function* worthMaking(tasters: readonly Taster[], jars: readonly InSteps[]): Work<Liking['next']> {
  const some = tasters.filter((_, i) => i % Math.ceil(tasters.length / ENOUGH) === 0);
  const asked: Asked[] = [];
  for (const [index, jar] of jars.entries()) {
    const answers = some.map((taster) => answersOf(taster, jar));
    asked.push({ index, answers, bits: bitsOf(answers) });
    yield { done: 0.7 + (0.3 * index) / jars.length, total: 1 };
  }
  const left = asked.sort((a, b) => b.bits - a.bits || a.index - b.index).slice(0, SHORTLIST);
  let groups: readonly (readonly number[])[] = [some.map((_, i) => i)];
  const next: { index: number; bits: number }[] = [];
  while (next.length < PROPOSALS && left.length > 0) {
    const adds = left.map(({ answers }) =>
      groups.reduce(
        (sum, group) => sum + (group.length / some.length) * bitsOf(group.map((i) => answers[i]!)),
        0,
      ),
    );
    const place = adds.indexOf(Math.max(...adds));
    const [{ index, answers }] = left.splice(place, 1) as [Asked];
    next.push({ index, bits: adds[place]! });
    groups = groups.flatMap((group) => byLikeliest(group, answers));
  }
  return next;
}

function byLikeliest(
  group: readonly number[],
  answers: readonly Float64Array[],
): readonly (readonly number[])[] {
  const found = new Map<number, number[]>();
  for (const i of group) {
    const answer = answers[i]!.indexOf(Math.max(...answers[i]!));
    found.set(answer, [...(found.get(answer) ?? []), i]);
  }
  return [...found.values()];
}
