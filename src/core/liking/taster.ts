/**
 * What somebody likes, as a belief: a cloud of possible tasters. Each has a window of their own for sharpness, salt,
 * sweetness, richness and body, and an end for garlic, heat, mustard and bitter oil. Distances in steps that a taster
 * notices. The loss of a jar is that of a verdict, Σ w min(d, 3)²; P(liked) = σ((L0 − loss)/τ).
 *
 * Prior: the windows of the styles, each with their own spread and a step around. Posterior: importance resampling, then
 * Metropolis moves (Gilks and Berzuini 2001, resample-move; from memory). L0, τ and the rates of chips: estimate.
 */
import type { SeededRandom } from '#core/numeric';
import { PALATE, palateValue, STYLES, type PalateKey, type PalatePortion } from '#core/palate';

export const BALANCE = ['acid', 'salt', 'sweet', 'fat', 'body'] as const satisfies readonly PalateKey[];
export const SEASONING = ['garlic', 'heat', 'mustard', 'bitter'] as const satisfies readonly PalateKey[];
export const TASTED: readonly PalateKey[] = [...BALANCE, ...SEASONING];

export const SAID = ['liked', 'not', 'more'] as const;
export interface Chip {
  readonly measure: PalateKey;
  readonly says: 'too-much' | 'too-little' | 'right';
}
export interface LikedJar {
  readonly portions: readonly PalatePortion[];
  /** "More": liked, and more than every other. */
  readonly said: (typeof SAID)[number];
  readonly chips: readonly Chip[];
}

/** A jar as a mouth has it: each measure in steps, in the order of {@link TASTED}. */
export type InSteps = readonly number[];
export const inSteps = (portions: readonly PalatePortion[]): InSteps =>
  TASTED.map((key) => (palateValue(portions, key) ?? 0) / PALATE[key].step);

/** A possible taster, in steps: low and high end of each measure of {@link TASTED}. */
export interface Taster {
  readonly low: readonly number[];
  readonly high: readonly number[];
}

const WEIGHTS = TASTED.map((key) => PALATE[key].weight);
const FARTHEST = 3;
const LIKED_LOSS = 1.5;
const SOFTNESS = 0.7;
/** What is inside pleases a little less towards the edge. */
const EDGE = 0.15;

const sigmoid = (x: number): number => 1 / (1 + Math.exp(-x));

/** Steps outside; below 0 too little, above 0 too much. */
const outside = ({ low, high }: Taster, jar: InSteps, k: number): number =>
  jar[k]! < low[k]! ? jar[k]! - low[k]! : Math.max(0, jar[k]! - high[k]!);

export function lossOf(taster: Taster, jar: InSteps): number {
  let loss = 0;
  for (let k = 0; k < jar.length; k++)
    loss += WEIGHTS[k]! * Math.min(Math.abs(outside(taster, jar, k)), FARTHEST) ** 2;
  return loss;
}
export const chanceLiked = (taster: Taster, jar: InSteps): number =>
  sigmoid((LIKED_LOSS - lossOf(taster, jar)) / SOFTNESS);

/** Liked first, then too little and too much of each measure as the first thing said; sums to 1. */
export function answersOf(taster: Taster, jar: InSteps): Float64Array {
  const answers = new Float64Array(1 + 2 * jar.length);
  const loss = lossOf(taster, jar);
  const not = loss > 0 ? 1 - sigmoid((LIKED_LOSS - loss) / SOFTNESS) : 0;
  answers[0] = 1 - not;
  if (loss === 0) return answers;
  for (let k = 0; k < jar.length; k++) {
    const off = outside(taster, jar, k);
    const share = WEIGHTS[k]! * Math.min(Math.abs(off), FARTHEST) ** 2;
    answers[1 + 2 * k + (off > 0 ? 1 : 0)] = (not * share) / loss;
  }
  return answers;
}

/** So often somebody says it though it is not so. */
const SLIP = 0.04;
/** Half a step either side is a matter of the day. */
const BLUR = 0.5;
/** Something clearly off that is not named. */
const UNNAMED = 0.6;

/** The loss and a little of how far from the middle, for which of two is liked more. */
function pull(taster: Taster, jar: InSteps): number {
  let off = lossOf(taster, jar);
  for (let k = 0; k < BALANCE.length; k++) {
    const half = (taster.high[k]! - taster.low[k]!) / 2;
    off += EDGE * WEIGHTS[k]! * Math.min(4, ((jar[k]! - taster.low[k]! - half) / (half + 1)) ** 2);
  }
  return off;
}

export interface Heard {
  readonly jar: InSteps;
  readonly said: LikedJar['said'];
  readonly chips: readonly Chip[];
}

/** Logarithm of how likely all that was said is, of this taster. */
export function logLikelihood(taster: Taster, heard: readonly Heard[]): number {
  let sum = 0;
  for (const { jar, said, chips } of heard) {
    const p = chanceLiked(taster, jar);
    sum += Math.log(Math.max(SLIP, said === 'not' ? 1 - p : p));
    if (said === 'more') {
      const own = pull(taster, jar);
      for (const other of heard)
        if (other.jar !== jar)
          sum += Math.log(Math.max(SLIP, sigmoid((pull(taster, other.jar) - own) / SOFTNESS)));
    }
    for (let k = 0; k < TASTED.length; k++) {
      const chip = chips.find(({ measure }) => measure === TASTED[k]);
      if (chip) sum += Math.log(SLIP + (1 - SLIP) * chanceOfChip(taster, jar, k, chip.says));
      else if (said === 'not' && chips.length > 0 && Math.abs(outside(taster, jar, k)) >= 1)
        sum += Math.log(UNNAMED);
    }
  }
  return sum;
}

