import type { JudgedPortion } from '#core/reckoning';
import { ceilingOf } from './ceilings';
import type { MayAdd } from './program';

/** Nobody goes on past what a cook puts in at most: what is left up to the ceiling bounds it as stock does. */
export function underCeilings(
  mayAdd: readonly MayAdd[],
  portions: readonly JudgedPortion[],
  styleId: string | null,
): readonly MayAdd[] {
  const all = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  return mayAdd.flatMap((one): MayAdd[] => {
    const ceiling = ceilingOf(one.ingredient, styleId);
    if (ceiling === null || ceiling >= 1) return [one];
    const has = portions.reduce(
      (sum, { ingredient, massG }) => sum + (ingredient.id === one.ingredient.id ? massG.nominal : 0),
      0,
    );
    // (has + y) ≤ ceiling (all + y)
    const most = Math.min(one.stockG ?? Infinity, (ceiling * all - has) / (1 - ceiling));
    return most > 0 ? [{ ...one, stockG: most }] : [];
  });
}
