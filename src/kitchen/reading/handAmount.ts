import { formatAmount, inSentence, type NumberStyle } from '#words/numbers';
import { sayMeasured } from '#words/tongue';
import { nearestSpoons, type SpoonSystem } from '#core/quantity';
import { isPoured, spoonVolumeMl, type Ingredient } from '#core/ingredient';

/** More off than this is another amount: then the scale says it. */
const NEAR_ENOUGH = 0.15;
/** Beyond this nobody counts cups: a jug is read. */
const JUG_ML = 250;

function byHand(
  massG: number,
  ingredient: Ingredient,
  spoons: SpoonSystem,
  style: NumberStyle,
): string | null {
  const volumeMl = spoonVolumeMl(massG, ingredient);
  if (isPoured(ingredient) && volumeMl >= JUG_ML)
    return formatAmount(Math.round(volumeMl / 10) * 10, 'ml', style);
  const near = nearestSpoons(volumeMl, spoons);
  return near && Math.abs(near.relativeError) <= NEAR_ENOUGH ? sayMeasured(near.text) : null;
}

/**
 * How much of something, as the hand measures it, the grams beside: "¾ tsp (4.2 g)"; grams alone where no spoon comes
 * near.
 *
 * @param massG above 0, g
 */
export function handMeasure(
  massG: number,
  ingredient: Ingredient,
  spoons: SpoonSystem,
  style: NumberStyle,
): string {
  const grams = formatAmount(massG, 'g', style);
  const hand = byHand(massG, ingredient, spoons, style);
  return hand ? `${hand} (${grams})` : grams;
}

/**
 * An amount of something by name: "¾ tsp honey (4.2 g)"; in grams alone where no spoon comes near.
 *
 * @param massG above 0, g
 */
export function handAmount(
  massG: number,
  ingredient: Ingredient,
  spoons: SpoonSystem,
  style: NumberStyle,
): string {
  const grams = formatAmount(massG, 'g', style);
  const name = inSentence(ingredient.name);
  const hand = byHand(massG, ingredient, spoons, style);
  return hand ? `${hand} ${name} (${grams})` : `${grams} ${name}`;
}
