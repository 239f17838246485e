/** Energy and the figures of a food label, from table values: an estimate, not a declaration. */
import type { Portion } from '#core/composition';

export interface Nutrition {
  readonly energyKcalPer100G: number;
  readonly fatGPer100G: number;
  readonly sugarsGPer100G: number;
  readonly saltGPer100G: number;
  readonly proteinGPer100G: number;
}

/** Null for an empty jar. */
export function nutritionOf(portions: readonly Portion[]): Nutrition | null {
  const massG = portions.reduce((sum, portion) => sum + portion.massG.nominal, 0);
  if (!(massG > 0)) return null;
  const per100 = (value: (portion: Portion) => number): number =>
    (portions.reduce((sum, portion) => sum + value(portion) * portion.massG.nominal, 0) / massG) * 100;
  return {
    energyKcalPer100G: per100(({ ingredient }) => ingredient.energyKcalPer100G / 100),
    fatGPer100G: per100(({ ingredient }) => ingredient.composition.fat),
    sugarsGPer100G: per100(
      ({ ingredient: { composition: c } }) => c.sucrose + c.glucose + c.fructose + c.lactose,
    ),
    saltGPer100G: per100(({ ingredient }) => ingredient.composition.salt),
    proteinGPer100G: per100(({ ingredient }) => ingredient.composition.protein),
  };
}
