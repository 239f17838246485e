/**
 * What is written down of a dressing's safety on the day it is made: codes, numbers and names, so that it
 * can be said later in any words, and outlives the pantry it was found in.
 */
import type { Ingredient } from '#core/ingredient';
import type { Allergens } from './allergens';
import type { Caution, CautionCode } from './cautions';
import type { Keeping, LimitName } from './keeping';

/** As it stands on a label or a bottle. */
export interface Named {
  readonly name: string;
}
export interface CautionRecord {
  readonly code: CautionCode;
  readonly value: number | null;
  readonly limit: number | null;
  readonly ingredients: readonly Named[];
  /** As typed. */
  readonly words: readonly string[];
}
export interface SafetyRecord {
  readonly limit: LimitName;
  readonly limitedBy: readonly Named[];
  readonly allergens: {
    readonly certain: readonly string[];
    readonly probable: readonly string[];
    readonly mayBe: readonly string[];
    /** What keeps the list from being complete. */
    readonly missing: readonly string[];
  };
  readonly cautions: readonly CautionRecord[];
}
/** Found by the procedure, or in the words of a release that kept only those. */
export type SafetyOfTheDay =
  | ({ readonly kind: 'found' } & SafetyRecord)
  | {
      readonly kind: 'said';
      readonly because: string;
      readonly allergens: readonly string[];
      readonly cautions: readonly string[];
      /** Null: of a day before they were chosen. */
      readonly onLabel: readonly string[] | null;
    };

const named = (ingredients: readonly Ingredient[]): readonly Named[] =>
  ingredients.map(({ name }) => ({ name }));

/** @param found by {@link safetyOf} */
export function recordSafety(found: {
  readonly keeping: Keeping;
  readonly allergens: Allergens;
  readonly cautions: readonly Caution[];
}): { readonly keeping: { readonly days: number; readonly cold: boolean }; readonly safety: SafetyOfTheDay } {
  const { keeping, allergens, cautions } = found;
  return {
    keeping: { days: keeping.days, cold: keeping.cold },
    safety: {
      kind: 'found',
      limit: keeping.limit,
      limitedBy: named(keeping.ingredients),
      allergens: {
        certain: allergens.eu14.map(({ allergen }) => allergen),
        probable: allergens.probableEu14.map(({ allergen }) => allergen),
        mayBe: allergens.mayBeIn.map(({ allergen }) => allergen),
        missing: allergens.missing,
      },
      cautions: cautions.map(({ code, value, limit, ingredients, words }) => ({
        code,
        value,
        limit,
        ingredients: named(ingredients),
        words,
      })),
    },
  };
}
