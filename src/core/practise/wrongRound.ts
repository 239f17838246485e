/** "What is wrong?": a round of a wanted difficulty, what a gesture did, and how it came out. Weights: estimate. */
import type { CandidateContext } from '#core/balance';
import { SeededRandom } from '#core/numeric';
import { THICKNESS_CLASSES } from '#core/ingredient';
import { palateOf, verdictOf, type PalateKey } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import { faultyJar, type FaultyJar } from './faults';
import { FAULTS, isRightAgain, thicknessOf, type AboutJar, type Fault } from './jar';

/** On the scale of the rating: a jar far out is easy, one of two faults is harder. */
export function faultDifficulty(faults: readonly Fault[], steps: number): number {
  const hidden: Readonly<Partial<Record<Fault, number>>> = {
    bitter: 120,
    thin: 60,
    thick: 60,
    splitting: 80,
    dull: 80,
  };
  const own = Math.max(...faults.map((fault) => hidden[fault] ?? 0));
  return 1000 + own + (faults.length - 1) * 180 + (3.5 - steps) * 90;
}
export const stepsForDifficulty = (faults: readonly Fault[], difficulty: number): number => {
  const even = 3.5 - (difficulty - faultDifficulty(faults, 3.5)) / 90;
  return Math.min(7, Math.max(2, even));
};

export interface WrongRound {
  readonly jar: FaultyJar;
  readonly item: string;
  readonly difficulty: number;
  /** Of the dressings that were offered. */
  readonly index: number;
}

/** Two faults that a mouth can tell apart. */
const TOGETHER: readonly (readonly [Fault, Fault])[] = [
  ['sharp', 'flat'],
  ['sweet', 'flat'],
  ['salty', 'sharp'],
  ['dull', 'flat'],
  ['oily', 'flat'],
];
export const FAULT_SETS: readonly (readonly Fault[])[] = [...FAULTS.map((fault) => [fault]), ...TOGETHER];
export const itemOf = (faults: readonly Fault[]): string => faults.join('+');

const TRIES = 24;

/**
 * A round of the wanted faults from one of the dressings, or of others where none of them can have those.
 *
 * @param dressings what lies in them, each taken as right
 * @returns null where none of them can have any fault
 */
export function wrongRound(
  dressings: readonly (readonly JudgedPortion[])[],
  wanted: readonly Fault[],
  difficulty: number,
  context: CandidateContext,
  seed: number,
): WrongRound | null {
  // One thing by itself is no dressing.
  const fit = dressings.flatMap((portions, index) => (portions.length > 1 ? [{ portions, index }] : []));
  if (fit.length === 0) return null;
  const random = new SeededRandom(seed);
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const { portions, index } = fit[Math.floor(random.next() * fit.length)]!;
    const faults = attempt < TRIES / 2 ? wanted : FAULT_SETS[Math.floor(random.next() * FAULT_SETS.length)]!;
    const steps = stepsForDifficulty(faults, difficulty);
    const jar = faultyJar(portions, faults, steps, context);
    if (jar) return { jar, item: itemOf(faults), difficulty: faultDifficulty(faults, jar.steps), index };
  }
  return null;
}

/** What a gesture did: nearer to what it was, further off, or no different; and whether it is right now. */
export interface GestureEffect {
  readonly lossBefore: number;
  readonly lossAfter: number;
  readonly right: boolean;
}
export function gestureEffect(
  before: readonly JudgedPortion[],
  after: readonly JudgedPortion[],
  about: AboutJar,
): GestureEffect {
  const loss = (portions: readonly JudgedPortion[]): number =>
    verdictOf(palateOf(portions), about.style).loss;
  return { lossBefore: loss(before), lossAfter: loss(after), right: isRightAgain(after, about) };
}

/** How a round came out: named, mended, and with how many gestures more than the reckoning takes. */
export function scoreOfWrong(
  { faults, way }: Pick<FaultyJar, 'faults' | 'way'>,
  named: readonly Fault[],
  gestures: number,
  right: boolean,
): number {
  const hit = named.filter((fault) => faults.includes(fault)).length;
  const wrong = named.length - hit;
  const naming = Math.max(0, hit / faults.length - wrong * 0.5);
  if (!right) return naming * 0.4;
  const spare = Math.max(0, gestures - way.length);
  return naming * 0.6 + Math.max(0.1, 0.4 - spare * 0.05);
}

const FELT: Readonly<Partial<Record<PalateKey, Readonly<Partial<Record<'low' | 'high', Fault>>>>>> = {
  acid: { high: 'sharp', low: 'dull' },
  salt: { high: 'salty', low: 'flat' },
  sweet: { high: 'sweet' },
  fat: { high: 'oily' },
  garlic: { high: 'harsh' },
  heat: { high: 'harsh' },
  mustard: { high: 'harsh' },
  bitter: { high: 'bitter' },
};
const MOST_FELT = 2;

/** What a mouth feels of it as it stands, the strongest first; none where it is right again. */
export function feltIn(portions: readonly JudgedPortion[], about: AboutJar): readonly Fault[] {
  if (isRightAgain(portions, about)) return [];
  // Of a thickness or a break the mouth says nothing else.
  const seen = about.faults.filter((fault) => fault === 'thin' || fault === 'thick' || fault === 'splitting');
  if (seen.length > 0) return bodyNow(portions, about, seen);
  const { reasons } = verdictOf(palateOf(portions), about.style);
  const felt = reasons.flatMap(({ measure, direction }) => FELT[measure]?.[direction] ?? []);
  // Oil that was poured too far thins salt and acid, too: what was done to it is felt before what came of that.
  const done = felt.filter((fault) => about.faults.includes(fault));
  return [...new Set([...done, ...felt])].slice(0, MOST_FELT);
}

/** Mended too far it is the other way round. */
function bodyNow(
  portions: readonly JudgedPortion[],
  { thickness }: AboutJar,
  seen: readonly Fault[],
): readonly Fault[] {
  const now = thicknessOf(portions);
  if (seen.includes('splitting') || now === null || thickness === null) return seen;
  return [THICKNESS_CLASSES.indexOf(now) < THICKNESS_CLASSES.indexOf(thickness) ? 'thin' : 'thick'];
}
