/** What is missing to make a jar from what the kitchen has. */
import type { Ingredient, IngredientId } from '#core/ingredient';
import type { Portion } from './composition';

export interface Shortage {
  readonly ingredient: Ingredient;
  readonly neededG: number;
  /** Null: nobody said how much there is. */
  readonly onHandG: number | null;
}

/** Water comes from the tap. The same ingredient in two lines is needed twice. */
export function shortages(
  portions: readonly Portion[],
  onHandG: (id: IngredientId) => number | null,
): readonly Shortage[] {
  const needed = new Map<IngredientId, { ingredient: Ingredient; neededG: number }>();
  const need = (ingredient: Ingredient, massG: number): void => {
    if (ingredient.category === 'water') return;
    // A house mayonnaise that is not in the pantry is made from what is.
    if (ingredient.made && onHandG(ingredient.id) === null) {
      for (const part of ingredient.made.parts) need(part.ingredient, part.massFraction * massG);
      return;
    }
    const before = needed.get(ingredient.id)?.neededG ?? 0;
    needed.set(ingredient.id, { ingredient, neededG: before + massG });
  };
  for (const { ingredient, massG } of portions) need(ingredient, massG.nominal);
  return [...needed.values()].flatMap(({ ingredient, neededG }) => {
    const has = onHandG(ingredient.id);
    return has !== null && has >= neededG ? [] : [{ ingredient, neededG, onHandG: has }];
  });
}
