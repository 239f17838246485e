/**
 * Low-acid plants under oil: botulinum grows without air, and heat spares its spores. FDA Food Code
 * 1-201.10 names garlic-in-oil (recalled). A share of oil or water decides nothing: water would lift it.
 */
import { isWet } from '#core/acidity';
import { pouredOilOf, type Ingredient } from '#core/ingredient';
import { atMost, isStronglySour, PH_LINES } from './foodCode';
import { hazardsOf, isDryPart, isLowAcidPlant, poursOil, type SafetyPart } from './parts';
import type { SafetyState } from './state';

export interface UnderOil {
  readonly plants: readonly Ingredient[];
  /** Enough acid reaches them, or one stirred sour phase holds all: tier 2 and not tier 1. */
  readonly reached: boolean;
}

/** Vinegar and sour juice to poured oil by mass; less reaches nothing. Estimate. */
const LEAST_ACID_TO_OIL = 0.1;
/** Cultured milk and mayonnaise of the whole: one stirred water phase. Estimate. */
const ONE_PHASE_SHARE = 0.4;

/** Null where no such plant lies wet under poured oil. */
export function underOilOf(state: SafetyState): UnderOil | null {
  const { parts } = state;
  const oil = state.namesOil || parts.some(poursOil);
  if (!oil) return null;
  const anyWet = state.unread.length > 0 || parts.some((part) => !isDryPart(part));
  const soaked = soaks(state);
  const plants = parts.filter(
    (part) => isLowAcidPlant(part) && (isWet(part.ingredient) || (anyWet && !(soaked && isFine(part)))),
  );
  if (plants.length === 0 && !state.namesPlant) return null;
  return {
    plants: [...new Set(plants.map(({ ingredient }) => ingredient))],
    // Of a plant that only words name nothing is known.
    reached: !state.namesPlant && (soaked || isOnePhase(state)),
  };
}

/** Dry plants under oil with nothing wet: they keep as long as they stay dry. */
export const driedUnderOil = (state: SafetyState): readonly Ingredient[] =>
  state.isDry && state.parts.some(poursOil)
    ? [...new Set(state.parts.filter(isLowAcidPlant).map(({ ingredient }) => ingredient))]
    : [];

const grams = (parts: readonly SafetyPart[], value: (part: SafetyPart) => number): number =>
  parts.reduce((sum, part) => sum + value(part) * part.massG.nominal, 0);

/** Powder, flakes, rubbed leaves: they take up the acid they soak in. */
const isFine = ({ pieces }: SafetyPart): boolean => pieces !== true;

/** A sour water phase that is more than a drop under the oil. The blended figure: pieces keep their cold. */
function soaks(state: SafetyState): boolean {
  const { parts } = state;
  const oilG = grams(parts, ({ ingredient }) => pouredOilOf(ingredient).g);
  const sourG = grams(parts, ({ ingredient: { category, hazards } }) =>
    category === 'vinegar' || hazards.includes('sour_juice') ? 1 : 0,
  );
  return isStronglySour(state, PH_LINES.underOil) && sourG >= LEAST_ACID_TO_OIL * oilG;
}

function isOnePhase(state: SafetyState): boolean {
  const { parts, ph } = state;
  const stirredG = grams(parts, (part) =>
    part.ingredient.traits.includes('cultured_milk') || hazardsOf(part).includes('mayonnaise') ? 1 : 0,
  );
  return atMost(ph.upper, PH_LINES.cultured) && stirredG >= ONE_PHASE_SHARE * grams(parts, () => 1);
}
