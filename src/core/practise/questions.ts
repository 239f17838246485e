/**
 * The other rounds: how much a measure is, which of two jars parts first, what may stand and for how long, and oil
 * poured at a pace. What is right comes from the very models of the screens; how much a miss counts is an estimate.
 */
import { pourOn, pourPlan, startPouring, FREE_LIMIT, type Pouring, type PourSetting } from '#core/emulsion';
import type { Tool } from '#core/formula';
import { readLine, type ReadingContext } from '#core/formula';
import { OWN_UNITS, type Ingredient, type OwnUnit } from '#core/ingredient';
import { SeededRandom } from '#core/numeric';
import type { Range } from '#core/quantity';
import type { Judgement } from '#core/reckoning';
import { allergenGroup } from '#core/safety';
import type { Choosable } from './skill';

export interface AmountRound extends Choosable {
  /** As it is said. */
  readonly line: string;
  readonly ingredient: Ingredient;
  readonly massG: Range;
  /** Which of the cook's own measures it is; null: none. */
  readonly unit: OwnUnit | null;
}

const OWN_WORDS: Readonly<Record<string, OwnUnit>> = { teaspoon: 'tsp', tablespoon: 'tbsp' };
/** "a teaspoon of honey" is one of a measure that a cook may weigh for good. */
function ownUnitOf(line: string): OwnUnit | null {
  const word = /^an? (\p{L}+) of /u.exec(line)?.[1];
  return OWN_UNITS.find((unit) => unit === word) ?? (word === undefined ? null : (OWN_WORDS[word] ?? null));
}

/**
 * A measure that varies is harder: its range is as wide as hands are.
 *
 * @param spoken measures that cooks speak in, each read as a line of a formula is, by this kitchen's own measures
 */
export function amountRounds(spoken: readonly string[], context: ReadingContext): readonly AmountRound[] {
  return spoken.flatMap((line): readonly AmountRound[] => {
    const { reading } = readLine(line, context);
    if (reading.status !== 'read' || !(reading.massG.nominal > 0)) return [];
    const { massG, ingredient } = reading;
    const wide = massG.low > 0 ? Math.log2(massG.high / massG.low) : 1;
    // Grams of a few are guessed; what is light for its size is not.
    const light = 120 * Math.max(0, Math.log10(1 / ingredient.spoonDensityGPerMl));
    const small = massG.nominal < 1 ? 120 : 0;
    return [
      {
        line,
        ingredient,
        massG,
        unit: ownUnitOf(line),
        item: line,
        difficulty: 900 + 90 * wide + light + small,
      },
    ];
  });
}

/** Within so much of the range it is right all the same. */
const NEAR = 1.15;
/** 1 inside the range, a half at half as much again, nothing at twice as much or less than half. */
export function scoreOfAmount(guessG: number, { low, high }: Pick<Range, 'low' | 'high'>): number {
  if (!(guessG > 0 && Number.isFinite(guessG))) return 0;
  const off = guessG < low ? low / guessG : guessG > high ? guessG / high : 1;
  if (off <= NEAR) return 1;
  return Math.max(0, 1 - Math.log2(off / NEAR) / Math.log2(2 / NEAR));
}

export const WHEN_PARTS = ['minutes', 'hour', 'service', 'days'] as const;
export type WhenParts = (typeof WHEN_PARTS)[number];
/** Null: it outlives the column. The kitchen's words for the hold. */
export function whenParts(seconds: number | null): WhenParts {
  if (seconds === null || seconds >= 604_800) return 'days';
  return seconds < 900 ? 'minutes' : seconds < 3600 ? 'hour' : 'service';
}

export interface HoldRound extends Choosable {
  readonly first: number;
  readonly second: number;
  /** Which of the two parts first. */
  readonly answer: 'first' | 'second';
  readonly when: WhenParts;
}
const OUTLIVES_S = 14 * 86_400;
/** Closer than this nobody can tell. */
const LEAST_RATIO = 1.5;

