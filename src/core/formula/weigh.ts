/** From an amount and what it is of to grams, with what the words of the line say about it. */
import { normaliseName, toMass, type Ingredient, type OwnMeasure } from '#core/ingredient';
import { range, times, type Doubt, type ParsedAmount } from '#core/quantity';
import type { AdditionReading, ReadingContext } from './reading';

/** A tin says what is in it with its liquid; common practice: three fifths stay in the sieve. */
const TIN_DRAINED = /\bdrained\b.*\b(?:tins?|cans?|jars?)\b/i;
const DRAINED_SHARE = range(0.6, 0.53, 0.68);

export function weigh(
  parsed: ParsedAmount,
  ingredient: Ingredient,
  form: string,
  context: ReadingContext,
  doubts: readonly Doubt[],
  own: OwnMeasure | null,
  /** The name as it was typed. */
  said: string,
): AdditionReading {
  const mass = toMass(parsed.amount, sizedAs(ingredient, said), context.measuring, form, own);
  if (mass.status === 'unread') return mass;
  return {
    status: 'read',
    ingredient,
    amount: parsed.amount,
    massG: TIN_DRAINED.test(form) ? times(mass.massG, DRAINED_SHARE) : mass.massG,
    doubts: [...parsed.doubts, ...doubts, ...mass.doubts],
  };
}

/** Some names say how large one is: a cornichon is a gherkin of a fifth of the weight. */
function sizedAs(ingredient: Ingredient, said: string): Ingredient {
  const words = normaliseName(said).split(' ');
  for (const [unit, weight] of Object.entries(ingredient.unitWeightsG)) {
    const [each, name] = unit.split(' ');
    if (each === 'each' && name && words.includes(name))
      return { ...ingredient, unitWeightsG: { ...ingredient.unitWeightsG, each: weight } };
  }
  return ingredient;
}
