/**
 * Where each figure of an ingredient is known from. Composition counts as published only where the food table that is
 * at hand agrees with it (see againstFoodTable.test.ts); the rest of a row never is.
 */
import { range, type Range } from '#core/quantity';
import { isPoured } from './category';
import { spreadOf } from './row';
import { TAGS, type Ingredient, type Tag } from './ingredient';

export const FIGURES = [
  'composition',
  'energy',
  'density',
  'unitWeights',
  'acidsAndPh',
  'proteinBuffer',
  'pungencyAndBody',
  'emulsion',
] as const;
export type Figure = (typeof FIGURES)[number];

/** The less is known of two, the later it stands in {@link TAGS}. */
const weaker = (a: Tag, b: Tag): Tag => (TAGS.indexOf(a) >= TAGS.indexOf(b) ? a : b);

/** Figures that it has; acids only where it holds some. */
export function provenanceOf(ingredient: Ingredient): Readonly<Partial<Record<Figure, Tag>>> {
  const { composition: c, tag, comparedWith, unitWeightsG, typicalPh, pungencyIndex, bodyIndex } = ingredient;
  const acids = c.acetic + c.citric + c.lactic + c.malic + c.tartaric;
  const isPungent = bodyIndex > 0 || Object.values(pungencyIndex).some((index) => index > 0);
  return {
    composition: comparedWith === null ? tag : 'published',
    energy: weaker(tag, 'from memory'),
    density: weaker(tag, 'from memory'),
    ...(Object.keys(unitWeightsG).length > 0 ? { unitWeights: weaker(tag, 'common practice') } : {}),
    ...(typicalPh !== null || acids > 0 ? { acidsAndPh: weaker(tag, 'from memory') } : {}),
    ...(c.protein > 0 && c.water > 0 ? { proteinBuffer: 'estimate' as const } : {}),
    ...(isPungent ? { pungencyAndBody: 'estimate' as const } : {}),
    ...(ingredient.emulsion ? { emulsion: 'estimate' as const } : {}),
  };
}

/** How far a figure may be from the truth of a bottle at hand. Tag: estimate. */
export type Spread =
  | { readonly kind: 'definition' }
  | { readonly kind: 'share'; readonly fraction: number }
  | { readonly kind: 'ph'; readonly units: number };

/** What the pH of a table is worth; safety reckons with the same. */
export const OWN_PH_SPREAD = 0.2;
/** Read with a meter, in the kitchen. */
const METER_SPREAD = 0.1;
const COMPOSITION_SPREAD: Readonly<Record<Tag, number>> = {
  published: 0.1,
  'common practice': 0.15,
  'from memory': 0.15,
  estimate: 0.3,
};
/** Energy of a row agrees with its own macros within this; what they are worth comes on top. */
const ENERGY_OF_MACROS = 0.08;
/** What pours holds no air; how full a spoon of anything else is heaped differs. */
const DENSITY_SPREAD = { poured: 0.03, heaped: 0.15 };
const SPOON_WEIGHT_SPREAD = 0.15;
const SHARES = { proteinBuffer: 0.4, pungencyAndBody: 0.5, emulsion: 0.5 } as const;
/** Of one thing alone: salt is salt, water is water. */
const PURE = 0.9995;

const isPure = ({ composition }: Ingredient): boolean =>
  Object.values(composition).some((fraction: number) => fraction >= PURE);

/** Null where it has no such figure. */
export function spreadOfFigure(ingredient: Ingredient, figure: Figure): Spread | null {
  const tag = provenanceOf(ingredient)[figure];
  if (!tag) return null;
  switch (figure) {
    case 'composition':
      return isPure(ingredient) ? { kind: 'definition' } : share(COMPOSITION_SPREAD[tag]);
    case 'energy':
      return share(Math.hypot(ENERGY_OF_MACROS, isPure(ingredient) ? 0 : COMPOSITION_SPREAD[tag]));
    case 'density':
      return share(isPoured(ingredient) ? DENSITY_SPREAD.poured : DENSITY_SPREAD.heaped);
    case 'unitWeights':
      return share(Math.max(...unitSpreads(ingredient)));
    case 'acidsAndPh':
      return { kind: 'ph', units: ingredient.phMeasured ? METER_SPREAD : OWN_PH_SPREAD };
    default:
      return share(SHARES[figure]);
  }
}

const share = (fraction: number): Spread => ({ kind: 'share', fraction });

const unitSpreads = ({ unitWeightsG }: Ingredient): readonly number[] =>
  Object.entries(unitWeightsG).map(([unit, weight]) => {
    const { nominal, low, high } = unitRange(unit, weight);
    return Math.max(high / nominal - 1, 1 - low / nominal);
  });

/** One of it, with what a hand makes of a spoon. */
function unitRange(unit: string, weight: Range): Range {
  const spread = spreadOf(unit, weight);
  if (spread.low !== spread.high) return spread;
  const { nominal } = weight;
  return range(nominal, nominal * (1 - SPOON_WEIGHT_SPREAD), nominal * (1 + SPOON_WEIGHT_SPREAD));
}

/** The weakest of what is reckoned with. */
export const weakestOf = (ingredient: Ingredient): Tag =>
  Object.values(provenanceOf(ingredient)).reduce(weaker, 'published');
