/**
 * Allergens of a dressing by name, with who brings them: the EU's 14 and the US's 9, what a label may
 * add, and what the words of lines that could not be read give away. A list with such a line, or with
 * an ingredient entered by hand whose allergens nobody was asked about, is not complete, and is never
 * "none known".
 */
import type { Ingredient } from '#core/ingredient';
import { allergensInWords } from './allergenWords';
import type { SafetyPart } from './parts';

export interface AllergenEntry {
  readonly allergen: string;
  readonly from: readonly Ingredient[];
}
export interface ProbableAllergen {
  readonly allergen: string;
  /** Lines and names whose words say it. */
  readonly from: readonly string[];
}

export interface Allergens {
  readonly eu14: readonly AllergenEntry[];
  readonly us9: readonly AllergenEntry[];
  /** Compound things vary by maker: read the label. What is certain is not repeated here. */
  readonly mayBeIn: readonly AllergenEntry[];
  readonly probableEu14: readonly ProbableAllergen[];
  readonly probableUs9: readonly ProbableAllergen[];
  /** What keeps the list from being complete, as it was typed; empty: complete. */
  readonly missing: readonly string[];
}

/** "cereals containing gluten (wheat)" → "cereals containing gluten". */
export const allergenGroup = (allergen: string): string => allergen.replace(/\s*\(.*\)$/, '');

const FULLY_REFINED = /\bfully[- ]refined\b/i;
const SOY: ReadonlySet<string> = new Set(['soy', 'soybean']);

/** Optional additions that are left out bring nothing; "to taste", taken out again and inside a formula all count. */
export function allergensOf(parts: readonly SafetyPart[], unread: readonly string[]): Allergens {
  const collect = (list: (part: SafetyPart) => readonly string[]): readonly AllergenEntry[] => {
    const found = new Map<string, Set<Ingredient>>();
    for (const part of parts) {
      for (const allergen of list(part))
        found.set(allergen, (found.get(allergen) ?? new Set()).add(part.ingredient));
    }
    return [...found]
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([allergen, from]) => ({ allergen, from: [...from] }));
  };
  const named = (list: readonly string[], { ingredient, form = '' }: SafetyPart): readonly string[] =>
    ingredient.category === 'oil' && FULLY_REFINED.test(form) ? list.filter((name) => !SOY.has(name)) : list;
  const eu14 = collect((part) => named(part.ingredient.allergensEu14, part));
  const us9 = collect((part) => named(part.ingredient.allergensUs9, part));
  const certain = new Set(eu14.map(({ allergen }) => allergen));
  const groups = new Set(eu14.map(({ allergen }) => allergenGroup(allergen)));
  const byHand = parts
    .filter(({ ingredient: { byHand: about } }) => about !== undefined && !about.allergensAnswered)
    .map(({ ingredient }) => ingredient.name);
  const missing = [...new Set([...unread, ...byHand])];
  const probable = (which: 'eu14' | 'us9', sure: readonly AllergenEntry[]): readonly ProbableAllergen[] => {
    const found = new Map<string, string[]>();
    for (const text of missing) {
      for (const allergen of allergensInWords(text)[which])
        found.set(allergen, [...(found.get(allergen) ?? []), text]);
    }
    return [...found]
      .filter(([allergen]) => !sure.some((entry) => entry.allergen === allergen))
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([allergen, from]) => ({ allergen, from }));
  };
  return {
    eu14,
    us9,
    // "Cereals (barley)" being certain does not take "perhaps cereals (wheat)" away.
    mayBeIn: collect(({ ingredient }) => ingredient.allergensMayBeIn).filter(
      ({ allergen }) =>
        !certain.has(allergen) && !(allergen === allergenGroup(allergen) && groups.has(allergen)),
    ),
    probableEu14: probable('eu14', eu14),
    probableUs9: probable('us9', us9),
    missing,
  };
}
