/**
 * Too much of one thing was poured, a' for the planned a. With f = a'/a the rest is rescaled by f
 * where nothing poured exceeds f times its plan and f V fits the vessel; otherwise the amounts are
 * found anew with what was poured as a lower bound ({@link formulate}), or mended by additions.
 */
export interface Poured {
  readonly plannedG: number;
  /** So far; 0 where it is still to come. */
  readonly pouredG: number;
}

export type Overpour =
  | { readonly status: 'rescale'; readonly factor: number; readonly volumeMl: number }
  /** Something poured already exceeds it. */
  | { readonly status: 'no-rescale'; readonly factor: number; readonly reason: 'vessel' | 'poured' }
  | { readonly status: 'not-over' };

/**
 * @param index which was over-poured
 * @param plannedVolumeMl of the whole plan
 * @param vesselMl what the vessel may hold
 */
export function overpour(
  lines: readonly Poured[],
  index: number,
  plannedVolumeMl: number,
  vesselMl: number,
): Overpour {
  const line = lines[index];
  if (!line || !(line.plannedG > 0)) throw new RangeError('Only what was planned can be poured too much of.');
  const factor = line.pouredG / line.plannedG;
  if (factor <= 1) return { status: 'not-over' };
  if (lines.some(({ plannedG, pouredG }) => pouredG > factor * plannedG * (1 + 1e-9))) {
    return { status: 'no-rescale', factor, reason: 'poured' };
  }
  const volumeMl = factor * plannedVolumeMl;
  return volumeMl <= vesselMl
    ? { status: 'rescale', factor, volumeMl }
    : { status: 'no-rescale', factor, reason: 'vessel' };
}
