/** Who contributes what: grams of a component from each portion, largest first. */
import type { Ingredient } from '#core/ingredient';
import type { Portion } from './composition';
import { sugarsOf } from './measures';

export const CONTRIBUTED = {
  salt: (i) => i.composition.salt,
  fat: (i) => i.composition.fat,
  water: (i) => i.composition.water,
  sugar: sugarsOf,
} as const satisfies Record<string, (ingredient: Ingredient) => number>;
export type ContributedKey = keyof typeof CONTRIBUTED;

export interface Contribution {
  /** Index of the portion in what was given. */
  readonly index: number;
  readonly ingredient: Ingredient;
  readonly massG: number;
  /** Share of the whole of this component, 0..1. */
  readonly share: number;
}

/** Portions that bring the component, in descending order; none where nothing does. */
export function contributions(portions: readonly Portion[], key: ContributedKey): readonly Contribution[] {
  const perGram = CONTRIBUTED[key];
  const parts = portions.map(({ ingredient, massG }, index) => ({
    index,
    ingredient,
    massG: perGram(ingredient) * massG.nominal,
  }));
  const total = parts.reduce((all, { massG }) => all + massG, 0);
  return parts
    .filter(({ massG }) => massG > 0)
    .map((part) => ({ ...part, share: part.massG / total }))
    .sort((a, b) => b.massG - a.massG || a.index - b.index);
}

/** Salt that hides in things that are not salt, g. */
export function hiddenSaltG(portions: readonly Portion[]): number {
  return contributions(portions, 'salt')
    .filter(({ ingredient }) => ingredient.category !== 'salt')
    .reduce((total, { massG }) => total + massG, 0);
}
