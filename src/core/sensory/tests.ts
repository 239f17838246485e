/**
 * Two ways to tell two dressings apart, blind.
 *   triangle (ISO 4120): three samples, two alike; picking the odd one by chance: 1/3, one-sided
 *   paired preference (ISO 5495): two samples, which is liked better; by chance 1/2, two-sided
 * Exact binomial. Risk of seeing a difference that is none: 5 %. What a panel should be able to find: a
 * difference that half the tasters taste (triangle), a liking of 7 in 10 (paired), in 8 of 10 panels; estimate.
 */
import { criticalCount, upperTail } from './binomial';

export const TEST_KINDS = ['triangle', 'paired'] as const;
export type TestKind = (typeof TEST_KINDS)[number];

export const RISK = 0.05;
const POWER = 0.8;
const MOST_TASTERS = 500;

const CHANCE: Readonly<Record<TestKind, number>> = { triangle: 1 / 3, paired: 1 / 2 };
/** Chance of the right, or the liked, answer where there is a difference worth finding. */
const WORTH_FINDING: Readonly<Record<TestKind, number>> = {
  triangle: 1 / 3 + (2 / 3) * 0.5,
  paired: 0.7,
};
/** Two-sided: half the risk on either side. */
const riskOf = (kind: TestKind): number => (kind === 'paired' ? RISK / 2 : RISK);

/** How many of n have to pick the odd one, or like the same one better; null where n is too few for any answer. */
export const criticalNumber = (kind: TestKind, n: number): number | null =>
  criticalCount(n, CHANCE[kind], riskOf(kind));

/** How often a panel of n finds a difference worth finding, 0..1. */
export function power(kind: TestKind, n: number): number {
  const needed = criticalNumber(kind, n);
  return needed === null ? 0 : upperTail(needed, n, WORTH_FINDING[kind]);
}

/** The smallest panel from which on it finds a difference worth finding 8 times in 10. */
export function tastersNeeded(kind: TestKind): number {
  let n = MOST_TASTERS;
  while (n > 1 && power(kind, n - 1) >= POWER) n--;
  return n;
}

export interface TestResult {
  readonly kind: TestKind;
  readonly n: number;
  /** Right answers, or votes for the one liked by more. */
  readonly count: number;
  readonly needed: number | null;
  /** How often chance alone does as well or better, 0..1. */
  readonly byChance: number;
  readonly verdict: 'different' | 'not-shown' | 'too-few';
  readonly power: number;
}

/**
 * @param count right answers of a triangle; of a paired test, votes for the one that got more
 * @throws RangeError where the count is not within the tasters
 */
export function judgeTest(kind: TestKind, n: number, count: number): TestResult {
  if (!(Number.isInteger(n) && Number.isInteger(count) && count >= 0 && count <= n))
    throw new RangeError('There are no more answers than tasters.');
  const needed = criticalNumber(kind, n);
  const one = upperTail(count, n, CHANCE[kind]);
  const byChance = kind === 'paired' ? Math.min(1, 2 * one) : one;
  const found = power(kind, n);
  const verdict = needed !== null && count >= needed ? 'different' : found < POWER ? 'too-few' : 'not-shown';
  return { kind, n, count, needed, byChance, verdict, power: found };
}
