/** Allergens of a dressing, with who brings them: the EU's 14 and the US's 9, and what a label may add. */
import type { Ingredient } from '#core/ingredient';

export interface AllergenEntry {
  readonly allergen: string;
  readonly from: readonly Ingredient[];
}

export interface Allergens {
  readonly eu14: readonly AllergenEntry[];
  readonly us9: readonly AllergenEntry[];
  /** Compound things vary by maker: read the label. What is certain is not repeated here. */
  readonly mayBeIn: readonly AllergenEntry[];
}

/** "cereals containing gluten (wheat)" → "cereals containing gluten". */
export const allergenGroup = (allergen: string): string => allergen.replace(/\s*\(.*\)$/, '');

/** Optional additions that are left out bring nothing; "to taste" does. */
export function allergensOf(ingredients: readonly Ingredient[]): Allergens {
  const collect = (list: (ingredient: Ingredient) => readonly string[]): readonly AllergenEntry[] => {
    const found = new Map<string, Ingredient[]>();
    for (const ingredient of new Set(ingredients)) {
      for (const allergen of list(ingredient))
        found.set(allergen, [...(found.get(allergen) ?? []), ingredient]);
    }
    return [...found].sort(([a], [b]) => a.localeCompare(b)).map(([allergen, from]) => ({ allergen, from }));
  };
  const eu14 = collect((ingredient) => ingredient.allergensEu14);
  const certain = new Set(eu14.map(({ allergen }) => allergenGroup(allergen)));
  return {
    eu14,
    us9: collect((ingredient) => ingredient.allergensUs9),
    mayBeIn: collect((ingredient) => ingredient.allergensMayBeIn).filter(
      ({ allergen }) => !certain.has(allergenGroup(allergen)),
    ),
  };
}
