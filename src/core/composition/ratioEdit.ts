/**
 * Setting the oil-to-acid ratio: one side keeps its amounts, the other follows.
 * R = V_oil / V_acid, so the side that follows is multiplied by R_wanted/R_now (oil) or R_now/R_wanted (acid).
 */
import type { Ingredient } from '#core/ingredient';
import {
  nearestSpoons,
  parseAmount,
  sensibly,
  type DecimalSign,
  type SpoonSystem,
  type Unit,
} from '#core/quantity';
import { composition, type Portion } from './composition';

export type RatioSide = 'oil' | 'acid';

export type RatioEdit =
  | { readonly status: 'scale'; readonly factor: number }
  | { readonly status: 'impossible'; readonly missing: RatioSide };

/** What a ratio may be set to; beyond it something was mistyped. */
export const RATIO_LIMITS = { low: 0.05, high: 50 } as const;

/** The factor for the side that follows. `wanted` must lie within {@link RATIO_LIMITS}. */
export function ratioEdit(portions: readonly Portion[], wanted: number, follows: RatioSide): RatioEdit {
  const { measures } = composition(portions);
  const now = measures.oilToAcidVolumeRatio;
  if (now === null) return { status: 'impossible', missing: 'acid' };
  if (now === 0) return { status: 'impossible', missing: 'oil' };
  return { status: 'scale', factor: follows === 'oil' ? wanted / now : now / wanted };
}

export const followsRatio = (ingredient: Ingredient, side: RatioSide): boolean =>
  side === 'oil' ? ingredient.category === 'oil' : ingredient.isAcidLiquid;

const SPOONED: ReadonlySet<Unit> = new Set<Unit>(['tsp', 'dessertspoon', 'tbsp', 'cup']);
/** Spoons are kept where they come this near to the wanted ratio. */
const SPOON_TOLERANCE = 0.02;

/**
 * The words for a new mass of something whose amount was typed as `amountText`: grams stay grams,
 * spoons stay spoons where real ones come near enough, everything else is poured in ml.
 */
export function amountTextFor(
  massG: number,
  amountText: string,
  ingredient: Ingredient,
  kitchen: { readonly spoons: SpoonSystem; readonly decimalSign: DecimalSign },
): string {
  const parsed = parseAmount(amountText, kitchen.decimalSign);
  const terms = parsed.status === 'read' && parsed.amount.kind === 'measured' ? parsed.amount.terms : [];
  const units = terms.map((term) => term.unit);
  const say = (value: number, unit: string): string =>
    `${String(sensibly(value)).replace('.', kitchen.decimalSign === 'comma' ? ',' : '.')} ${unit}`;
  if (units.some((unit) => ['g', 'kg', 'oz', 'ozWeight', 'lb', 'mg'].includes(unit))) {
    return say(massG, 'g');
  }
  const volumeMl = massG / ingredient.spoonDensityGPerMl;
  if (units.length > 0 && units.every((unit) => SPOONED.has(unit))) {
    const spoons = nearestSpoons(volumeMl, kitchen.spoons);
    if (spoons && Math.abs(spoons.relativeError) <= SPOON_TOLERANCE) return spoons.text;
  }
  return say(volumeMl, 'ml');
}
