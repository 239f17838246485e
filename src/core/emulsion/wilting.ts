/**
 * Water that cut plants give off in the jar: salt and sugar draw it out of cucumber, tomato, onion, fruit and leaves.
 *
 *   W(t) = W (1 − exp(−t/40 min)),  W = Σ m · share · (0.3 + 0.7 min(1, salt/1 %))
 *
 * Shares of their weight: cucumber and tomato a quarter, other plants less (common practice, as low and high; the middle
 * is an estimate). What a machine has puréed gives nothing off as such. Range: hours, 4-25 °C.
 */
import type { Category, Composition } from '#core/ingredient';

/** Above this a plant is little more than water in cells. */
const JUICY = 0.92;
const SHARE_JUICY = 0.25;
const SHARES: Partial<Record<Category, number>> = { veg: 0.12, fruit: 0.15, herb: 0.1, aromatic: 0.12 };
const LEAST_WATER = 0.7;
const UNSALTED = 0.3;
/** Salt of the water side at which all of it is drawn. */
const FULL_SALT = 0.01;
export const WILTING_S = 40 * 60;

/** Of its weight, at most, 0..1; 0 for what gives nothing off. */
export function wiltsOf({
  category,
  composition,
}: {
  readonly category: Category;
  readonly composition: Composition;
}): number {
  const share = SHARES[category];
  if (share === undefined || composition.water < LEAST_WATER || composition.fibre < 0.005) return 0;
  return composition.water > JUICY && category === 'veg' ? SHARE_JUICY : share;
}

/** How much of it comes at this much salt in the water side, 0..1. */
export const drawnBy = (saltFraction: number): number =>
  UNSALTED + (1 - UNSALTED) * Math.min(1, Math.max(0, saltFraction) / FULL_SALT);

/** Until so much of what comes has come, s; Infinity where it never does. @param share of it, ≥ 0 */
export const wiltedAfterS = (share: number): number =>
  share < 1 ? -WILTING_S * Math.log(1 - share) : Infinity;
