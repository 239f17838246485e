/**
 * Two schools of scaling: everything by weight, or assertive seasonings held back and finished by taste.
 * What is held back, and from how many fold on: common practice, the kitchen may change it.
 */
import type { Ingredient } from '#core/ingredient';

export const SCHOOLS = ['by-weight', 'hold-back'] as const;
export type School = (typeof SCHOOLS)[number];

/** Shares 0..1 of what is planned. */
export interface HoldBackShares {
  readonly salt: number;
  readonly rawAllium: number;
  readonly chilli: number;
  readonly strongHerbs: number;
  /** Below this many fold nothing is held back. */
  readonly fromFold: number;
}

export const USUAL_HOLD_BACK: HoldBackShares = {
  salt: 0.15,
  rawAllium: 0.25,
  chilli: 0.25,
  strongHerbs: 0.25,
  fromFold: 4,
};

export type HeldBack =
  | { readonly how: 'all-in' }
  | { readonly how: 'held-back'; readonly share: number }
  /** Weighed at each service, never into the batch. */
  | { readonly how: 'per-service' };

const ALL_IN: HeldBack = { how: 'all-in' };
/** Garlic powder and the like keep their bite whatever the size. */
const BITES = 0.1;
const STRONG_DRIED = /^(?:thyme|rosemary|oregano|sage|tarragon|bay)/;

/** @param fold how many times the tested jar */
export function heldBackOf(
  ingredient: Ingredient,
  school: School,
  fold: number,
  shares: HoldBackShares,
): HeldBack {
  if (school === 'by-weight' || fold <= shares.fromFold) return ALL_IN;
  const { category, hazards, pungencyIndex, id, name } = ingredient;
  const some = (share: number): HeldBack => (share > 0 ? { how: 'held-back', share } : ALL_IN);
  if (category === 'salt') return some(shares.salt);
  if (hazards.includes('fresh_herb') || (category === 'spice' && /seeds?\b/i.test(name)))
    return { how: 'per-service' };
  if (hazards.includes('raw_allium')) return some(shares.rawAllium);
  if (pungencyIndex.heat >= BITES) return some(shares.chilli);
  return STRONG_DRIED.test(id) ? some(shares.strongHerbs) : ALL_IN;
}
