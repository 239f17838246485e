/**
 * Where "enough" ends: how much of one thing may go in before it tastes of too much of it. It is too far once a measure
 * crosses its window on the other side, or, where no window speaks of it, once it has moved twice as far as was asked.
 */
import type { PalateKey, Windows } from '#core/palate';
import { valueWith } from './inHand';
import type { Limits, MeasureRow } from './program';

/** Estimate. */
const TWICE = 2;
/** Beyond this many times the answer nobody goes. */
const MOST_TIMES = 12;
const HALVINGS = 30;

interface Asked {
  readonly rows: readonly MeasureRow[];
  readonly targets: Limits;
  readonly windows: Windows;
  /** What goes in, g, by the column of the rows. */
  readonly masses: ReadonlyMap<number, number>;
}

/** g of what stands in `column` that are still not too much; null where even {@link MOST_TIMES} times the answer is not. */
export function enoughG(column: number, { rows, targets, windows, masses }: Asked): number | null {
  const own = masses.get(column) ?? 0;
  const ends = rows.flatMap((row) => {
    const end = endOf(row, targets, windows);
    return end ? [{ row, ...end }] : [];
  });
  const tooFar = (massG: number): boolean =>
    ends.some(({ row, low, high }) => {
      const value = valueWith(row, new Map([...masses, [column, massG]]));
      return value !== null && (value < low - 1e-12 || value > high + 1e-12);
    });
  if (tooFar(own) || !tooFar(MOST_TIMES * own)) return tooFar(own) ? own : null;
  let [low, high] = [own, MOST_TIMES * own];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = 0.5 * (low + high);
    if (tooFar(middle)) high = middle;
    else low = middle;
  }
  return low;
}

/** Where a measure is too far gone; null for what nobody asked about and no window judges. */
function endOf(row: MeasureRow, targets: Limits, windows: Windows): { low: number; high: number } | null {
  const now = row.d0 > 1e-9 ? row.n0 / row.d0 : null;
  const target = targets[row.key];
  const window = windows[row.key as PalateKey];
  if (now === null) return null;
  if (target?.low !== undefined && now < target.low)
    return { low: 0, high: Math.max(window?.high ?? 0, now + TWICE * (target.low - now)) };
  if (target?.high !== undefined && now > target.high)
    return {
      low: Math.min(window?.low ?? Infinity, Math.max(0, now - TWICE * (now - target.high))),
      high: Infinity,
    };
  if (!window) return null;
  return { low: Math.min(window.low, now), high: Math.max(window.high, now) };
}
