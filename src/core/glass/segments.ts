/**
 * The best parting of a profile into layers, each with its own colour and a slope for the light: dynamic programming over
 * all places of the borders (Bellman 1961; Bai and Perron 2003, from memory), the number of them by
 *
 *   Σ residual²/σ²  +  7 ln(n) a layer                (two parameters in three channels and a border: Schwarz 1978)
 *
 * Rows beside a border, and at both ends where the marks may be off, are blur and count for no side; what they would have
 * cost by chance is added for each border.
 * σ from the second differences of the profile, never below {@link LEAST_SIGMA}: light in a glass is not quite straight.
 * A border stays only where the colour really jumps there, more than the slopes on both sides explain.
 */
import type { Lab } from './photo';
import { median } from './profile';

export interface Border {
  /** Share of the liquid's height, from the floor. */
  readonly at: number;
  /** Half of what it may be off, share of the height. */
  readonly doubt: number;
  /** How far the colours are apart, ΔE (CIE 1976). */
  readonly jump: number;
}

const LEAST_SIGMA = 0.9;
export const MOST_LAYERS = 4;
/** So many rows beside a border are blur: 1.25 % of the height. */
const BLURRED = 3;
/** A thinner layer is not told from a blur: 5 % of the height. */
const LEAST_ROWS = 12;
/** From here on two colours beside each other are two to an eye. */
const LEAST_JUMP = 3.2;
/** Beside a border this much is blur, share of the height; then so much is looked at. */
const BLUR = 0.02;
const LOOK = 0.05;
const CHANNELS = [0, 1, 2] as const;

