/**
 * What somebody most likely poured just now: what comes after the last thing in dressings that are known, how common it
 * is, whether so much of it would come that way, and what is on hand. A naive Bayes score; all weights: estimate.
 */
import {
  isPoured,
  spoonVolumeMl,
  type Catalogue,
  type Ingredient,
  type IngredientId,
} from '#core/ingredient';
import type { Pour } from './between';

/** A dressing that is known, in the order it is made: the kitchen's own count more than a style's. */
export interface KnownDressing {
  readonly lines: readonly { readonly ingredientId: IngredientId; readonly massG: number }[];
  readonly weight: number;
}

export interface LikelyAsk {
  readonly known: readonly KnownDressing[];
  readonly catalogue: Catalogue;
  /** What went in before and was named, in its order. */
  readonly before: readonly IngredientId[];
  readonly pour: Pick<Pour, 'massG' | 'kind'>;
  readonly isOnHand: (id: IngredientId) => boolean;
}

const ON_HAND = 0.8;
/** In it already: a second pour of it is less likely than a first of something else. */
const AGAIN = -1.2;
const FOLLOWS = 4;
/** So many times more or less than usual is e times less likely. */
const USUAL_FACTOR = 3;
/** So little of a liquid that it is a dash of it, ml. */
const DASH_ML = 2;

/** Most likely first, at most `most`. */
export function likelyPours(ask: LikelyAsk, most: number): readonly IngredientId[] {
  const { known, catalogue, before, pour, isOnHand } = ask;
  const last = before.at(-1) ?? null;
  const found = new Map<IngredientId, { often: number; follows: number; masses: number[] }>();
  for (const { lines, weight } of known)
    for (const [i, { ingredientId, massG }] of lines.entries()) {
      const one = found.get(ingredientId) ?? { often: 0, follows: 0, masses: [] };
      one.often += weight;
      if ((lines[i - 1]?.ingredientId ?? null) === last) one.follows += weight;
      if (massG > 0) one.masses.push(massG);
      found.set(ingredientId, one);
    }
  return [...found]
    .flatMap(([id, { often, follows, masses }]) => {
      const ingredient = catalogue.get(id);
      if (!ingredient) return [];
      const usualG = masses.sort((a, b) => a - b)[masses.length >> 1];
      const score =
        Math.log(1 + often + FOLLOWS * follows) +
        fitOf(pour, ingredient) -
        (usualG ? Math.abs(Math.log(pour.massG / usualG)) / Math.log(USUAL_FACTOR) : 1) +
        (isOnHand(id) ? ON_HAND : 0) +
        (before.includes(id) ? AGAIN : 0);
      return [{ id, score }];
    })
    .sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1))
    .slice(0, most)
    .map(({ id }) => id);
}

/** Whether so much of it comes that way: nobody pours salt in a stream, nor oil in a pinch. */
function fitOf({ kind, massG }: LikelyAsk['pour'], ingredient: Ingredient): number {
  const poured = isPoured(ingredient);
  switch (kind) {
    case 'stream':
      return poured ? 1 : -3;
    case 'pinch':
      return poured && spoonVolumeMl(massG, ingredient) < DASH_ML ? -2 : poured ? -3 : 1;
    case 'spoonful':
      return poured ? 0 : 0.3;
  }
}
