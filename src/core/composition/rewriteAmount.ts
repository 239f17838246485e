/** The words for a new amount of something, in the spirit of the words it was typed in. */
import type { Ingredient } from '#core/ingredient';
import {
  isMassUnit,
  nearestSpoons,
  parseAmount,
  sensibly,
  withCount,
  type AmountTerm,
  type DecimalSign,
  type SpoonSystem,
  type Unit,
} from '#core/quantity';

export interface Wording {
  readonly spoons: SpoonSystem;
  readonly decimalSign: DecimalSign;
}

const SPOONED: ReadonlySet<Unit> = new Set<Unit>(['tsp', 'dessertspoon', 'tbsp', 'cup']);
/** Spoons and counts are kept where they come this near to what is wanted (relative). */
const SPOON_TOLERANCE = 0.02;
/** The smallest share of one that a cook would take; tag: common practice. */
const COUNT_STEP: Partial<Record<Unit, number>> = {
  clove: 0.5,
  yolk: 1,
  egg: 1,
  fillet: 1,
  sprig: 1,
  leaf: 1,
  bunch: 0.25,
  piece: 0.5,
  juice: 0.25,
  zest: 0.25,
  each: 0.25,
  handful: 0.5,
  knob: 0.5,
  pinch: 1,
  dash: 1,
  drop: 1,
  grind: 1,
  splash: 1,
  ladle: 0.5,
  part: 0.25,
};

function termsOf(amountText: string, decimalSign: DecimalSign): readonly AmountTerm[] {
  const parsed = parseAmount(amountText, decimalSign);
  return parsed.status === 'read' && parsed.amount.kind === 'measured' ? parsed.amount.terms : [];
}

const say = (value: number, unit: string, { decimalSign }: Wording): string =>
  `${String(sensibly(value)).replace('.', decimalSign === 'comma' ? ',' : '.')} ${unit}`;

/**
 * Grams stay grams, spoons stay spoons where real ones come near enough, everything else is poured in ml.
 * @param massG the new mass, g, > 0
 */
export function amountTextFor(
  massG: number,
  amountText: string,
  ingredient: Ingredient,
  wording: Wording,
): string {
  const units = termsOf(amountText, wording.decimalSign).map((term) => term.unit);
  if (units.some(isMassUnit)) return say(massG, 'g', wording);
  const volumeMl = massG / ingredient.spoonDensityGPerMl;
  if (units.length > 0 && units.every((unit) => SPOONED.has(unit))) {
    const spoons = nearestSpoons(volumeMl, wording.spoons);
    if (spoons && Math.abs(spoons.relativeError) <= SPOON_TOLERANCE) return spoons.text;
  }
  return say(volumeMl, 'ml', wording);
}

/**
 * The amount times a factor. What is counted stays counted where the count comes out sensible
 * ("2 yolks" doubled is "4 yolks"), and turns into grams where it does not.
 *
 * @param massG what it weighs now, nominal, g
 * @param factor > 0
 */
export function scaledAmountText(
  amountText: string,
  massG: number,
  ingredient: Ingredient,
  factor: number,
  wording: Wording,
): string {
  const terms = termsOf(amountText, wording.decimalSign);
  const [only] = terms;
  const step = only && COUNT_STEP[only.unit];
  if (!only || terms.length > 1 || step === undefined) {
    return amountTextFor(massG * factor, amountText, ingredient, wording);
  }
  const wanted = only.count.nominal * factor;
  const count = Math.round(wanted / step) * step;
  if (count > 0 && Math.abs(count / wanted - 1) <= SPOON_TOLERANCE) {
    return withCount(amountText, count, wording.decimalSign) ?? say(massG * factor, 'g', wording);
  }
  return say(massG * factor, 'g', wording);
}