/** Sums up to each row, for the fit of a line in constant time. */
interface Sums {
  readonly y: Float64Array;
  readonly xy: Float64Array;
  readonly yy: Float64Array;
}
function sumsOf(values: readonly number[]): Sums {
  const [y, xy, yy] = [0, 1, 2].map(() => new Float64Array(values.length + 1)) as [
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  values.forEach((value, i) => {
    y[i + 1] = y[i]! + value;
    xy[i + 1] = xy[i]! + i * value;
    yy[i + 1] = yy[i]! + value * value;
  });
  return { y, xy, yy };
}

/** Residual sum of squares of the line through rows from..to−1. */
function residual({ y, xy, yy }: Sums, from: number, to: number): number {
  const n = to - from;
  const [sy, sxy, syy] = [y[to]! - y[from]!, xy[to]! - xy[from]!, yy[to]! - yy[from]!];
  const sx = (n * (from + to - 1)) / 2;
  const sxx = ((to - 1) * to * (2 * to - 1) - (from - 1) * from * (2 * from - 1)) / 6;
  const [vx, vxy, vy] = [sxx - (sx * sx) / n, sxy - (sx * sy) / n, syy - (sy * sy) / n];
  return Math.max(0, vy - (vx > 0 ? (vxy * vxy) / vx : 0));
}

function sigmaOf(values: readonly number[]): number {
  const second = values.slice(2).map((value, i) => Math.abs(value - 2 * values[i + 1]! + values[i]!));
  return Math.max(LEAST_SIGMA, (1.4826 * median(second)) / Math.sqrt(6));
}

/** @param colours floor to surface, at least twenty rows. @returns borders from the floor up; none: no layer to be seen */
export function bordersOf(colours: readonly Lab[]): readonly Border[] {
  const rows = colours.length;
  const channels = CHANNELS.map((c) => colours.map((colour) => colour[c]));
  const sums = channels.map(sumsOf);
  const sigmas = channels.map(sigmaOf);
  const cost = (from: number, to: number): number =>
    CHANNELS.reduce<number>(
      (sum, c) => sum + residual(sums[c]!, from + BLURRED, to - BLURRED) / sigmas[c]! ** 2,
      0,
    );
  const cuts = bestCuts(rows, LEAST_ROWS, cost);
  return cuts.map((cut) => borderAt(colours, cut)).filter(({ jump }) => jump >= LEAST_JUMP);
}

/** Rows at which a new layer begins. */
function bestCuts(
  rows: number,
  least: number,
  cost: (from: number, to: number) => number,
): readonly number[] {
  const penalty = 7 * Math.log(rows) + 2 * BLURRED * CHANNELS.length;
  // best[k][to]: rows 0..to−1 in k + 1 layers.
  let best = Float64Array.from({ length: rows + 1 }, (_, to) => (to >= least ? cost(0, to) : Infinity));
  const from: Int32Array[] = [];
  let [found, layers] = [best[rows]! + penalty, 1];
  for (let k = 1; k < MOST_LAYERS; k++) {
    const next = new Float64Array(rows + 1).fill(Infinity);
    const came = new Int32Array(rows + 1);
    for (let to = (k + 1) * least; to <= rows; to++) {
      for (let cut = k * least; cut <= to - least; cut++) {
        const is = best[cut]! + cost(cut, to);
        if (is >= next[to]!) continue;
        next[to] = is;
        came[to] = cut;
      }
    }
    from.push(came);
    best = next;
    const total = best[rows]! + (k + 1) * penalty;
    if (total < found) [found, layers] = [total, k + 1];
  }
  const cuts: number[] = [];
  for (let k = layers - 1, to = rows; k > 0; k--) {
    to = from[k - 1]![to]!;
    cuts.unshift(to);
  }
  return cuts;
}

/** Where between both sides' colours the profile is halfway, and how far the way is. */
function borderAt(colours: readonly Lab[], cut: number): Border {
  const rows = colours.length;
  const [blur, look] = [Math.round(BLUR * rows), Math.round(LOOK * rows)];
  const side = (from: number, to: number): Lab => {
    const part = colours.slice(Math.max(0, from), Math.min(rows, Math.max(from + 2, to)));
    return CHANNELS.map((c) => median(part.map((colour) => colour[c]))) as unknown as Lab;
  };
  const below = side(Math.max(0, cut - blur - look), Math.max(2, cut - blur));
  const above = side(Math.min(rows - 2, cut + blur), Math.min(rows, cut + blur + look));
  const slope = drift(colours, cut, blur, look);
  const way = CHANNELS.map((c) => above[c] - below[c] - slope[c]!);
  const jump = Math.hypot(...way);
  const length = CHANNELS.reduce<number>((sum, c) => sum + (above[c] - below[c]) ** 2, 0);
  const share = (row: number): number =>
    length === 0
      ? 0.5
      : CHANNELS.reduce<number>((sum, c) => sum + (colours[row]![c] - below[c]) * (above[c] - below[c]), 0) /
        length;
  const [start, end] = [Math.max(0, cut - blur), Math.min(rows - 1, cut + blur)];
  let [quarter, half, last] = [start, cut, end];
  for (let row = end; row >= start; row--) {
    if (share(row) >= 0.75) last = row;
    if (share(row) >= 0.5) half = row;
    if (share(row) >= 0.25) quarter = row;
  }
  const width = Math.max(1, last - quarter);
  return { at: half / rows, doubt: (width / 2 + 1) / rows, jump };
}

/** What the light's own slope on both sides would change across the border. */
function drift(colours: readonly Lab[], cut: number, blur: number, look: number): readonly number[] {
  const rows = colours.length;
  const over = look + 2 * blur;
  const slopeOf = (c: 0 | 1 | 2, from: number, to: number): number => {
    const [a, b] = [Math.max(0, from), Math.min(rows, to)];
    if (b - a < 6) return 0;
    const third = Math.max(2, Math.floor((b - a) / 3));
    const [start, end] = [colours.slice(a, a + third), colours.slice(b - third, b)];
    return (median(end.map((one) => one[c])) - median(start.map((one) => one[c]))) / (b - a - third);
  };
  return CHANNELS.map((c) => {
    const down = slopeOf(c, cut - blur - 3 * look, cut - blur);
    const up = slopeOf(c, cut + blur, cut + blur + 3 * look);
    // Only where both sides go the same way does the light go on under the border.
    return down * up > 0 ? Math.sign(down) * Math.min(Math.abs(down), Math.abs(up)) * over : 0;
  });
}
