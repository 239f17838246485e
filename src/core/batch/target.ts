/**
 * How much to make. What is asked for has to come out; what stays in tools and on walls is made on top:
 * made = wanted / (1 − loss). Scaling is linear in mass, so every ratio of the version stays.
 */
import type { Ingredient, IngredientId } from '#core/ingredient';
import { mixedVolumeMlPerG } from '#core/composition';

export type BatchTarget =
  | { readonly kind: 'volume'; readonly volumeMl: number }
  | { readonly kind: 'mass'; readonly massG: number }
  | { readonly kind: 'portions'; readonly portions: number; readonly portionMl: number }
  /** Jars of one size, each filled to a share of what it is sold as. */
  | {
      readonly kind: 'jars';
      readonly jars: number;
      readonly jarMl: number;
      /** 0..1. */
      readonly fillShare: number;
    }
  /** As much as there is of one thing; null: of whatever runs out first. */
  | { readonly kind: 'on-hand'; readonly ingredientId: IngredientId | null };

export interface TargetLine {
  readonly ingredient: Ingredient;
  /** In the version as written, g. */
  readonly massG: number;
}

export interface Limiting {
  readonly ingredient: Ingredient;
  readonly onHandG: number;
}

export type BatchSize =
  | {
      readonly status: 'sized';
      /** Times the version's own amounts. */
      readonly scaleFactor: number;
      readonly madeMl: number;
      /** What comes out once tools and walls have kept theirs. */
      readonly yieldMl: number;
      readonly limiting: Limiting | null;
    }
  | { readonly status: 'cannot'; readonly problem: SizeProblem };

export type SizeProblem =
  | { readonly code: 'nothing-in-it' }
  | { readonly code: 'no-amount' }
  | { readonly code: 'not-in-it'; readonly ingredientId: IngredientId }
  /** Nobody said how much there is of it, or of anything. */
  | { readonly code: 'stock-unknown'; readonly ingredient: Ingredient | null }
  | { readonly code: 'none-left'; readonly ingredient: Ingredient }
  | { readonly code: 'too-much'; readonly limitMl: number };

/** More than this is another kind of kitchen, ml. */
export const MOST_BATCH_ML = 1_000_000;

/**
 * @param lines amounts of the version, g
 * @param lossShare of what is made, 0 ≤ share < 1
 * @param onHandG null where nobody said
 * @throws RangeError where the loss is no share below 1
 */
export function batchSize(
  lines: readonly TargetLine[],
  target: BatchTarget,
  lossShare: number,
  onHandG: (id: IngredientId) => number | null,
): BatchSize {
  if (!(lossShare >= 0 && lossShare < 1))
    throw new RangeError('The loss is a share from 0 up to, not including, 1.');
  const cannot = (problem: SizeProblem): BatchSize => ({ status: 'cannot', problem });
  const massG = lines.reduce((sum, line) => sum + line.massG, 0);
  const volumeMl = lines.reduce((sum, line) => sum + line.massG * mixedVolumeMlPerG(line.ingredient), 0);
  if (!(volumeMl > 0)) return cannot({ code: 'nothing-in-it' });
  let limiting: Limiting | null = null;
  let factor: number;
  if (target.kind === 'on-hand') {
    const found = limitOf(lines, target.ingredientId, onHandG);
    if ('code' in found) return cannot(found);
    [factor, limiting] = [found.factor, found.limiting];
  } else {
    factor = wanted(target, massG, volumeMl) / (1 - lossShare);
  }
  if (!(factor > 0 && Number.isFinite(factor))) return cannot({ code: 'no-amount' });
  const madeMl = factor * volumeMl;
  if (madeMl > MOST_BATCH_ML) return cannot({ code: 'too-much', limitMl: MOST_BATCH_ML });
  return { status: 'sized', scaleFactor: factor, madeMl, yieldMl: madeMl * (1 - lossShare), limiting };
}

/** As a factor of the version, loss aside. */
function wanted(target: Exclude<BatchTarget, { kind: 'on-hand' }>, massG: number, volumeMl: number): number {
  switch (target.kind) {
    case 'volume':
      return target.volumeMl / volumeMl;
    case 'mass':
      return target.massG / massG;
    case 'portions':
      return (target.portions * target.portionMl) / volumeMl;
    case 'jars':
      return (target.jars * target.jarMl * target.fillShare) / volumeMl;
  }
}

function limitOf(
  lines: readonly TargetLine[],
  only: IngredientId | null,
  onHandG: (id: IngredientId) => number | null,
): { readonly factor: number; readonly limiting: Limiting } | SizeProblem {
  const needed = new Map<IngredientId, TargetLine>();
  for (const { ingredient, massG } of lines) {
    if (ingredient.category === 'water' || massG <= 0) continue;
    const before = needed.get(ingredient.id)?.massG ?? 0;
    needed.set(ingredient.id, { ingredient, massG: before + massG });
  }
  if (only !== null && !needed.has(only)) return { code: 'not-in-it', ingredientId: only };
  let best: { factor: number; limiting: Limiting } | null = null;
  for (const [id, { ingredient, massG }] of needed) {
    if (only !== null && id !== only) continue;
    const has = onHandG(id);
    if (has === null) continue;
    const factor = has / massG;
    if (!best || factor < best.factor) best = { factor, limiting: { ingredient, onHandG: has } };
  }
  if (!best)
    return { code: 'stock-unknown', ingredient: only === null ? null : needed.get(only)!.ingredient };
  return best.factor > 0 ? best : { code: 'none-left', ingredient: best.limiting.ingredient };
}

/** One line of a day's orders. */
export interface Order {
  readonly formulaId: string;
  readonly version: number;
  readonly jars: number;
  readonly jarMl: number;
  readonly fillShare: number;
}

/** All orders of one version together, ml: what its batch of the day has to give. In the order they came. */
export function ordersByVersion(
  orders: readonly Order[],
): readonly { readonly formulaId: string; readonly version: number; readonly volumeMl: number }[] {
  const found = new Map<string, { formulaId: string; version: number; volumeMl: number }>();
  for (const { formulaId, version, jars, jarMl, fillShare } of orders) {
    const key = `${formulaId} ${version}`;
    const volumeMl = jars * jarMl * fillShare + (found.get(key)?.volumeMl ?? 0);
    found.set(key, { formulaId, version, volumeMl });
  }
  return [...found.values()].filter(({ volumeMl }) => volumeMl > 0);
}
