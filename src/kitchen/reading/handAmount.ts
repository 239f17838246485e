import type { NumberStyle } from '#words/numbers';
import { formatAmount, inSentence } from '#words/numbers';
import { nearestSpoons, type SpoonSystem } from '#core/quantity';
import { spoonVolumeMl, type Ingredient } from '#core/ingredient';

/** More off than this is another amount: then the scale says it. */
const NEAR_ENOUGH = 0.15;

/**
 * An amount as the hand measures it, the grams beside: "¾ tsp honey (4.2 g)"; in grams alone where no spoon comes near.
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
  const near = nearestSpoons(spoonVolumeMl(massG, ingredient), spoons);
  return near && Math.abs(near.relativeError) <= NEAR_ENOUGH
    ? `${near.text} ${name} (${grams})`
    : `${grams} ${name}`;
}
