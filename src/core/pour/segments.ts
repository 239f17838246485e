/**
 * A course of readings as straight pieces: the cheapest cut, by dynamic programming over all cuts, of what lies off
 * the lines and a price for every piece (optimal partitioning; B. Jackson et al. 2005, IEEE Signal Processing Letters
 * 12, 105: from memory). The price of a piece, in squared deviations: estimate.
 */
import type { DisplayReading } from './display';

/** Readings `from` to `to` (included) lie on one line. */
export interface Piece {
  readonly from: number;
  readonly to: number;
  readonly slopeGPerS: number;
  /** A point of the line. */
  readonly midS: number;
  readonly midG: number;
}

const LINE_COSTS = 9;
/** A rest has no slope to be told. */
const REST_COSTS = 7;
/** No piece is longer: it keeps the work in proportion to the readings. */
const LONGEST = 240;

/** @param sigmaG how far a reading lies off its line, standard deviation, > 0 */
export function straightPieces(readings: readonly DisplayReading[], sigmaG: number): readonly Piece[] {
  const n = readings.length;
  if (n === 0) return [];
  const sums = sumsOf(readings);
  const best = new Float64Array(n + 1);
  const cutBefore = new Int32Array(n + 1);
  for (let end = 1; end <= n; end++) {
    best[end] = Infinity;
    for (let from = Math.max(0, end - LONGEST); from < end; from++) {
      const cost = best[from]! + lineThrough(sums, from, end, sigmaG).cost;
      if (cost < best[end]!) {
        best[end] = cost;
        cutBefore[end] = from;
      }
    }
  }
  const pieces: Piece[] = [];
  for (let end = n; end > 0; end = cutBefore[end]!) {
    const from = cutBefore[end]!;
    pieces.push(pieceOf(readings, sums, from, end, lineThrough(sums, from, end, sigmaG).slopeGPerS));
  }
  return pieces.reverse().flatMap((piece) => withItsRest(readings, sums, piece));
}

/**
 * A coarse scale makes one slope of a rest and the sudden rise at its end. Where a rest and something far steeper lie
 * no further off than the slope did, they are what it was.
 */
function withItsRest(readings: readonly DisplayReading[], sums: Sums, piece: Piece): readonly Piece[] {
  const { from, to, slopeGPerS } = piece;
  const end = to + 1;
  let best: readonly Piece[] = [piece];
  let least = offOf(sums, from, end, slopeGPerS);
  for (let cut = from + 2; cut < end - 1; cut++) {
    for (const [restFrom, restEnd, lineFrom, lineEnd] of [
      [from, cut, cut, end],
      [cut, end, from, cut],
    ] as const) {
      if (readings[restEnd - 1]!.atS - readings[restFrom]!.atS < REST_S) continue;
      const line = sloped(sums, lineFrom, lineEnd);
      if (Math.abs(line.slopeGPerS) < STEEPER * Math.abs(slopeGPerS)) continue;
      const off = offOf(sums, restFrom, restEnd, 0) + line.offG2;
      if (off >= least) continue;
      least = off;
      const two = [
        pieceOf(readings, sums, restFrom, restEnd, 0),
        pieceOf(readings, sums, lineFrom, lineEnd, line.slopeGPerS),
      ];
      best = two.sort((a, b) => a.from - b.from);
    }
  }
  return best;
}
const REST_S = 1;
const STEEPER = 2.5;

type Sums = Readonly<Record<'t' | 'y' | 'tt' | 'ty' | 'yy', Float64Array>>;

function sumsOf(readings: readonly DisplayReading[]): Sums {
  const [first] = readings;
  const sums = {
    t: new Float64Array(readings.length + 1),
    y: new Float64Array(readings.length + 1),
    tt: new Float64Array(readings.length + 1),
    ty: new Float64Array(readings.length + 1),
    yy: new Float64Array(readings.length + 1),
  };
  for (const [i, { atS, grams }] of readings.entries()) {
    // From the first reading on: small numbers, whatever the clock says.
    const [t, y] = [atS - first!.atS, grams - first!.grams];
    sums.t[i + 1] = sums.t[i]! + t;
    sums.y[i + 1] = sums.y[i]! + y;
    sums.tt[i + 1] = sums.tt[i]! + t * t;
    sums.ty[i + 1] = sums.ty[i]! + t * y;
    sums.yy[i + 1] = sums.yy[i]! + y * y;
  }
  return sums;
}

function pieceOf(
  readings: readonly DisplayReading[],
  sums: Sums,
  from: number,
  end: number,
  slopeGPerS: number,
): Piece {
  const mid = (key: 't' | 'y'): number => (sums[key][end]! - sums[key][from]!) / (end - from);
  const [midS, midG] = [readings[0]!.atS + mid('t'), readings[0]!.grams + mid('y')];
  return { from, to: end - 1, slopeGPerS, midS, midG };
}

/** Least squares through readings `from` to `end` (left out). */
function sloped(
  sums: Sums,
  from: number,
  end: number,
): { offG2: number; levelOffG2: number; slopeGPerS: number } {
  const n = end - from;
  const of = (key: keyof Sums): number => sums[key][end]! - sums[key][from]!;
  const [t, y] = [of('t'), of('y')];
  const stt = of('tt') - (t * t) / n;
  const sty = of('ty') - (t * y) / n;
  const levelOffG2 = Math.max(0, of('yy') - (y * y) / n);
  const slopeGPerS = stt > 1e-9 ? sty / stt : 0;
  return { offG2: Math.max(0, levelOffG2 - slopeGPerS * sty), levelOffG2, slopeGPerS };
}
const offOf = (sums: Sums, from: number, end: number, slopeGPerS: number): number => {
  const line = sloped(sums, from, end);
  return slopeGPerS === 0 ? line.levelOffG2 : line.offG2;
};

/** Level, or sloped where that is worth its price. */
function lineThrough(
  sums: Sums,
  from: number,
  end: number,
  sigmaG: number,
): { cost: number; slopeGPerS: number } {
  const { offG2, levelOffG2, slopeGPerS } = sloped(sums, from, end);
  const level = REST_COSTS + levelOffG2 / sigmaG ** 2;
  const line = LINE_COSTS + offG2 / sigmaG ** 2;
  return level <= line ? { cost: level, slopeGPerS: 0 } : { cost: line, slopeGPerS };
}
