/**
 * Dried things that were soaked and drained: they weigh more, and all but their water is spread over that weight. Tag:
 * estimate; what leaches into the soaking water is left in, which errs on the salty and the sweet side.
 */
import { exactly, plus, range, times, type Range } from '#core/quantity';
import type { Category, Composition, Ingredient } from './ingredient';

/** "soaked and drained", "softened in hot water": it is taken out of the water again. */
const SOAKED = /\b(?:soaked|rehydrated|plumped|softened in (?:hot|warm|boiling|boiled|cold)?\s*water)\b/i;
const TAKES_UP: ReadonlySet<Category> = new Set(['fruit', 'veg', 'aromatic', 'spice', 'savoury', 'sweet']);
/** Above this there is no room for more. */
const MOST_WATER = 0.4;
/** With less it has neither skin nor grain. */
const LEAST_FIBRE = 0.02;
/** Water taken up, g per g dry: raisins and tomatoes about half to once their weight, nuts a third. */
const UPTAKE = range(0.6, 0.3, 1.2);
const FATTY_UPTAKE = range(0.35, 0.2, 0.5);
const FATTY = 0.3;

/** Grams of water that a gram takes up; null: as it is. */
function uptakeOf({ category, composition, made }: Ingredient, form: string): Range | null {
  if (made || !TAKES_UP.has(category) || !SOAKED.test(form) || composition.water >= MOST_WATER) return null;
  // A syrup dissolves: it is not lifted out again.
  if (composition.fibre < LEAST_FIBRE) return null;
  return composition.fat > FATTY ? FATTY_UPTAKE : UPTAKE;
}

/** The thing as it goes in; unchanged where nothing says that it was soaked, or it is no dried thing. */
export function soakedAs(ingredient: Ingredient, form: string): Ingredient {
  const uptake = uptakeOf(ingredient, form);
  if (!uptake) return ingredient;
  const share = 1 / (1 + uptake.nominal);
  const composition = Object.fromEntries(
    Object.entries(ingredient.composition).map(([key, fraction]: [string, number]) => [
      key,
      fraction * share,
    ]),
  ) as unknown as Composition;
  return {
    ...ingredient,
    composition: { ...composition, water: composition.water + uptake.nominal * share },
    energyKcalPer100G: ingredient.energyKcalPer100G * share,
    pungencyIndex: Object.fromEntries(
      Object.entries(ingredient.pungencyIndex).map(([kind, index]) => [kind, index * share]),
    ) as Ingredient['pungencyIndex'],
  };
}

/** Grams that go in of grams said dry. By weight or by the piece, what is said is the dry thing. */
export function soakedMass(massG: Range, ingredient: Ingredient, form: string): Range {
  const uptake = uptakeOf(ingredient, form);
  return uptake ? times(massG, plus(exactly(1), uptake)) : massG;
}
