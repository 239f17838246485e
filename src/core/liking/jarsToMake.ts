/**
 * Jars that could be made next of what is on hand: the one liked most with one thing changed, and invented dressings of
 * the styles. A change a cook would try: two thirds or half as much again of one line, or a dose of something new.
 */
import { rolesOf } from '#core/balance';
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import { isCreamy, STYLE_IDS, stylePortions, type PalatePortion, type StyleId } from '#core/palate';
import { exactly } from '#core/quantity';

export interface JarToMake {
  readonly portions: readonly PalatePortion[];
  readonly from:
    | { readonly kind: 'changed'; readonly ingredient: Ingredient; readonly factor: number }
    | { readonly kind: 'added'; readonly ingredient: Ingredient; readonly massG: number }
    | { readonly kind: 'style'; readonly styleId: StyleId };
}

const FACTORS: readonly number[] = [2 / 3, 3 / 2];
/** Share of the jar that a first dose of it is; common practice. */
const DOSES: readonly (readonly [ReturnType<typeof rolesOf>[number], number])[] = [
  ['sweet', 0.04],
  ['acid', 0.06],
  ['mustard', 0.04],
  ['creamy', 0.15],
  ['savoury', 0.03],
];
const GARLIC_DOSE = 0.015;
const MOST_NEW = 12;

/** @param base the jar liked most. @param hasIt whether it is on hand; water always is */
export function jarsToMake(
  base: readonly PalatePortion[],
  catalogue: Catalogue,
  hasIt: (id: IngredientId) => boolean,
): readonly JarToMake[] {
  const massG = base.reduce((sum, one) => sum + one.massG.nominal, 0);
  const has = ({ id, category }: Ingredient): boolean => category === 'water' || hasIt(id);
  const within = base.every(({ ingredient }) => has(ingredient));
  const changed = base.flatMap((portion, at): JarToMake[] =>
    portion.massG.nominal <= 0
      ? []
      : FACTORS.map((factor) => ({
          from: { kind: 'changed', ingredient: portion.ingredient, factor },
          portions: base.map((one, i) =>
            i === at ? { ...one, massG: exactly(one.massG.nominal * factor) } : one,
          ),
        })),
  );
  const creamy = isCreamy(base) === true;
  const inIt = new Set(base.map(({ ingredient }) => ingredient.id));
  const added = [...catalogue.values()]
    .flatMap((ingredient): JarToMake[] => {
      const dose = doseOf(ingredient, creamy);
      if (dose === null || inIt.has(ingredient.id) || !hasIt(ingredient.id)) return [];
      const portion = { ingredient, form: '', massG: exactly(dose * massG) };
      return [{ from: { kind: 'added', ingredient, massG: dose * massG }, portions: [...base, portion] }];
    })
    .slice(0, MOST_NEW);
  const styles = STYLE_IDS.flatMap((styleId) =>
    stylePortions(styleId, catalogue).flatMap((portions): JarToMake[] =>
      portions.every(({ ingredient }) => has(ingredient))
        ? [{ from: { kind: 'style', styleId }, portions }]
        : [],
    ),
  );
  return [...(within ? [...changed, ...added] : []), ...styles];
}

/** Nobody stirs yoghurt into a vinaigrette to learn something of it. */
function doseOf(ingredient: Ingredient, creamy: boolean): number | null {
  if (ingredient.id === 'garlic') return GARLIC_DOSE;
  const roles = rolesOf(ingredient);
  return DOSES.find(([role]) => roles.includes(role) && (creamy || role !== 'creamy'))?.[1] ?? null;
}
