/**
 * Whether a camera still sees what it saw when the corners were drawn: the edges around the jar, not its liquid, which is to
 * change. Lightness in few cells (CIE 1976 L*), the steps from each to the next, and how far two such maps go together
 * (their cosine). Light that comes and goes leaves the edges where they are; a nudge does not. Limits: estimate.
 */
import { inCells } from './cells';
import type { Marks, Photo } from './photo';

const [COLUMNS, LINES] = [48, 36];
/** A bare wall has no edges to tell by: root mean square, L*; the grain of a picture alone is below half of it. */
const LEAST_STEP = 0.6;
const LEAST_TOGETHER = 0.5;

/** Steps between neighbouring cells around the jar; plain numbers, to be kept. */
export interface Surroundings {
  readonly across: readonly number[];
  readonly down: readonly number[];
}

/** @param marks without a problem, see `marksProblem` */
export function surroundingsOf(photo: Photo, marks: Marks): Surroundings {
  const light = inCells(photo, COLUMNS, LINES, 8).map((line) => line.map(([lightness]) => lightness));
  const isOutside = outsideOf(photo, marks);
  const [across, down]: [number[], number[]] = [[], []];
  const step = (here: number, there: number): number => Math.round((there - here) * 10) / 10;
  for (let line = 0; line < LINES; line++)
    for (let column = 0; column < COLUMNS; column++) {
      if (!isOutside(column, line)) continue;
      const here = light[line]![column]!;
      if (column + 1 < COLUMNS && isOutside(column + 1, line))
        across.push(step(here, light[line]![column + 1]!));
      if (line + 1 < LINES && isOutside(column, line + 1)) down.push(step(here, light[line + 1]![column]!));
    }
  return { across, down };
}

/** A shelf's edge tells of up and down only, a door's of left and right: each has its say. False where nothing tells. */
export const hasMoved = (before: Surroundings, now: Surroundings): boolean =>
  goApart(before.across, now.across) || goApart(before.down, now.down);

function goApart(before: readonly number[], now: readonly number[]): boolean {
  if (before.length !== now.length) return true;
  const sum = (of: (i: number) => number): number => before.reduce((all, _, i) => all + of(i), 0);
  const [own, other] = [sum((i) => before[i]! ** 2), sum((i) => now[i]! ** 2)];
  if (Math.sqrt(own / Math.max(1, before.length)) < LEAST_STEP) return false;
  // Dark, or a hand before it: whatever was measured, it was not the jar.
  if (other === 0) return true;
  return sum((i) => before[i]! * now[i]!) / Math.sqrt(own * other) < LEAST_TOGETHER;
}

function outsideOf(
  { width, height }: Photo,
  { floor, surface }: Marks,
): (column: number, line: number) => boolean {
  const corners = [...floor, ...surface];
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  const [left, right] = [(Math.min(...xs) / width) * COLUMNS, (Math.max(...xs) / width) * COLUMNS];
  const [top, bottom] = [(Math.min(...ys) / height) * LINES, (Math.max(...ys) / height) * LINES];
  return (column, line) =>
    column + 1 < left - 0.5 || column > right + 0.5 || line + 1 < top - 0.5 || line > bottom + 0.5;
}
