/**
 * What each school's ratio comes to with the acid at hand. A school's R0 is meant for a 5 %
 * vinegar; with an acid of s1 g/100 ml (as acetic) the same sharpness is reached at
 *   R1 = (s1/s0)(1 + R0) − 1   same acid per ml of dressing (default), or
 *   R1 = (s1/s0) R0            same acid per ml of oil.
 */
import type { Portion } from '#core/composition';
import { G_ACETIC_PER_MEQ } from './acids';
import { tastedMeqPer100G } from './titratableAcidity';

export const SCHOOLS = [3, 2, 1.5, 1] as const;
/** The vinegar the schools speak of, g/100 ml as acetic; tag: common practice. */
export const REFERENCE_STRENGTH = 5;

export interface SchoolRatio {
  readonly school: number;
  /** Null where the acid is too weak to reach this sharpness at all. */
  readonly samePerDressing: number | null;
  readonly samePerOil: number;
}

/** g/100 ml as acetic of the acidic liquids together, as poured; null without any. */
export function acidStrength(portions: readonly Portion[]): number | null {
  let [meq, ml] = [0, 0];
  for (const { ingredient, massG } of portions) {
    if (!ingredient.isAcidLiquid) continue;
    meq += (tastedMeqPer100G(ingredient) / 100) * massG.nominal;
    ml += massG.nominal / ingredient.spoonDensityGPerMl;
  }
  return ml > 0 ? ((meq * G_ACETIC_PER_MEQ) / ml) * 100 : null;
}

/** @param strength g/100 ml as acetic, > 0 */
export function schoolRatios(strength: number): readonly SchoolRatio[] {
  const relative = strength / REFERENCE_STRENGTH;
  return SCHOOLS.map((school) => {
    const ratio = relative * (1 + school) - 1;
    return { school, samePerDressing: ratio > 0 ? ratio : null, samePerOil: relative * school };
  });
}

/** meq per ml of a 5 % vinegar. */
const REFERENCE_MEQ_PER_ML = REFERENCE_STRENGTH / 100 / G_ACETIC_PER_MEQ;

/**
 * The oil-to-5 %-vinegar ratio with the same acid per ml: counts what fruit, yoghurt and mustard
 * bring. R5 = 0.8326 V/SA − 1.
 * @param mixedVolumeMl of the whole
 * @returns null where nothing sour is in it
 */
export function equivalentRatio(portions: readonly Portion[], mixedVolumeMl: number): number | null {
  const meq = portions.reduce(
    (sum, { ingredient, massG }) => sum + (tastedMeqPer100G(ingredient) / 100) * massG.nominal,
    0,
  );
  return meq > 1e-9 ? (REFERENCE_MEQ_PER_ML * mixedVolumeMl) / meq - 1 : null;
}
