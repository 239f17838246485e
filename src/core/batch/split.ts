/**
 * One batch of a base, made once and poured on into dressings that go on from it. What is not poured on
 * stays as it is. Masses add up: what comes out of the base is what went into the endings and what stays.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import type { IngredientId } from '#core/ingredient';
import type { BatchLine, BatchPlan } from './planBatch';
import { pullListOf, type PullList, type StockFacts } from './pullList';
import type { BatchTarget, TargetLine } from './target';

/** Of a version as written, g; 0 where the base is not in it. */
export const baseMassG = (lines: readonly BatchLine[], baseId: IngredientId): number =>
  lines.reduce((sum, { ingredient, massG }) => (ingredient.id === baseId ? sum + massG : sum), 0);

/** g of a dressing to each ml of it, as mixed; 0 where nothing is in it. */
export function massPerMl(lines: readonly TargetLine[]): number {
  const volumeMl = lines.reduce((sum, line) => sum + line.massG * mixedVolumeMlPerG(line.ingredient), 0);
  return volumeMl > 0 ? lines.reduce((sum, { massG }) => sum + massG, 0) / volumeMl : 0;
}

/**
 * How much of an ending comes of so much base: its ratios stay.
 *
 * @param baseG of the base that goes into it, g, above 0
 * @param lossShare what stays in tools and on walls, 0 ≤ share < 1: the base that is poured in is all of it
 * @returns null where the base is not in it
 * @throws RangeError where the mass is no number above 0
 */
export function endingTarget(
  lines: readonly BatchLine[],
  baseId: IngredientId,
  baseG: number,
  lossShare: number,
): BatchTarget | null {
  if (!(baseG > 0 && Number.isFinite(baseG))) throw new RangeError('The base poured on is a mass above 0 g.');
  const own = baseMassG(lines, baseId);
  if (!(own > 0)) return null;
  const wholeG = lines.reduce((sum, { massG }) => sum + massG, 0);
  return { kind: 'mass', massG: (baseG / own) * wholeG * (1 - lossShare) };
}

export interface Split {
  /** Into each ending as it is measured, g, in their order. */
  readonly takenG: readonly number[];
  /** What stays as it is, g and ml. */
  readonly plainG: number;
  readonly plainMl: number;
  /** More is poured on than comes out, ml; 0 where it is enough. */
  readonly overMl: number;
  /** What has to be fetched for all of it, the base's own things once. */
  readonly pullList: PullList;
}

/** A spoon's rounding of the base is no shortage; tag: common practice. */
const SPILT_SHARE = 0.01;

/** @param endings as they are planned, each with the base as one of its lines */
export function splitOf(
  base: BatchPlan,
  endings: readonly BatchPlan[],
  baseId: IngredientId,
  stock: ReadonlyMap<IngredientId, StockFacts>,
): Split {
  const weightOf = ({ plannedG, asideG }: BatchPlan['lines'][number]): number => plannedG + asideG;
  const takenG = endings.map(({ lines }) =>
    lines.reduce((sum, line) => (line.ingredient.id === baseId ? sum + weightOf(line) : sum), 0),
  );
  const gPerMl = base.massG / base.madeMl;
  const leftG = base.yieldMl * gPerMl - takenG.reduce((sum, g) => sum + g, 0);
  const overMl = -leftG / gPerMl;
  return {
    takenG,
    plainG: Math.max(0, leftG),
    plainMl: Math.max(0, leftG / gPerMl),
    overMl: overMl > base.yieldMl * SPILT_SHARE ? overMl : 0,
    pullList: pullListOf(
      [
        ...base.lines,
        ...endings.flatMap(({ lines }) => lines.filter((line) => line.ingredient.id !== baseId)),
      ].map((line) => ({ ingredient: line.ingredient, massG: weightOf(line) })),
      stock,
    ),
  };
}
