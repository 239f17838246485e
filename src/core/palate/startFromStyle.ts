/** A new formula that starts from the first invented dressing of a style. */
import { emptyFormula, type Addition, type AdditionId, type Formula, type VesselId } from '#core/formula';
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import { STYLE_RECIPES, type StyleId } from './styleRecipes';

export interface RecipeLine {
  readonly ingredient: Ingredient;
  /** As a cook would type it: "90 ml". */
  readonly amountText: string;
}

/** @throws Error where a recipe names what the catalogue lacks: reference data must be whole. */
export function recipeLines(recipe: string, catalogue: Catalogue): readonly RecipeLine[] {
  return recipe.split(',').map((part) => {
    const [id = '', amount = ''] = part.trim().split(/\s+/);
    const ingredient = catalogue.get(id as IngredientId);
    if (!ingredient) throw new Error(`Style recipe: “${id}” is not in the table.`);
    return { ingredient, amountText: amount.replace(/([a-z]+)$/, ' $1') };
  });
}

/** @param newId makes an id for each addition */
export function formulaFromStyle(
  styleId: StyleId,
  vesselId: VesselId,
  catalogue: Catalogue,
  newId: () => AdditionId,
): Formula {
  const { name, recipes } = STYLE_RECIPES[styleId];
  const additions = recipeLines(recipes[0], catalogue).map(({ ingredient, amountText }, rank): Addition => ({
    id: newId(),
    amountText,
    ingredientId: ingredient.id,
    ingredientText: ingredient.name,
    form: '',
    note: '',
    phase: ingredient.category === 'oil' ? 'oil' : 'base',
    optional: false,
    locked: false,
    measuredBy: null,
    stage: 0,
    rank,
  }));
  // Recipes are written in metric spoons.
  return { ...emptyFormula(name, vesselId, 'metric'), styleId, additions };
}
