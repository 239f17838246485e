/** A base that changed, taken over by what goes on from it. */
import type { Formula } from '#core/formula';
import { madeId, madeName, readMadeId } from '#core/ingredient';

/** Every line of that base at another version; the same formula where none is. */
export function withBaseAt(formula: Formula, baseId: string, version: number, baseName: string): Formula {
  const isOlder = (ingredientId: string | null): boolean => {
    const made = ingredientId === null ? null : readMadeId(ingredientId);
    return made?.formulaId === baseId && made.version !== version;
  };
  if (!formula.additions.some(({ ingredientId }) => isOlder(ingredientId))) return formula;
  return {
    ...formula,
    additions: formula.additions.map((addition) =>
      isOlder(addition.ingredientId)
        ? {
            ...addition,
            ingredientId: madeId(baseId, version),
            ingredientText: madeName(baseName, version),
          }
        : addition,
    ),
  };
}
