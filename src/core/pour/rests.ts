/** Where the display came to rest, and how high. Thresholds: estimate. */
import type { DisplayReading, Fineness } from './display';
import type { Piece } from './segments';

export interface Rest {
  readonly fromS: number;
  readonly toS: number;
  /** Where it begins and where it ends, g: it may drift. */
  readonly firstG: number;
  readonly lastG: number;
  readonly from: number;
  readonly to: number;
}

/** Resting for so long it has come to rest. */
const REST_S = 0.7;
/** What creeps more slowly is the scale, not the cook, g/s. */
export const DRIFT_G_PER_S = 0.03;
/** A rest's height is the middle of so much of it, next to the change. */
const HEIGHT_S = 1.6;
/** A load cell has settled after so long, and its last creep is so many times slower than what it follows. */
export const SETTLED_S = 0.6;
const SETTLES = 2.5;
/** A line through noise alone rises by so many standard deviations at most. */
const SURE = 2.6;
/** Less than this share of a change is its beginning and its end. */
const RISEN = 0.06;

export function restsIn(
  readings: readonly DisplayReading[],
  pieces: readonly Piece[],
  { stepG, noiseG, thresholdG }: Fineness,
): readonly Rest[] {
  const found: { from: number; to: number }[] = [];
  for (const [i, piece] of pieces.entries()) {
    const { from, to, slopeGPerS } = piece;
    const seconds = readings[to]!.atS - readings[from]!.atS;
    if (seconds < REST_S) continue;
    const riseG = Math.abs(slopeGPerS) * seconds;
    const steep = steepBefore(readings, pieces, i);
    // A load cell creeps up to what it carries: the end of a change, not another one.
    const settles = steep / slopeGPerS >= SETTLES && riseG <= Math.max(1.8 * stepG, 0.5);
    if (
      !settles &&
      Math.abs(slopeGPerS) > DRIFT_G_PER_S &&
      !(Math.abs(slopeGPerS) <= 0.5 * stepG && riseG <= (slopeGPerS < 0 ? 2.5 : 1.6) * stepG) &&
      riseG > Math.max(0.5 * thresholdG, SURE * noiseG * Math.sqrt(12 / (to - from + 1)))
    )
      continue;
    const before = found.at(-1);
    if (
      before?.to === from - 1 &&
      Math.abs(heightG(readings, before, 'last') - heightG(readings, piece, 'first')) <= thresholdG &&
      Math.abs(heightG(readings, before, 'first') - heightG(readings, piece, 'first')) <= thresholdG
    )
      before.to = to;
    else found.push({ from, to });
  }
  return found.map(({ from, to }) => ({
    from,
    to,
    fromS: readings[from]!.atS,
    toS: readings[to]!.atS,
    firstG: heightG(readings, { from, to }, 'first'),
    lastG: heightG(readings, { from, to }, 'last'),
  }));
}

/** The steepest of what moved just before, with its sign, g/s. */
function steepBefore(readings: readonly DisplayReading[], pieces: readonly Piece[], place: number): number {
  const fromS = readings[pieces[place]!.from]!.atS;
  let steep = 0;
  for (let i = place - 1; i >= 0 && fromS - readings[pieces[i]!.to]!.atS <= SETTLED_S; i--)
    if (Math.abs(pieces[i]!.slopeGPerS) > Math.abs(steep)) steep = pieces[i]!.slopeGPerS;
  return steep;
}

/** How high it rests at its beginning, once it has settled, or at its end, g. */
function heightG(
  readings: readonly DisplayReading[],
  { from, to }: { readonly from: number; readonly to: number },
  end: 'first' | 'last',
): number {
  const [fromS, toS] = [readings[from]!.atS, readings[to]!.atS];
  const settledS = Math.min(fromS + SETTLED_S, (fromS + toS) / 2);
  const near = readings
    .slice(from, to + 1)
    .filter(
      ({ atS }) => atS >= settledS && (end === 'first' ? atS <= settledS + HEIGHT_S : atS >= toS - HEIGHT_S),
    );
  return near.reduce((sum, { grams }) => sum + grams, 0) / near.length;
}

/** When the display began to rise, and when it had all but risen. */
export function riseBetween(
  readings: readonly DisplayReading[],
  before: Rest,
  after: Rest,
): { readonly fromS: number; readonly toS: number } {
  const byG = after.firstG - before.lastG;
  const moving = readings.slice(before.to, after.from + 1);
  const begun = moving.findLastIndex(({ grams }) => grams <= before.lastG + RISEN * byG);
  const done = moving.findIndex(({ grams }) => grams >= after.firstG - RISEN * byG);
  return {
    fromS: moving[begun]?.atS ?? before.toS,
    toS: Math.max(moving[done]?.atS ?? after.fromS, moving[begun]?.atS ?? before.toS),
  };
}
