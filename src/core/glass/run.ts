/** How far something ran on a plate, by a thing of known length that lies beside it in the picture. */
import type { Point } from './photo';

/** The long edge of a bank card, mm (ISO/IEC 7810 ID-1: 85.60). */
export const CARD_MM = 85.6;

/** Fewer pixels are no measure. */
const LEAST_PX = 20;

/**
 * Both lie in one plane, and the camera looks at it from above: a tilt of 15° shortens by 3 %.
 *
 * @param lengthMm of the measure, > 0. @returns mm; null where the measure is too small in the picture to be one
 */
export function runMm(
  run: readonly [Point, Point],
  measure: readonly [Point, Point],
  lengthMm: number,
): number | null {
  if (!(lengthMm > 0)) throw new RangeError('A measure is longer than nothing.');
  const px = ([a, b]: readonly [Point, Point]): number => Math.hypot(a.x - b.x, a.y - b.y);
  const long = px(measure);
  return long < LEAST_PX ? null : (px(run) / long) * lengthMm;
}
