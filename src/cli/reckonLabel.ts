/** A bought bottle's label worked backwards, for the command line. */
import { labelSchema } from '#contract';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { fitLabel, NUTRIENTS, readLabel, type Printed } from '#core/label';
import { sayLabelTrouble } from '#words/fromLabel';
import { readJson } from './readJson';

/** @param text JSON by docs/label.schema.json. @returns the answer, or what is wrong with the file in words */
export function labelFrom(text: string, file: string) {
  const checked = readJson(labelSchema, text, file);
  if (typeof checked === 'string') return checked;
  const { ingredients, per100G } = checked;
  const printed: Printed = Object.fromEntries(
    NUTRIENTS.flatMap((nutrient) => {
      const stands = per100G[nutrient];
      return stands === undefined ? [] : [[nutrient, stands] as const];
    }),
  );
  const { answers, impossible, leftOut } = fitLabel(readLabel(ingredients, REFERENCE_CATALOGUE), printed);
  return {
    answers: answers.map(({ additions, misfit }) => ({
      additions: additions.map(({ ingredient, gPer100G, low, high }) => ({
        ingredientId: ingredient.id,
        gPer100G,
        low,
        high,
      })),
      misfit,
    })),
    impossible: impossible.map((trouble) => ({ ...trouble, message: sayLabelTrouble(trouble) })),
    leftOut,
  };
}
