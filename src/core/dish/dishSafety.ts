/**
 * Allergens and cautions of a dressed dish, by the one procedure of safety: what lies in the bowl is judged as one.
 * What is said of a jar that stands (under oil, its acid, its salt) stays the dressing's own: a bowl is eaten.
 */
import { exactly } from '#core/quantity';
import { inOrder, safetyOf, type Allergens, type Caution, type CautionCode } from '#core/safety';
import type { DishThing } from './dish';

const OF_THE_JAR: ReadonlySet<CautionCode> = new Set<CautionCode>([
  ...(['infused_oil', 'garlic_or_herb_under_oil', 'raw_egg_acid', 'high_ph', 'keep_dry'] as const),
  ...(['salt_undissolved', 'acid_and_metal'] as const),
]);

type Parts = Parameters<typeof safetyOf>[0];

/**
 * Never fewer allergens or cautions than the dressing has by itself.
 *
 * @param dressing what lies in its jar
 * @param unread lines of the dressing and of the dish that could not be read, as typed: they may hold anything
 */
export function safetyWithDish(
  dressing: Parts,
  own: { readonly cautions: readonly Caution[] },
  things: readonly DishThing[],
  unread: readonly string[],
): { readonly allergens: Allergens; readonly cautions: readonly Caution[] } {
  const parts = things.map(({ ingredient, massG }) => ({
    ingredient,
    massG: exactly(massG),
    form: '',
    pieces: true,
  }));
  const whole = safetyOf([...dressing, ...parts], { unread });
  const ofBowl = whole.cautions.filter(({ code }) => !OF_THE_JAR.has(code));
  const said = new Set(ofBowl.map(({ code }) => code));
  return {
    allergens: whole.allergens,
    cautions: inOrder([...ofBowl, ...own.cautions.filter(({ code }) => !said.has(code))]),
  };
}
