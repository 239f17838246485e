/**
 * Lightness and colour along the glass, floor to surface: at each height the median across the inner part of the width,
 * freed of what the light does across it, so that a glare, a label's edge or a drop on the glass has no say while it covers less than half. The outer fifth on
 * either side is left out: there the glass darkens and bends. Texture is how far the rest strays from that median.
 */
import { labOf, midway, type Lab, type Marks, type Photo } from './photo';

/** Heights at which it is looked at. */
export const ROWS = 240;
const ACROSS = 41;
const INNER = 0.6;

export interface Profile {
  /** From the floor to the surface, {@link ROWS} of them. */
  readonly colours: readonly Lab[];
  /** Median distance from the row's own median, in L*. */
  readonly texture: readonly number[];
}

/** @param marks without a problem, see `marksProblem` */
export function profileOf(photo: Photo, { floor, surface }: Marks): Profile {
  const heightPx = Math.hypot(
    midway(...floor).x - midway(...surface).x,
    midway(...floor).y - midway(...surface).y,
  );
  // As thick a brush as the rows are apart, so that noise is spread and nothing lies between.
  const reach = Math.max(0, Math.floor(heightPx / ROWS / 2));
  const seen = Array.from({ length: ROWS }, (_, row) => {
    const at = (row + 0.5) / ROWS;
    const [left, right] = [midway(floor[0], surface[0], at), midway(floor[1], surface[1], at)];
    return Array.from({ length: ACROSS }, (_, i) => {
      const { x, y } = midway(left, right, 0.5 + INNER * (i / (ACROSS - 1) - 0.5));
      return brushed(photo, x, y, reach);
    });
  });
  const first = seen.map(medianOf);
  // Light from one side and a stripe of glare run along the whole glass: each place across has a light of its own.
  const across = Array.from({ length: ACROSS }, (_, i) =>
    medianOf(seen.map((row, r) => less(row[i]!, first[r]!))),
  );
  const even = seen.map((row) => row.map((one, i) => less(one, across[i]!)));
  const colours = even.map(medianOf);
  const texture = even.map((row, r) => median(row.map(([l]) => Math.abs(l - colours[r]![0]))));
  return { colours, texture };
}

const less = (a: Lab, b: Lab): Lab => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const medianOf = (of: readonly Lab[]): Lab => [
  median(of.map(([l]) => l)),
  median(of.map(([, a]) => a)),
  median(of.map(([, , b]) => b)),
];

function brushed({ width, height, rgba }: Photo, x: number, y: number, reach: number): Lab {
  let [red, green, blue, count] = [0, 0, 0, 0];
  for (let dy = -reach; dy <= reach; dy++) {
    const row = Math.min(height - 1, Math.max(0, Math.round(y) + dy));
    const column = Math.min(width - 1, Math.max(0, Math.round(x)));
    const at = 4 * (row * width + column);
    red += rgba[at]!;
    green += rgba[at + 1]!;
    blue += rgba[at + 2]!;
    count += 1;
  }
  return labOf(Math.round(red / count), Math.round(green / count), Math.round(blue / count));
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
