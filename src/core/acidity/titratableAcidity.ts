/**
 * Three acidities, not to be mixed: all organic acid (n), what a base titrates to pH 7 (TA = n −
 * SID, additive, large for cheese), and what is tasted: the organic acid still titratable,
 * SA = max(0, min(TA, n)), so that cheese and yolk do not count as vinegar. The last rule is an
 * estimate, after the protonated-acid view of sourness (Neta, Johanningsmeier & McFeeters 2007,
 * from memory). All balance measures use SA.
 */
import type { Ingredient } from '#core/ingredient';
import type { Portion } from '#core/composition';
import { G_ACETIC_PER_MEQ, G_CITRIC_PER_MEQ } from './acids';
import { organicAcidMeqPer100G, strongIonDifferenceMeqPer100G } from './strongIons';

export const titratableMeqPer100G = (ingredient: Ingredient): number =>
  organicAcidMeqPer100G(ingredient) - strongIonDifferenceMeqPer100G(ingredient);

/** Tasted acidity of an ingredient, meq/100 g, ≥ 0. */
export function tastedMeqPer100G(ingredient: Ingredient): number {
  if (ingredient.made) return ingredient.made.tastedMeqPer100G;
  const organic = organicAcidMeqPer100G(ingredient);
  return Math.max(0, Math.min(titratableMeqPer100G(ingredient), organic));
}

export interface Acidity {
  readonly titratableAcidityMeqPer100G: number;
  readonly tastedAcidityMeqPer100G: number;
  /** Basis whole. */
  readonly tastedAcidityAsAceticMassFraction: number;
  readonly tastedAcidityAsCitricMassFraction: number;
  /** Basis water phase: everything that is not fat. */
  readonly waterPhaseTastedAcidityAsAceticMassFraction: number | null;
  /** Acetic acid itself in acetic acid and water: what weighs on germs. */
  readonly aceticInWaterPhaseMassFraction: number | null;
}

/** Null for an empty jar. */
export function acidityOf(portions: readonly Portion[]): Acidity | null {
  const sum = (value: (ingredient: Ingredient) => number): number =>
    portions.reduce((total, { ingredient, massG }) => total + value(ingredient) * massG.nominal, 0);
  const massG = sum(() => 1);
  if (!(massG > 0)) return null;
  const tastedMeq = sum((i) => tastedMeqPer100G(i) / 100);
  const fatFree = massG - sum((i) => i.composition.fat);
  const acetic = sum((i) => i.composition.acetic);
  const water = sum((i) => i.composition.water);
  return {
    titratableAcidityMeqPer100G: sum(titratableMeqPer100G) / massG,
    tastedAcidityMeqPer100G: (tastedMeq / massG) * 100,
    tastedAcidityAsAceticMassFraction: (tastedMeq * G_ACETIC_PER_MEQ) / massG,
    tastedAcidityAsCitricMassFraction: (tastedMeq * G_CITRIC_PER_MEQ) / massG,
    waterPhaseTastedAcidityAsAceticMassFraction:
      fatFree > 0 ? (tastedMeq * G_ACETIC_PER_MEQ) / fatFree : null,
    aceticInWaterPhaseMassFraction: water + acetic > 0 ? acetic / (water + acetic) : null,
  };
}
