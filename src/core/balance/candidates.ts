/** What a cook would reach for, by what it does: the dressing's own things first, then the pantry's, then plain staples. */
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';
import { handUnitsFor, type Hand } from './gestures';
import type { MayAdd } from './program';

export const ROLES = [
  ...(['oil', 'neutral oil', 'acid', 'water', 'salt', 'sweet'] as const),
  ...(['mustard', 'savoury', 'creamy', 'thin creamy', 'thickener'] as const),
] as const;
export type Role = (typeof ROLES)[number];

const THIN_BODY = 15;
const SAVOURY_SALT = 0.03;

/** Every role an ingredient can play in mending; none for herbs, alliums and the like. Rule: estimate. */
export function rolesOf(ingredient: Ingredient): readonly Role[] {
  const { category, pungencyIndex, bodyIndex, composition, isAcidLiquid } = ingredient;
  if (category === 'oil') return pungencyIndex.bitterOil > 0 ? ['oil'] : ['oil', 'neutral oil'];
  if (isAcidLiquid) return ['acid'];
  if (category === 'water') return ['water'];
  if (category === 'salt') return ['salt'];
  if (category === 'sweet') return ['sweet'];
  if (category === 'emulsifier') {
    if (pungencyIndex.mustard > 0) return composition.water > 0.1 ? ['mustard'] : [];
    return composition.fat > 0.2 && !ingredient.hazards.includes('raw_egg') ? ['creamy'] : [];
  }
  if (category === 'creamy') return bodyIndex < THIN_BODY ? ['thin creamy', 'creamy'] : ['creamy'];
  if (category === 'thickener') return bodyIndex > 1000 ? ['thickener'] : [];
  return category === 'savoury' && composition.salt >= SAVOURY_SALT && bodyIndex < 25 ? ['savoury'] : [];
}

/** Plain things most kitchens have. */
const STAPLES: readonly string[] = [
  ...['sunflower', 'olive_ev', 'lemon_juice', 'vin_whitewine6', 'water', 'salt_table'],
  ...['honey', 'sugar_white', 'mustard_dijon', 'soy_sauce', 'anchovy'],
  ...['yoghurt_whole', 'buttermilk', 'mayo_full', 'yoghurt_greek', 'xanthan'],
];

const MOST_PER_ROLE = 4;
/** What goes into one search at most: 298 programs of up to three ingredients. */
export const MOST_CANDIDATES = 12;

export interface CandidateContext {
  readonly catalogue: Catalogue;
  /** g on hand; null: nobody said. */
  readonly stockG: (id: IngredientId) => number | null;
  /** Whose amount is locked: it may not grow. */
  readonly locked: ReadonlySet<IngredientId>;
  /** How this cook doses; left out: to the gram. */
  readonly hand?: Hand;
  /** What a gram costs; null where nobody said. */
  readonly pricePerG?: (id: IngredientId) => number | null;
}

/** From here on a dressing is creamy, not oil and acid. */
const CREAMY_BASE = 0.25;

/** Nobody pours oil into a bought mayonnaise sauce to mend it, or buttermilk into a balsamic. Common practice. */
function suits(portions: readonly JudgedPortion[]): (ingredient: Ingredient) => boolean {
  const share = (is: (ingredient: Ingredient) => boolean): number => {
    const all = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
    const part = portions.reduce(
      (sum, { ingredient, massG }) => sum + (is(ingredient) ? massG.nominal : 0),
      0,
    );
    return all > 0 ? part / all : 0;
  };
  const creamy = share((ingredient) => rolesOf(ingredient).includes('creamy'));
  const oil = share(({ category }) => category === 'oil');
  const citrus = share(({ category }) => category === 'citrus') > 0;
  return (ingredient) => {
    const roles = rolesOf(ingredient);
    if (ingredient.category === 'oil') return oil > 0 || creamy < CREAMY_BASE;
    if (!roles.includes('creamy') || creamy > 0 || portions.length === 0) return true;
    // Yoghurt or mayonnaise rounds lemon and oil; vinegar and oil they turn into another dressing.
    return citrus && !roles.includes('thin creamy');
  };
}

/**
 * Ingredients that may go in, at most {@link MOST_PER_ROLE} a role. Stock is what is left once the
 * dressing itself is made; what the pantry says it is out of is not offered.
 */
export function candidatesFor(
  portions: readonly JudgedPortion[],
  { catalogue, stockG, locked, hand, pricePerG }: CandidateContext,
): readonly MayAdd[] {
  const own = new Map(portions.map(({ ingredient }) => [ingredient.id, ingredient]));
  const inPantry = [...catalogue.values()].filter(({ id }) => (stockG(id) ?? 0) > 0);
  const staples = STAPLES.flatMap((id) => catalogue.get(id as IngredientId) ?? []);
  const found: MayAdd[] = [];
  const perRole = new Map<Role, number>();
  const fits = suits(portions);
  const jarMassG = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  const onHand = new Set(inPantry.map(({ id }) => id));
  // By id: what came out of a worker is the same ingredient and another object.
  const offered = new Map<IngredientId, Ingredient>();
  for (const one of [...own.values(), ...inPantry, ...staples])
    if (!offered.has(one.id)) offered.set(one.id, one);
  for (const ingredient of offered.values()) {
    const roles = rolesOf(ingredient);
    if (roles.length === 0 || locked.has(ingredient.id)) continue;
    if (!own.has(ingredient.id) && !fits(ingredient)) continue;
    if (!own.has(ingredient.id) && roles.every((role) => (perRole.get(role) ?? 0) >= MOST_PER_ROLE)) continue;
    const used = portions.reduce(
      (sum, portion) => (portion.ingredient.id === ingredient.id ? sum + portion.massG.nominal : sum),
      0,
    );
    const has = ingredient.category === 'water' ? null : stockG(ingredient.id);
    const left = has === null ? null : Math.max(0, has - used);
    if (left === 0) continue;
    // The same care as what is already there: garlic grated stays grated.
    const form = portions.find((portion) => portion.ingredient.id === ingredient.id)?.form ?? '';
    const price = pricePerG?.(ingredient.id) ?? null;
    found.push({
      ingredient,
      form,
      stockG: left,
      from: own.has(ingredient.id) ? 'jar' : onHand.has(ingredient.id) ? 'pantry' : 'staple',
      ...(hand ? { hand: handUnitsFor(ingredient, hand, jarMassG) } : {}),
      ...(price === null ? {} : { pricePerG: price }),
    });
    for (const role of roles) perRole.set(role, (perRole.get(role) ?? 0) + 1);
  }
  return found;
}

export const withRoles = (mayAdd: readonly MayAdd[], roles: readonly Role[]): readonly MayAdd[] =>
  mayAdd
    .filter(({ ingredient }) => rolesOf(ingredient).some((role) => roles.includes(role)))
    .slice(0, MOST_CANDIDATES);
