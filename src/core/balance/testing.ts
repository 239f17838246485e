/** Dressings for tests, written as "olive_ev 90ml, salt_table 4g". */
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { MayAdd } from './program';

export function named(id: string): Ingredient {
  const ingredient = REFERENCE_CATALOGUE.get(id as IngredientId);
  if (!ingredient) throw new Error(`No ingredient ${id}.`);
  return ingredient;
}

export const dressing = (text: string): readonly JudgedPortion[] =>
  text.split(',').map((part) => {
    const [id = '', amount = ''] = part.trim().split(' ');
    const ingredient = named(id);
    const inMl = amount.endsWith('ml');
    return {
      ingredient,
      form: '',
      massG: exactly(parseFloat(amount) * (inMl ? ingredient.spoonDensityGPerMl : 1)),
    };
  });

export const mayAdd = (...ids: readonly string[]): readonly MayAdd[] =>
  ids.map((id) => ({ ingredient: named(id), form: '', stockG: null }));
