/**
 * A frozen version of a formula as an ingredient of another: a house mayonnaise, a pesto, a dry mix,
 * a finished base. The id pins the version, so that what was composed with it never changes by itself.
 */
import type { Ingredient, IngredientId, MadeOf, PerGram } from './ingredient';

const NONE: PerGram = { g: 0, ml: 0 };

export const madeId = (formulaId: string, version: number): IngredientId =>
  `made-${formulaId}-${version}` as IngredientId;

/** Null where the id is that of a plain ingredient. */
export function readMadeId(id: string): { readonly formulaId: string; readonly version: number } | null {
  const match = /^made-([\w-]+)-(\d+)$/.exec(id);
  return match ? { formulaId: match[1]!, version: Number(match[2]) } : null;
}

/** Oil as poured: hidden oil of creamy things is none. */
export function pouredOilOf(ingredient: Ingredient): PerGram {
  if (ingredient.made) return ingredient.made.pouredOil;
  return ingredient.category === 'oil' ? { g: 1, ml: 1 / ingredient.spoonDensityGPerMl } : NONE;
}

/** Vinegar and citrus juice as poured. */
export function acidLiquidOf(ingredient: Ingredient): PerGram {
  if (ingredient.made) return ingredient.made.acidLiquid;
  return ingredient.isAcidLiquid ? { g: 1, ml: 1 / ingredient.spoonDensityGPerMl } : NONE;
}

/** Whether a formula is in it, however deep. */
export const isMadeWith = ({ made }: Ingredient, formulaId: string): boolean =>
  made !== undefined &&
  (made.formulaId === formulaId || made.parts.some(({ ingredient }) => isMadeWith(ingredient, formulaId)));

/** "House mayonnaise v3": a formula that goes into another one, by its version. */
export const madeName = (formulaName: string, version: number): string => `${formulaName} v${version}`;

/** The name the same formula goes by at another version. @param made what it is made of, as the ingredient has it */
export const renamedTo = (name: string, made: MadeOf, version: number): string =>
  madeName(name.slice(0, name.length - madeName('', made.version).length), version);
