/** What a label left out, and why nothing fits it, as sentences. */
import type { LabelTrouble, Nutrient } from '#core/label';
import { listed } from './numbers';

const NUTRIENT_WORDS: Readonly<Record<Nutrient, string>> = {
  energyKcal: 'energy',
  fatG: 'fat',
  carbohydrateG: 'carbohydrate',
  sugarsG: 'sugars',
  proteinG: 'protein',
  saltG: 'salt',
};

export function sayLabelTrouble(trouble: LabelTrouble): string {
  switch (trouble.code) {
    case 'nothing-listed':
      return 'No ingredients stand there: type the list of the label, in its order.';
    case 'first-unknown':
      return `“${trouble.text}”, the first on the list, is not in the pantry: enter it there, or say it otherwise.`;
    case 'order-or-percentages':
      return 'The percentages do not go with the order of the list, or come to more than 100: look at them again.';
    case 'nutrition':
      return `With these things in this order there cannot be so much or so little ${listed(trouble.nutrients.map((nutrient) => NUTRIENT_WORDS[nutrient]))}: look at the figures again.`;
  }
}
