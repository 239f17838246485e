/**
 * An exact answer as a hand can do it. Of the gestures near each amount the combination is taken that leaves least
 * outside its limits and least undone, and among those the nearest:
 *   min Σ w (steps outside)² + NEARNESS Σ ln(g/ĝ)² + SHORT (share of what was asked that is left)². A second thing that
 * comes to less than half of its smallest gesture may be left out.
 */
import { mixedVolumeMlPerG } from '#core/composition';
import { PALATE, stepsOutside } from '#core/palate';
import { gesturesNear, type Gesture } from './gestures';
import type { Limits, MayAdd, MeasureRow } from './program';

export interface Handed {
  readonly mayAdd: MayAdd;
  readonly massG: number;
  /** Null: it is dosed to the gram. */
  readonly gesture: Gesture | null;
}

/** Weights of the loss: estimate. */
const NEARNESS = 0.4;
const SHORT = 4;
const FARTHEST = 3;
const NEAR = 3;
const HALF = 0.5;

interface Exact {
  readonly mayAdd: MayAdd;
  readonly massG: number;
  /** Its column in the rows. */
  readonly column: number;
}

interface Within {
  readonly rows: readonly MeasureRow[];
  readonly limits: Limits;
  /** What was asked for, of the limits. */
  readonly targets: Limits;
  /** ml; null: no limit. */
  readonly roomMl: number | null;
}

/** @returns null where no combination of gestures fits */
export function inHand(
  exact: readonly Exact[],
  { rows, limits, targets, roomMl }: Within,
): readonly Handed[] | null {
  const options = exact.map(({ mayAdd, massG }) => optionsFor(mayAdd, massG, exact.length > 1));
  let best: { readonly chosen: readonly Handed[]; readonly loss: number } | null = null;
  for (const choice of combinations(options)) {
    const handed = choice.map((gesture, i): Handed => {
      const { mayAdd, massG } = exact[i]!;
      return gesture === 'exact'
        ? { mayAdd, massG, gesture: null }
        : { mayAdd, massG: gesture?.massG ?? 0, gesture };
    });
    const volumeMl = handed.reduce(
      (sum, { mayAdd, massG }) => sum + massG * mixedVolumeMlPerG(mayAdd.ingredient),
      0,
    );
    if (volumeMl === 0 || (roomMl !== null && volumeMl > roomMl + 1e-6)) continue;
    if (handed.some(({ mayAdd, massG }) => mayAdd.stockG !== null && massG > mayAdd.stockG + 1e-9)) continue;
    const masses = new Map(handed.map(({ massG }, i) => [exact[i]!.column, massG]));
    const off = handed.reduce((sum, { massG }, i) => sum + distance(massG, exact[i]!.massG), 0);
    const short = 1 - reachedOf(rows, targets, masses);
    const loss = outsideOf(rows, limits, masses) + NEARNESS * off + SHORT * short ** 2;
    if (!best || loss < best.loss - 1e-12) best = { chosen: handed, loss };
  }
  return best?.chosen.filter(({ massG }) => massG > 0) ?? null;
}

/** Leaving a thing out counts as halving it. */
const distance = (massG: number, exactG: number): number =>
  Math.log((massG > 0 ? massG : HALF * exactG) / exactG) ** 2;

function optionsFor(
  { hand }: MayAdd,
  massG: number,
  mayBeLeftOut: boolean,
): readonly (Gesture | 'exact' | null)[] {
  if (!hand) return ['exact'];
  const near = gesturesNear(massG, hand, NEAR);
  return mayBeLeftOut && massG < HALF * near[0]!.massG ? [...near, null] : near;
}

function* combinations<T>(options: readonly (readonly T[])[]): Generator<readonly T[]> {
  const [first, ...rest] = options;
  if (!first) {
    yield [];
    return;
  }
  for (const tail of combinations(rest)) for (const one of first) yield [one, ...tail];
}

/** Σ w steps² beyond the limits, each step counted to {@link FARTHEST}. */
export function outsideOf(
  rows: readonly MeasureRow[],
  limits: Limits,
  masses: ReadonlyMap<number, number>,
): number {
  let sum = 0;
  for (const row of rows) {
    const limit = limits[row.key];
    if (!limit) continue;
    const value = valueWith(row, masses);
    if (value === null) continue;
    const steps = stepsOutside(row.key, value, { low: limit.low ?? 0, high: limit.high ?? Infinity });
    sum += PALATE[row.key].weight * Math.min(steps, FARTHEST) ** 2;
  }
  return sum;
}

/** A measure with these masses added, by column; null where it is not defined. */
export function valueWith({ n0, d0, n, d }: MeasureRow, masses: ReadonlyMap<number, number>): number | null {
  let [above, below] = [n0, d0];
  for (const [column, massG] of masses) {
    above += n[column]! * massG;
    below += d[column]! * massG;
  }
  return below > 1e-9 ? above / below : null;
}

/** How much of what was asked is reached, 0..1: the least of all. */
export function reachedOf(
  rows: readonly MeasureRow[],
  targets: Limits,
  masses: ReadonlyMap<number, number>,
): number {
  let least = 1;
  for (const row of rows) {
    const { low, high } = targets[row.key] ?? {};
    const [was, is] = [valueWith(row, NOTHING), valueWith(row, masses)];
    if (was === null || is === null) continue;
    if (low !== undefined && was < low) least = Math.min(least, (is - was) / (low - was));
    if (high !== undefined && was > high) least = Math.min(least, (was - is) / (was - high));
  }
  return Math.max(0, least);
}
const NOTHING: ReadonlyMap<number, number> = new Map();
