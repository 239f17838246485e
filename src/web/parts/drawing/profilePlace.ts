/** Where a measure lies on the one scale that all share: its band is the belt in the middle. */
import type { PalateWindow } from '#core/palate';

export interface Placed {
  readonly value: number | null;
  readonly range: { readonly low: number | null; readonly high: number | null } | null;
  readonly window: PalateWindow | undefined;
  /** How much a mouth notices, in the measure's own unit. */
  readonly step: number;
}

export const BELT = { from: 0.36, to: 0.64 } as const;
/** Noticeable steps outside after which it lies two thirds of the way to the edge. */
const REACH_STEPS = 4;

/**
 * @returns 0 (none of it) to 1 (beyond measure), strictly growing with the value; null where it is not known or the style
 * does not ask for it
 */
export function placeOf({ value, window, step }: Omit<Placed, 'range'>): number | null {
  if (value === null || !window) return null;
  const { low, high } = window;
  const outside = (by: number): number => BELT.from * (1 - Math.exp(-by / step / REACH_STEPS));
  if (value < low) return BELT.from - outside(low - value);
  if (value > high) return BELT.to + outside(value - high);
  if (high <= low) return (BELT.from + BELT.to) / 2;
  return BELT.from + ((value - low) / (high - low)) * (BELT.to - BELT.from);
}
