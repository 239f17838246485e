/**
 * Where the liquid most likely stands in a picture: the two upright edges that are strongest along the middle of it, then
 * between them the first strong change from above and the last from below. A proposal, to be looked at and drawn right.
 */
import { labOf, type Lab, type Marks, type Photo } from './photo';
import { median } from './profile';

const [COLUMNS, LINES] = [120, 160];
/** A jar is so wide in a picture at least and at most, shares of its width. */
const [NARROW, WIDE] = [0.15, 0.85];
/** Of the strongest change: what still is floor or surface. */
const STRONG = 0.35;
/** ΔE below which nothing stands out. */
const LEAST = 6;
const INSET = 0.8;
const REACH = 3;

/** Null where no jar stands out from what is around it. */
export function proposeMarks(photo: Photo): Marks | null {
  const grid = gridOf(photo);
  const sides = sidesOf(grid);
  if (!sides) return null;
  const [left, right] = sides;
  const inner = Math.max(1, Math.round((right - left) * 0.2));
  const rows = grid.map((line) => middleOf(line.slice(left + inner, right - inner + 1)));
  const changes = rows.map((_, i) =>
    i < REACH || i >= LINES - REACH
      ? 0
      : distance(middleOf(rows.slice(i - REACH, i)), middleOf(rows.slice(i, i + REACH))),
  );
  const strong = Math.max(LEAST, STRONG * Math.max(...changes));
  const peaks = changes.flatMap((change, i) =>
    change >= strong && change >= (changes[i - 1] ?? 0) && change > (changes[i + 1] ?? 0) ? [i] : [],
  );
  const [top, bottom] = [peaks[0], peaks.at(-1)];
  if (top === undefined || bottom === undefined || bottom - top < LINES * NARROW) return null;
  const at = (column: number, row: number) => ({
    x: Math.min(photo.width - 1, (column * photo.width) / COLUMNS),
    y: Math.min(photo.height - 1, (row * photo.height) / LINES),
  });
  return {
    // Inside by most of a cell: a sliver of glass would be a layer of its own.
    floor: [at(left, bottom - INSET), at(right, bottom - INSET)],
    surface: [at(left, top + INSET), at(right, top + INSET)],
  };
}

const distance = (a: Lab, b: Lab): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);
const middleOf = (of: readonly Lab[]): Lab => [
  median(of.map(([l]) => l)),
  median(of.map(([, a]) => a)),
  median(of.map(([, , b]) => b)),
];

/** The picture in few cells, each the mean of what lies in it. */
function gridOf({ width, height, rgba }: Photo): readonly (readonly Lab[])[] {
  return Array.from({ length: LINES }, (_, line) =>
    Array.from({ length: COLUMNS }, (_unused, column) => {
      let [red, green, blue, count] = [0, 0, 0, 0];
      const [x0, x1] = [Math.floor((column * width) / COLUMNS), Math.ceil(((column + 1) * width) / COLUMNS)];
      const [y0, y1] = [Math.floor((line * height) / LINES), Math.ceil(((line + 1) * height) / LINES)];
      // A few of many pixels are enough for a cell.
      const [dx, dy] = [Math.max(1, (x1 - x0) >> 2), Math.max(1, (y1 - y0) >> 2)];
      for (let y = y0; y < y1; y += dy)
        for (let x = x0; x < x1; x += dx) {
          const at = 4 * (y * width + x);
          red += rgba[at]!;
          green += rgba[at + 1]!;
          blue += rgba[at + 2]!;
          count += 1;
        }
      return labOf(Math.round(red / count), Math.round(green / count), Math.round(blue / count));
    }),
  );
}

/** The pair of columns between which the colour is another than outside, in most of the lines of the lower middle. */
function sidesOf(grid: readonly (readonly Lab[])[]): readonly [number, number] | null {
  const lines = grid.slice(Math.round(LINES * 0.45), Math.round(LINES * 0.75));
  const edges = Array.from({ length: COLUMNS }, (_, column) =>
    column < 2 || column >= COLUMNS - 2
      ? 0
      : median(lines.map((line) => distance(line[column - 2]!, line[column + 1]!))),
  );
  let best: { readonly pair: readonly [number, number]; readonly weight: number } | null = null;
  for (let left = 2; left < COLUMNS; left++)
    for (
      let right = left + Math.round(NARROW * COLUMNS);
      right < Math.min(COLUMNS, left + WIDE * COLUMNS);
      right++
    ) {
      const weight = Math.min(edges[left]!, edges[right]!);
      if (weight >= LEAST && (!best || weight > best.weight)) best = { pair: [left, right], weight };
    }
  return best && best.pair;
}
