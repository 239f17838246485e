/**
 * From what is known to what is said: one total and monotone procedure. Every state has one answer,
 * and what is not known counts as the worse. Adding anything never lengthens the days, lifts the cold
 * or a grave caution, or takes an allergen away, except by acid, or by dissolved salt or sugar, that
 * crosses one of the named lines. It estimates and never certifies: local codes and licensed practice
 * decide.
 */
import { exactly } from '#core/quantity';
import { allergensOf, type Allergens } from './allergens';
import { cautionsOf, inOrder, type Caution } from './cautions';
import { keepingOf, type Keeping } from './keeping';
import type { SafetyPart } from './parts';
import { stateOf, type SafetyState } from './state';
import { underOilOf } from './underOil';

export interface Safety {
  readonly state: SafetyState;
  readonly keeping: Keeping;
  readonly cautions: readonly Caution[];
  readonly allergens: Allergens;
}

export interface SafetyAbout {
  /** Lines that could not be read, as typed. */
  readonly unread: readonly string[];
  /** Read with a meter in this very jar since the last addition; null: none. pH 0 to 14. */
  readonly meteredPh: number | null;
  readonly saltUndissolved: boolean;
  /** 0..1; null where there is no water. */
  readonly saltOfWaterPhase: number | null;
}
const PLAIN: SafetyAbout = { unread: [], meteredPh: null, saltUndissolved: false, saltOfWaterPhase: null };

/** @param parts what lies in the jar, 0 g for "to taste"; formulas inside as one part */
export function safetyOf(parts: readonly SafetyPart[], about: Partial<SafetyAbout> = {}): Safety {
  const { unread, meteredPh, ...salt } = { ...PLAIN, ...about };
  const state = stateOf(parts, unread, meteredPh);
  const underOil = underOilOf(state);
  const keeping = keepingOf(state, underOil);
  const allergens = allergensOf(state.parts, state.unread);
  const cautions = cautionsOf(state, { keeping, underOil, allergens, ...salt });
  return parts.reduce(withWhatIsInside, { state, keeping, cautions, allergens });
}

/**
 * A formula inside was made and stood before: at least its own limit, cold and gravest cautions hold,
 * whatever it is stirred into. Acid does not undo what grew before it came.
 */
function withWhatIsInside(safety: Safety, { ingredient }: SafetyPart): Safety {
  const { made } = ingredient;
  if (!made) return safety;
  const inside = safetyOf(
    made.parts.map(({ massFraction, ...part }) => ({ ...part, massG: exactly(massFraction) })),
    { unread: made.unread },
  );
  const { keeping } = safety;
  const shorter = inside.keeping.days < keeping.days;
  const known = new Set(safety.cautions.map(({ code }) => code));
  return {
    ...safety,
    keeping: {
      ...(shorter ? inside.keeping : keeping),
      cold: keeping.cold || inside.keeping.cold,
    },
    cautions: inOrder([
      ...safety.cautions,
      ...inside.cautions.filter(
        ({ code, tier }) =>
          !known.has(code) && (tier === 1 || code === 'cold_holding' || code === 'cold_service'),
      ),
    ]),
  };
}
