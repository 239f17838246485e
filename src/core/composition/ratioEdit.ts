/**
 * Setting the oil-to-acid ratio: one side keeps its amounts, the other follows. R = V_oil / V_acid.
 * Locked amounts stay, so the rest of the side that follows is multiplied by
 * (R_wanted · V_acid − V_oil,locked) / V_oil,free for oil, and likewise for acid.
 */
import type { Ingredient } from '#core/ingredient';
import type { Portion } from './composition';

export type RatioSide = 'oil' | 'acid';

/** A portion whose amount may be kept from moving. */
export interface LockablePortion extends Portion {
  readonly locked?: boolean;
}

export type RatioEdit =
  | { readonly status: 'scale'; readonly factor: number }
  | { readonly status: 'impossible'; readonly missing: RatioSide }
  /** What is locked on the side that follows stands in the way. */
  | { readonly status: 'locked'; readonly side: RatioSide };

/** What a ratio may be set to; beyond it something was mistyped. */
export const RATIO_LIMITS = { low: 0.05, high: 50 } as const;

/** The factor for the free amounts of the side that follows. `wanted` must lie within {@link RATIO_LIMITS}. */
export function ratioEdit(
  portions: readonly LockablePortion[],
  wanted: number,
  follows: RatioSide,
): RatioEdit {
  const volume = (side: RatioSide, keep: (portion: LockablePortion) => boolean): number =>
    portions
      .filter((portion) => followsRatio(portion.ingredient, side) && keep(portion))
      .reduce((ml, { ingredient, massG }) => ml + massG.nominal / ingredient.spoonDensityGPerMl, 0);
  const all = { oil: volume('oil', () => true), acid: volume('acid', () => true) };
  if (all.acid === 0) return { status: 'impossible', missing: 'acid' };
  if (all.oil === 0) return { status: 'impossible', missing: 'oil' };
  const lockedMl = volume(follows, ({ locked }) => locked === true);
  const freeMl = all[follows] - lockedMl;
  const wantedMl = follows === 'oil' ? wanted * all.acid : all.oil / wanted;
  if (freeMl <= 0 || wantedMl <= lockedMl) return { status: 'locked', side: follows };
  return { status: 'scale', factor: (wantedMl - lockedMl) / freeMl };
}

export const followsRatio = (ingredient: Ingredient, side: RatioSide): boolean =>
  side === 'oil' ? ingredient.category === 'oil' : ingredient.isAcidLiquid;
