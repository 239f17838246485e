/** What went in between two rests of the display. Thresholds: estimate. */
import { median, type DisplayReading, type Fineness } from './display';
import { riseBetween, SETTLED_S, type Rest } from './rests';
import type { Piece } from './segments';

export type PourKind = 'stream' | 'spoonful' | 'pinch';
export interface Pour {
  readonly fromS: number;
  readonly toS: number;
  readonly massG: number;
  readonly kind: PourKind;
}

/** More than this, as suddenly as this, was set down. */
export const VESSEL_G = 60;
const SUDDEN_S = 0.9;
/** Nobody pours as fast as that, g/s: it was set down. */
const SET_DOWN_G_PER_S = 110;
const PINCH_G = 2;
const SPOON_S = 1.5;
/** One stream runs into another where it is so many times as fast, each for so long. */
const OTHER_RATE = 2.5;
const RUN_S = 1.5;
const SPOON_G = 3;
/** A load cell lags so far behind, at most. */
const LAG_S = 0.4;
/** As long as a stream takes to swell and to fall off. */
const SWELL_S = 0.7;

export const isSetDown = (byG: number, seconds: number): boolean =>
  byG >= VESSEL_G && (seconds <= SUDDEN_S || byG / seconds >= SET_DOWN_G_PER_S);

export const came = (fromS: number, toS: number, massG: number): Pour => ({
  fromS,
  toS,
  massG,
  kind: kindOf(toS - fromS, massG),
});

function kindOf(seconds: number, massG: number): PourKind {
  if (massG < PINCH_G && seconds <= 3 * SPOON_S) return 'pinch';
  return seconds <= SPOON_S ? 'spoonful' : 'stream';
}

interface Run {
  first: Piece;
  last: Piece;
}
interface Cut {
  readonly atS: number;
  readonly heightG: number;
}

/** What went in between two rests: one pour, or as many as there are rates that differ for long enough. */
export function poursBetween(
  readings: readonly DisplayReading[],
  pieces: readonly Piece[],
  before: Rest,
  after: Rest,
  { stepG, thresholdG }: Pick<Fineness, 'stepG' | 'thresholdG'>,
): readonly Pour[] {
  const rise = riseBetween(readings, before, after);
  const runs = runsIn(
    readings,
    pieces.filter(({ from, to }) => from > before.to && to < after.from),
    stepG,
  );
  const start: Cut = { atS: rise.fromS, heightG: before.lastG };
  const end: Cut = { atS: rise.toS, heightG: after.firstG };
  const cuts = cutsAt(readings, runs, start, end, stepG);
  const pours: Pour[] = [];
  let from = start;
  for (const [i, to] of [...cuts, end].entries()) {
    const massG = to.heightG - from.heightG;
    const isLast = i === cuts.length;
    // What a stream leaves to settle is no pour of its own.
    const lagG = isLast && i > 0 ? LAG_S * runs[i - 1]!.last.slopeGPerS : 0;
    const last = pours.at(-1);
    if (massG > Math.max(thresholdG, lagG) && to.atS > from.atS) pours.push(came(from.atS, to.atS, massG));
    else if (last) pours[pours.length - 1] = came(last.fromS, Math.max(last.toS, to.atS), last.massG + massG);
    else if (!isLast) continue;
    from = to;
  }
  return pours.length > 0 ? pours : [came(start.atS, end.atS, end.heightG - start.heightG)];
}

/** Stretches that ran at one rate for long enough to be told from others. */
function runsIn(
  readings: readonly DisplayReading[],
  pieces: readonly Piece[],
  stepG: number,
): readonly Run[] {
  const runs: Run[] = [];
  for (const piece of pieces) {
    const seconds = readings[piece.to]!.atS - readings[piece.from]!.atS;
    if (seconds < RUN_S || piece.slopeGPerS * seconds < 3 * stepG) continue;
    const run = runs.at(-1);
    const ratio = run ? piece.slopeGPerS / run.last.slopeGPerS : Infinity;
    if (run && ratio < OTHER_RATE && ratio > 1 / OTHER_RATE) run.last = piece;
    else runs.push({ first: piece, last: piece });
  }
  return runs;
}

/** Where one pour went over into another. */
function cutsAt(
  readings: readonly DisplayReading[],
  runs: readonly Run[],
  start: Cut,
  end: Cut,
  stepG: number,
): readonly Cut[] {
  const cuts = runs.slice(1).map(({ first }, i) => meeting(runs[i]!.last, first));
  const [head, tail] = [runs[0], runs.at(-1)];
  if (!head || !tail) return cuts;
  // A spoonful falls before or after a thin stream: far faster than that, and more than a swell of it.
  const isOther = (from: Cut, to: Cut, { slopeGPerS }: Piece): boolean =>
    to.heightG - from.heightG >=
    Math.max(3 * stepG, SPOON_G, OTHER_RATE * slopeGPerS * Math.max(to.atS - from.atS, SWELL_S));
  const [ran, ended] = [edgeOf(readings, head.first, 'from'), edgeOf(readings, tail.last, 'to')];
  return [
    ...(isOther(start, ran, head.first) ? [ran] : []),
    ...cuts,
    ...(isOther(ended, end, tail.last) ? [ended] : []),
  ];
}

/** Where the lines of two runs meet, one went over into the other: the lag of the scale moves both alike. */
function meeting(last: Piece, first: Piece): Cut {
  const atS =
    (first.midG - last.midG + last.slopeGPerS * last.midS - first.slopeGPerS * first.midS) /
    (last.slopeGPerS - first.slopeGPerS);
  return { atS, heightG: last.midG + last.slopeGPerS * (atS - last.midS) };
}
function edgeOf(readings: readonly DisplayReading[], piece: Piece, end: 'from' | 'to'): Cut {
  const { atS } = readings[piece[end]]!;
  return { atS, heightG: piece.midG + piece.slopeGPerS * (atS - piece.midS) };
}

/** A jar was set down and poured into before it came to rest: it is taken to rest once the scale has settled. */
export function afterSetDown(readings: readonly DisplayReading[], before: Rest, after: Rest): Rest | null {
  let down = -1;
  for (let i = before.to + 1, from = before.to; i < after.from; i++) {
    while (readings[i]!.atS - readings[from]!.atS > SUDDEN_S) from++;
    if (readings[i]!.grams - readings[from]!.grams >= VESSEL_G) down = i;
  }
  if (down < 0) return null;
  const settledS = readings[down]!.atS + SETTLED_S;
  const to = readings.findIndex(({ atS }) => atS >= settledS);
  if (to < 0 || to >= after.from) return null;
  const near = readings.slice(to, to + 3).map(({ grams }) => grams);
  const heightG = median(near);
  return { fromS: settledS, toS: readings[to]!.atS, firstG: heightG, lastG: heightG, from: to, to };
}