/** @param holds of jars, s until a layer shows; null: none within two weeks */
export function holdRounds(
  holds: readonly { readonly id: string; readonly medianS: number | null }[],
): readonly HoldRound[] {
  const rounds: HoldRound[] = [];
  for (const [first, a] of holds.entries())
    for (const [second, b] of holds.entries()) {
      if (first >= second) continue;
      const [x, y] = [a.medianS ?? OUTLIVES_S, b.medianS ?? OUTLIVES_S];
      const ratio = Math.max(x, y) / Math.max(1, Math.min(x, y));
      if (ratio < LEAST_RATIO) continue;
      const when = whenParts(x < y ? a.medianS : b.medianS);
      const item = [a.id, b.id].sort().join(' ');
      const difficulty = 1150 - 120 * Math.min(3, Math.log10(ratio));
      rounds.push({ first, second, answer: x < y ? 'first' : 'second', when, item, difficulty });
    }
  return rounds;
}
export const scoreOfHold = (round: HoldRound, said: HoldRound['answer'], when: WhenParts): number =>
  (said === round.answer ? 0.6 : 0) +
  Math.max(0, 0.4 - 0.2 * Math.abs(WHEN_PARTS.indexOf(when) - WHEN_PARTS.indexOf(round.when)));

export const SAFE_QUESTIONS = ['counter', 'days', 'label'] as const;
export type SafeQuestion = (typeof SAFE_QUESTIONS)[number];
export interface SafeRound extends Choosable {
  readonly question: SafeQuestion;
  /** To choose among; each by its own words: "yes" and "no", days, allergens. */
  readonly choices: readonly string[];
  /** All of these and no other are right. */
  readonly right: readonly string[];
}
const DAYS: readonly number[] = [1, 2, 3, 4, 7, 14];
const MOST_DECOYS = 4;
const GROUPS: readonly string[] = [
  ...['celery', 'cereals containing gluten', 'crustaceans', 'eggs', 'fish', 'lupin', 'milk', 'molluscs'],
  ...['mustard', 'nuts', 'peanuts', 'sesame', 'soybeans', 'sulphites'],
];

/** What may be asked of one dressing, as it is judged. */
export function safeRounds(
  { keeping, allergens }: Pick<Judgement, 'keeping' | 'allergens'>,
  seed: number,
): readonly SafeRound[] {
  const random = new SeededRandom(seed);
  const because = keeping.limit;
  const counter: SafeRound = {
    question: 'counter',
    choices: ['yes', 'no'],
    right: [keeping.cold ? 'no' : 'yes'],
    item: `counter:${because}`,
    difficulty: 850,
  };
  const others = DAYS.filter((days) => days !== keeping.days);
  const wrong = drawn(others, 3, random);
  const days: SafeRound = {
    question: 'days',
    choices: [...wrong, keeping.days].sort((a, b) => a - b).map(String),
    right: [String(keeping.days)],
    item: `days:${because}`,
    difficulty: 1050,
  };
  const groups = [...new Set(allergens.eu14.map(({ allergen }) => allergenGroup(allergen)))].sort();
  // What may be in it depends on the maker: no question has a right answer there.
  const unsure = new Set(allergens.mayBeIn.map(({ allergen }) => allergenGroup(allergen)));
  const decoys = drawn(
    GROUPS.filter((group) => !groups.includes(group) && !unsure.has(group)),
    MOST_DECOYS,
    random,
  );
  const label: SafeRound = {
    question: 'label',
    choices: [...groups, ...decoys].sort(),
    right: groups,
    item: `label:${groups.join('+') || 'none'}`,
    difficulty: 980 + 50 * groups.length,
  };
  return allergens.missing.length > 0 ? [counter, days] : [counter, days, label];
}

function drawn<T>(from: readonly T[], count: number, random: SeededRandom): readonly T[] {
  const left = [...from];
  const found: T[] = [];
  while (found.length < count && left.length > 0)
    found.push(...left.splice(Math.floor(random.next() * left.length), 1));
  return found;
}

/** What was missed and what was said too much count alike; days next to the right ones are half right. */
export function scoreOfSafe({ question, right }: SafeRound, said: readonly string[]): number {
  if (question === 'days') {
    const [a, b] = [DAYS.indexOf(Number(right[0])), DAYS.indexOf(Number(said[0]))];
    // Too short wastes a jar; too long hurts somebody.
    return a === b ? 1 : b >= 0 && b === a - 1 ? 0.4 : 0;
  }
  const hit = said.filter((one) => right.includes(one)).length;
  const off = said.length - hit + (right.length - hit);
  return off === 0 ? 1 : Math.max(0, 1 - off / Math.max(2, right.length));
}

