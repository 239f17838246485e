/** What a reading leaves open or could not make out, as sentences. */
import type { LabelProblem } from '#core/ingredient';
import type { AsideReason } from '#core/interchange';
import type { Doubt, Problem } from '#core/quantity';
import { inSentence } from './numbers';
import { sentencesNow } from './tongue';

const quoted = (items: readonly string[]): string => items.map((item) => `“${item}”`).join(', ');
const meant = (near: readonly string[]): string => (near.length ? ` Near it: ${near.join('; ')}.` : '');

const grams = (massG: number): string => `${Number(massG.toPrecision(2))} g`;

/** Why a line of a list is no addition. */
export const ASIDE_WORDS: Readonly<Record<AsideReason, string>> = {
  heading: 'a heading',
  dish: 'of the dish',
  method: 'what is to be done',
  yield: 'how much it makes',
};

/** A doubt as one sentence for a cook. */
export function sayDoubt(doubt: Doubt): string {
  switch (doubt.code) {
    case 'thousands-or-decimal':
      return `“${doubt.text}” is taken as ${doubt.takenAs}: the decimal sign in Settings decides.`;
    case 'mixed-or-range':
      return `“${doubt.text}” is taken as ${doubt.takenAs}; write “to” for a range.`;
    case 'ounce-weight-or-volume':
      return `Ounces of a liquid, by weight or by volume? Write ${quoted(doubt.choices)}.`;
    case 'part-size':
      return `One part is taken as ${doubt.partVolumeMl} ml.`;
    case 'counted-as':
      return `Counted as ${doubt.unit} of ${doubt.ingredient}.`;
    case 'no-amount-said':
      return `No amount of ${doubt.ingredient}: it goes in to taste.`;
    case 'first-of-two':
      return `Taken as ${doubt.taken}; the other is ${doubt.other}.`;
    case 'amounts-differ':
      return `The two amounts differ: ${doubt.kept} is ${grams(doubt.keptG)}, the other would be ${grams(doubt.otherG)}. Taken as ${doubt.kept}.`;
    case 'ingredient-guessed':
      return `“${doubt.text}” is taken as ${doubt.ingredient}.`;
  }
}

/** A problem as a sentence that says what is wrong and what would be understood. */
export function sayProblem(problem: Problem): string {
  const other = sentencesNow()?.problem(problem);
  if (other !== undefined) return other;
  switch (problem.code) {
    case 'empty':
      return 'Nothing typed. Try “90 ml olive oil”.';
    case 'no-amount':
      return `No amount in “${problem.text}”. Try “1 tbsp …”, “20 g …” or “… to taste”.`;
    case 'no-unit':
      return problem.units.length
        ? `${problem.ingredient} needs a unit: ${problem.units.join(', ')}.`
        : `${problem.ingredient} needs a unit, such as g, ml, tsp or tbsp.`;
    case 'no-unit-weight':
      return `How much one ${problem.unit} of ${problem.ingredient} weighs is not known. Use ${problem.units.join(', ')}.`;
    case 'pack-size':
      return `How much ${inSentence(problem.ingredient)} does a ${problem.pack} hold? Say it as “${problem.amounts[0]!}”.`;
    case 'bad-number':
      return `“${problem.text}” is not a number. Try “1½”, “1.5”, “1,5” or “1/2”.`;
    case 'negative':
      return `“${problem.text}” is below nothing. Type the amount that is added.`;
    case 'too-large':
      return `More than ${problem.limitKg} kg. Check the number and the unit.`;
    case 'leftover':
      return `“${problem.text}” is not understood. Try “1½ tsp”, “2–3 tbsp”, “a pinch”, “90 g”.`;
    case 'two-things':
      return `“${problem.text}” is two additions. Type the juice and the zest on lines of their own.`;
    case 'no-ingredient':
      return 'An amount of what? Name the ingredient after it.';
    case 'unknown-ingredient':
      return `“${problem.text}” is not in the pantry.${meant(problem.near)}`;
    case 'ambiguous-ingredient':
      return `“${problem.text}” may be several things: ${problem.near.join('; ')}.`;
  }
}

export function sayLabelProblem(problem: LabelProblem): string {
  switch (problem.code) {
    case 'too-much':
      return `The figures add up to ${problem.totalG.toFixed(0)} g in 100 g. Check them against the label, and whether it says per 100 g or per 100 ml.`;
    case 'more-sugar-than-carbohydrate':
      return 'More sugars than carbohydrate. Sugars are part of the carbohydrate: check both figures.';
  }
}