function chanceOfChip({ low, high }: Taster, jar: InSteps, k: number, says: Chip['says']): number {
  const much = sigmoid((jar[k]! - high[k]!) / BLUR);
  const little = sigmoid((low[k]! - jar[k]!) / BLUR);
  if (says === 'too-much') return much;
  return says === 'too-little' ? little : (1 - much) * (1 - little);
}

/** Where a style has its windows, and how far a taster of it may be from there; in steps. */
interface Centre {
  readonly middle: readonly number[];
  readonly spread: readonly number[];
}
const CENTRES: readonly Centre[] = STYLES.map(({ windows }) => {
  const at = TASTED.map((key) => {
    const window = windows[key];
    const step = PALATE[key].step;
    return window ? { low: window.low / step, high: window.high / step } : { low: 0, high: 4 };
  });
  return {
    middle: at.map(({ low, high }) => (low + high) / 2),
    spread: at.map(({ low, high }) => (high - low) / 4 + 1),
  };
});
/** Nobody's window ends further out than two steps beyond that of every style, in steps. */
export const FURTHEST: readonly number[] = TASTED.map((key) =>
  STYLES.reduce((most, { windows }) => Math.max(most, (windows[key]?.high ?? 0) / PALATE[key].step), 0),
).map((most, k) => (k < BALANCE.length ? most + 2 : most));
const HALF = { low: 0.6, high: 2.2 };

/** A taster, with what the moves need to know of where it came from. */
interface Particle extends Taster {
  readonly centre: Centre;
  readonly middle: readonly number[];
  readonly half: readonly number[];
  /** Logarithm of prior times likelihood. */
  readonly log: number;
}

function particleAt(
  centre: Centre,
  middle: readonly number[],
  half: readonly number[],
  heard: readonly Heard[],
): Particle {
  const isBalance = (k: number): boolean => k < BALANCE.length;
  const taster = {
    low: middle.map((m, k) => (isBalance(k) ? Math.max(0, m - half[k]!) : 0)),
    high: middle.map((m, k) => Math.max(isBalance(k) ? half[k]! : 0, m + half[k]!)),
  };
  const prior = logPrior(centre, middle, half);
  const log = prior === -Infinity ? prior : prior + logLikelihood(taster, heard);
  return { ...taster, ...{ centre, middle, half, log } };
}

function drawn(random: SeededRandom, heard: readonly Heard[]): Particle {
  const centre = CENTRES[Math.floor(random.next() * CENTRES.length)]!;
  const middle = centre.middle.map((m, k) => Math.max(0, m + centre.spread[k]! * random.normal()));
  const half = TASTED.map(() => HALF.low + (HALF.high - HALF.low) * random.next());
  return particleAt(centre, middle, half, heard);
}

const logPrior = (centre: Centre, middle: readonly number[], half: readonly number[]): number =>
  middle.reduce((sum, m, k) => {
    const isIn = m >= 0 && half[k]! >= HALF.low && half[k]! <= HALF.high;
    return isIn ? sum - 0.5 * ((m - centre.middle[k]!) / centre.spread[k]!) ** 2 : -Infinity;
  }, 0);

const FIRST_DRAWS = 9000;
export const TASTERS = 1200;
const SWEEPS = 14;

/** Before anything is heard. */
export const anyTasters = (random: SeededRandom): readonly Taster[] =>
  Array.from({ length: TASTERS }, () => drawn(random, []));

/** Possible tasters, as many as {@link TASTERS}, by what was heard. Yields how far it is, 0..1. */
export function* possibleTasters(
  heard: readonly Heard[],
  random: SeededRandom,
): Generator<number, readonly Taster[], void> {
  const first = Array.from({ length: FIRST_DRAWS }, () => drawn(random, heard));
  // Drawn from the prior: only the likelihood weighs.
  const logs = first.map(({ log, centre, middle, half }) => log - logPrior(centre, middle, half));
  const most = logs.reduce((a, b) => Math.max(a, b), -Infinity);
  const weights = logs.map((log) => Math.exp(log - most));
  let now = resampled(first, weights, random);
  yield 0.2;
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    now = now.map((one) => moved(one, heard, random));
    yield 0.2 + (0.8 * (sweep + 1)) / SWEEPS;
  }
  return now;
}

/** Systematic resampling. */
function resampled(
  particles: readonly Particle[],
  weights: readonly number[],
  random: SeededRandom,
): readonly Particle[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const start = random.next();
  const kept: Particle[] = [];
  let [at, reached] = [0, weights[0]!];
  for (let i = 0; i < TASTERS; i++) {
    const wanted = ((start + i) / TASTERS) * total;
    while (reached < wanted && at < particles.length - 1) reached += weights[++at]!;
    kept.push(particles[at]!);
  }
  return kept;
}

function moved(one: Particle, heard: readonly Heard[], random: SeededRandom): Particle {
  const scale = random.next() < 0.5 ? 0.25 : 0.7;
  const next = particleAt(
    one.centre,
    one.middle.map((m, k) => m + scale * Math.min(2, one.centre.spread[k]!) * random.normal()),
    one.half.map((h) => h + 0.3 * scale * random.normal()),
    heard,
  );
  return Math.log(1 - random.next()) < next.log - one.log ? next : one;
}