export interface PourRound extends Choosable {
  readonly tool: Tool;
  readonly baseMl: number;
  readonly setting: PourSetting;
  /** What the hand pours at while it pours, ml/s. */
  readonly rateMlPerS: number;
  /** As fast as the sauce takes it, s. */
  readonly bestS: number;
}
const POURED_WITH: readonly (readonly [Tool, baseMl: number, oilMl: number])[] = [
  ['whisk', 40, 120],
  ['fork', 30, 60],
  ['mortar', 40, 100],
  ['whisk', 25, 180],
  ['blender', 120, 240],
];
/** The hand pours so many times as fast as it starts to take. */
const TOO_FAST = 4;

export function pourRounds(): readonly PourRound[] {
  return POURED_WITH.flatMap(([tool, baseMl, oilMl]): readonly PourRound[] => {
    const plan = pourPlan(baseMl, oilMl, tool);
    if (plan.status !== 'stages') return [];
    const startsAt = plan.stages[0]!.fromMlPerMin / 60;
    return [
      {
        ...{ tool, baseMl, rateMlPerS: startsAt * TOO_FAST, bestS: plan.totalS },
        setting: { tool, oilMl, yolkC: 20 },
        item: `${tool} ${oilMl}`,
        difficulty: 850 + 70 * (oilMl / baseMl),
      },
    ];
  });
}

export interface PourState {
  readonly pouring: Pouring;
  readonly seconds: number;
  readonly ended: 'done' | 'split' | null;
}
export const startOf = ({ baseMl }: PourRound): PourState => ({
  pouring: startPouring(baseMl),
  seconds: 0,
  ended: null,
});
/** Ahead of the sauce by so much more than it forgives: it splits. */
const SPLITS_AT = 2 * FREE_LIMIT;

/** @param seconds since the last look, ≥ 0. @param pours whether the hand pours */
export function pouredOn(state: PourState, round: PourRound, seconds: number, pours: boolean): PourState {
  if (state.ended || !(seconds > 0)) return state;
  const { oilMl } = round.setting;
  const pouredMl = Math.min(oilMl, state.pouring.pouredMl + (pours ? round.rateMlPerS * seconds : 0));
  const pouring = pourOn(state.pouring, pouredMl, seconds, round.setting);
  const ahead = pouring.freeMl / pouring.emulsionMl;
  const isDone = pouring.pouredMl >= oilMl - 1e-6 && pouring.freeMl < 0.5;
  return {
    pouring,
    seconds: state.seconds + seconds,
    ended: ahead > SPLITS_AT ? 'split' : isDone ? 'done' : null,
  };
}
/** How near to splitting, 0 to 1. */
export const strainOf = ({ pouring: { freeMl, emulsionMl } }: PourState): number =>
  Math.min(1, freeMl / emulsionMl / SPLITS_AT);

/** What saves it, first to last. Common practice. */
export const RESCUE_STEPS = ['stop', 'new-base', 'drip-in'] as const;
export const RESCUE_CHOICES = ['stop', 'new-base', 'drip-in', 'more-oil', 'whisk-harder'] as const;
export type RescueChoice = (typeof RESCUE_CHOICES)[number];

/** @param rescued what was done once it had split, in that order; null: it did not split */
export function scoreOfPour(
  { ended, seconds }: Pick<PourState, 'ended' | 'seconds'>,
  { bestS }: PourRound,
  rescued: readonly RescueChoice[] | null,
): number {
  if (ended === 'done') return seconds <= 2 * bestS ? 1 : Math.max(0.5, 1 - (seconds / bestS - 2) * 0.1);
  const right = rescued?.filter((step, place) => step === RESCUE_STEPS[place]).length ?? 0;
  const wrong = (rescued?.length ?? 0) - right;
  return Math.max(0, 0.15 * right - 0.05 * wrong);
}
