/** Which dressings of a day have the same base in them, and what it saves to make that base once. */
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient, IngredientId } from '#core/ingredient';
import { mixSecondsFor, usualBatchTool } from './loads';
import { WEIGH_S, type BatchLine } from './planBatch';
import { baseMassG } from './split';

export interface DressingOfTheDay {
  readonly formulaId: string;
  /** What it is as a base, by the version that is made. */
  readonly madeAs: IngredientId;
  readonly lines: readonly BatchLine[];
  /** What there has to be of it, ml. */
  readonly volumeMl: number;
}

export interface SharedBase {
  readonly base: Ingredient;
  /** Of it as it is, ml; 0: nobody eats it so. */
  readonly plainMl: number;
  /** In the order they came. */
  readonly into: readonly { readonly formulaId: string; readonly baseMl: number }[];
  /** All of it together, ml. */
  readonly totalMl: number;
  /** Against making it anew for each, s: weighing, mixing and washing up. Peeling and picking stay what they are. */
  readonly savedS: number;
  /** So many bowls and tools less to wash. */
  readonly savedWashings: number;
}

/** A bowl and a tool, rinsed, washed and dried, s; tag: estimate. */
const WASH_S = 240;

/**
 * A base counts where two dressings at least take it, or one does and it is eaten as it is.
 *
 * @param dressings each formula once; amounts above 0
 * @param lossShare what stays in tools and on walls, 0 ≤ share < 1
 */
export function sharedBases(
  dressings: readonly DressingOfTheDay[],
  lossShare: number,
): readonly SharedBase[] {
  const bases = new Map<IngredientId, Ingredient>();
  for (const { lines } of dressings)
    for (const { ingredient } of lines) if (ingredient.made) bases.set(ingredient.id, ingredient);
  return [...bases.values()].flatMap((base): SharedBase[] => {
    const into = dressings.flatMap(({ formulaId, lines, volumeMl }) => {
      const ownMl = lines.reduce((sum, line) => sum + line.massG * mixedVolumeMlPerG(line.ingredient), 0);
      const baseG = baseMassG(lines, base.id);
      if (!(baseG > 0 && ownMl > 0 && volumeMl > 0)) return [];
      // Its own loss is made on top of it, base and all.
      const scaled = volumeMl / ownMl / (1 - lossShare);
      return [{ formulaId, baseMl: baseG * scaled * mixedVolumeMlPerG(base) }];
    });
    const plainMl = dressings.reduce(
      (sum, { madeAs, volumeMl }) => (madeAs === base.id ? sum + volumeMl : sum),
      0,
    );
    const times = into.length + (plainMl > 0 ? 1 : 0);
    if (into.length === 0 || times < 2) return [];
    const totalMl = into.reduce((sum, { baseMl }) => sum + baseMl, plainMl);
    const once =
      (base.made?.parts.length ?? 0) * WEIGH_S +
      mixSecondsFor(usualBatchTool(totalMl / times), totalMl / times) +
      WASH_S;
    return [{ base, plainMl, into, totalMl, savedS: (times - 1) * once, savedWashings: times - 1 }];
  });
}
