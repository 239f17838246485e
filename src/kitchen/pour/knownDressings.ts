/** What dressings this kitchen knows, in the order they are made: what is poured next is guessed from them. */
import { inOrder, readAddition, type Formula } from '#core/formula';
import type { KnownDressing } from '#core/pour';
import { STYLE_IDS, stylePortions } from '#core/palate';
import { contextFor, type Kitchen } from '#kitchen/reading';

/** The kitchen's own say more than those of a style, and the many of a style no more than one; tag: estimate. */
const OWN = 3;
const STYLE = 0.6;

export function knownDressings(
  formulas: readonly Formula[],
  kitchen: Pick<Kitchen, 'catalogue' | 'settings' | 'own' | 'readAmountsWith'>,
): readonly KnownDressing[] {
  const own = formulas.map((formula): KnownDressing => {
    const context = contextFor(formula, kitchen);
    const lines = inOrder(formula.additions).flatMap((addition) => {
      const reading = readAddition(addition, context);
      return reading.status === 'read'
        ? [{ ingredientId: reading.ingredient.id, massG: reading.massG.nominal }]
        : [];
    });
    return { lines, weight: OWN };
  });
  const styles = STYLE_IDS.flatMap((id) => {
    const all = stylePortions(id, kitchen.catalogue);
    return all.map((portions): KnownDressing => ({
      lines: portions.map(({ ingredient, massG }) => ({ ingredientId: ingredient.id, massG: massG.nominal })),
      weight: STYLE / all.length,
    }));
  });
  return [...own, ...styles];
}
