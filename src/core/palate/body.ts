/**
 * Thickness as an index: a linear blend of each ingredient's body index, a ranking and not a
 * viscosity. Emulsified oil thickens more than this says. Tag: estimate.
 */
import type { Portion } from '#core/composition';

/** 0 (water) upwards; null for an empty jar. */
export function bodyIndexOf(portions: readonly Portion[]): number | null {
  let [body, massG] = [0, 0];
  for (const portion of portions) {
    massG += portion.massG.nominal;
    body += portion.massG.nominal * portion.ingredient.bodyIndex;
  }
  return massG > 0 ? body / massG : null;
}

/** From here on a dressing is called creamy; rule: estimate. */
const CREAMY_BODY = 14;
const CREAMY_YOLK_SHARE = 0.03;

/** Creamy by its body, or because yolk holds its oil. Null for an empty jar. */
export function isCreamy(portions: readonly Portion[]): boolean | null {
  const body = bodyIndexOf(portions);
  if (body === null) return null;
  const total = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  const strong = portions
    .filter(
      ({ ingredient }) => ingredient.category === 'emulsifier' && ingredient.emulsifierClass === 'strong',
    )
    .reduce((sum, { massG }) => sum + massG.nominal, 0);
  return body >= CREAMY_BODY || strong / total >= CREAMY_YOLK_SHARE;
}
