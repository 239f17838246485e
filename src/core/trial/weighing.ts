/**
 * When a scale's reading may be taken. The window is what weighing by hand comes to; a reading is taken
 * by itself once it has held still inside it. Widths: estimate; three steps of the scale as the least
 * that is worth weighing: common practice.
 */

export type ScaleReading =
  /** Net of the tare, g. */
  | { readonly status: 'ok'; readonly atMs: number; readonly netG: number }
  | { readonly status: 'overload' | 'unplugged'; readonly atMs: number };

export interface WeighingWindow {
  readonly lowG: number;
  readonly highG: number;
  /** Below three steps of the scale: by the spoon, not by weight. */
  readonly weighable: boolean;
}

const SHARE = 0.025;
const LEAST_STEPS = 3;
/** How long it has to hold still, ms. */
export const STILL_MS = 1000;
/** A longer silence than this between readings is a gap: nothing may be read across it. */
export const GAP_MS = 700;

/** @param plannedG > 0 @param readabilityG smallest step of the scale, > 0 */
export function weighingWindow(plannedG: number, readabilityG: number): WeighingWindow {
  if (!(plannedG > 0 && readabilityG > 0)) throw new RangeError('Nothing can be weighed towards nothing.');
  const half = Math.max(readabilityG, plannedG * SHARE);
  return {
    lowG: plannedG - half,
    highG: plannedG + half,
    weighable: plannedG >= LEAST_STEPS * readabilityG - 1e-9,
  };
}

/** Against floating point: a reading of 20.5 is inside a window that ends at 20.5. */
const EDGE = 1e-6;
export const inWindow = (netG: number, { lowG, highG }: WeighingWindow): boolean =>
  netG >= lowG - EDGE && netG <= highG + EDGE;

/**
 * The mass to take, g, where the newest readings have held still inside the window for
 * {@link STILL_MS}: they differ by no more than one step, none is missing, none out of range.
 * @param readings oldest first
 */
export function heldStill(
  readings: readonly ScaleReading[],
  window: WeighingWindow,
  readabilityG: number,
): number | null {
  const last = readings.at(-1);
  if (last?.status !== 'ok') return null;
  let [low, high] = [last.netG, last.netG];
  for (let i = readings.length - 1; i >= 0; i--) {
    const reading = readings[i]!;
    if (reading.status !== 'ok' || !inWindow(reading.netG, window)) return null;
    low = Math.min(low, reading.netG);
    high = Math.max(high, reading.netG);
    if (high - low > readabilityG + EDGE) return null;
    const later = readings[i + 1];
    if (later && later.atMs - reading.atMs > GAP_MS) return null;
    if (last.atMs - reading.atMs >= STILL_MS) return last.netG;
  }
  return null;
}

/** How fast it is being poured, g/s, over the last `spanMs`; null without enough readings. */
export function pouringRate(readings: readonly ScaleReading[], spanMs = 1200): number | null {
  const last = readings.at(-1);
  if (last?.status !== 'ok') return null;
  let first = last;
  for (let i = readings.length - 1; i >= 0; i--) {
    const reading = readings[i]!;
    if (reading.status !== 'ok' || last.atMs - reading.atMs > spanMs) break;
    first = reading;
  }
  const seconds = (last.atMs - first.atMs) / 1000;
  return seconds < 0.4 ? null : Math.max(0, (last.netG - first.netG) / seconds);
}

/** Which reading may enter a record at all: a number above nothing. */
export const takeable = (reading: ScaleReading | null, nowMs: number): number | null =>
  reading?.status === 'ok' && nowMs - reading.atMs <= 3 * GAP_MS && reading.netG > 0 ? reading.netG : null;
