/**
 * Where the liquid most likely stands in a picture: the two upright edges that are strongest along the middle of it, then
 * between them, as far up and down as they go, the first strong change from above and the last from below. A proposal, to be
 * looked at and drawn right.
 */
import { inCells } from './cells';
import type { Lab, Marks, Photo } from './photo';
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
  const grid = inCells(photo, COLUMNS, LINES);
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
  const [upper, lower] = standsFrom(grid, sides);
  const peaks = changes.flatMap((change, i) =>
    i >= upper - REACH &&
    i <= lower + REACH &&
    change >= strong &&
    change >= (changes[i - 1] ?? 0) &&
    change > (changes[i + 1] ?? 0)
      ? [i]
      : [],
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

const edgeAt = (line: readonly Lab[], column: number): number =>
  distance(line[column - 2]!, line[column + 1]!);

/** So many lines in a row may lack an edge, for a label or a glare. */
const GAP = 8;
/** A jar that leans by 5° has its side so many columns off at its ends. */
const LEANS = 5;

/** The first and the last line between the two sides: where they end, something else begins, as the table does. */
function standsFrom(
  grid: readonly (readonly Lab[])[],
  [left, right]: readonly [number, number],
): readonly [number, number] {
  const near = (line: readonly Lab[], side: number): number => {
    const columns = Array.from({ length: 2 * LEANS + 1 }, (_, i) => side - LEANS + i);
    return Math.max(...columns.filter((c) => c >= 2 && c < COLUMNS - 2).map((c) => edgeAt(line, c)));
  };
  const isThere = grid.map((line) => Math.min(near(line, left), near(line, right)) >= LEAST);
  const goes = (by: 1 | -1): number => {
    let last = Math.round(LINES * 0.6);
    for (let i = last; i >= 0 && i < LINES && Math.abs(i - last) <= GAP; i += by) if (isThere[i]) last = i;
    return last;
  };
  return [goes(-1), goes(1)];
}

/** The pair of columns between which the colour is another than outside, in most of the lines of the lower middle. */
function sidesOf(grid: readonly (readonly Lab[])[]): readonly [number, number] | null {
  const lines = grid.slice(Math.round(LINES * 0.45), Math.round(LINES * 0.75));
  const edges = Array.from({ length: COLUMNS }, (_, column) =>
    column < 2 || column >= COLUMNS - 2 ? 0 : median(lines.map((line) => edgeAt(line, column))),
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
