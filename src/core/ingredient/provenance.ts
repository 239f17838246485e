/**
 * Where each figure of an ingredient is known from. Composition counts as published only where the food table that is
 * at hand agrees with it (see againstFoodTable.test.ts); the rest of a row never is.
 */
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

/** The weakest of what is reckoned with. */
export const weakestOf = (ingredient: Ingredient): Tag =>
  Object.values(provenanceOf(ingredient)).reduce(weaker, 'published');
