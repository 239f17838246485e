/**
 * Inside shape of a round vessel as stacked frustums: volume against height and back.
 *
 * V of a frustum = π h/3 (r0² + r0 r1 + r1²). Lengths in mm, volumes in ml (1 ml = 1000 mm³).
 */
import { findRoot } from '#core/numeric';

export interface OutlinePoint {
  readonly heightMm: number;
  readonly radiusMm: number;
}
/** From the inside bottom (height 0) to the brim, heights ascending. */
export type Outline = readonly OutlinePoint[];

const frustumMl = (height: number, r0: number, r1: number): number =>
  (Math.PI * height * (r0 * r0 + r0 * r1 + r1 * r1)) / 3000;

/** Inside radius at a height, mm; straight between the points, held beyond the ends. */
export function radiusAt(outline: Outline, heightMm: number): number {
  for (let i = 1; i < outline.length; i++) {
    const below = outline[i - 1]!;
    const above = outline[i]!;
    if (heightMm <= above.heightMm) {
      const span = above.heightMm - below.heightMm;
      const t = span > 0 ? Math.max(0, (heightMm - below.heightMm) / span) : 1;
      return below.radiusMm + t * (above.radiusMm - below.radiusMm);
    }
  }
  return outline[outline.length - 1]!.radiusMm;
}

export const brimHeightMm = (outline: Outline): number => outline[outline.length - 1]!.heightMm;

/** Volume below a height, ml. Heights outside the vessel count as its bottom or brim. */
export function volumeBelowMl(outline: Outline, heightMm: number): number {
  let total = 0;
  for (let i = 1; i < outline.length; i++) {
    const below = outline[i - 1]!;
    const above = outline[i]!;
    const top = Math.min(heightMm, above.heightMm);
    if (top <= below.heightMm) break;
    total += frustumMl(top - below.heightMm, below.radiusMm, radiusAt(outline, top));
  }
  return total;
}

/** Height that a volume reaches, mm; the brim where it does not fit. `volumeMl` ≥ 0. */
export function heightOfMl(outline: Outline, volumeMl: number): number {
  const brim = brimHeightMm(outline);
  if (volumeMl <= 0) return 0;
  if (volumeMl >= volumeBelowMl(outline, brim)) return brim;
  const root = findRoot((height) => volumeBelowMl(outline, height) - volumeMl, {
    low: 0,
    high: brim,
    tolerance: 1e-6,
  });
  return root.status === 'not-bracketed' ? brim : root.x;
}

/** The same shape, larger or smaller in all directions, so that it holds `brimfulMl` to the brim. */
export function scaleToBrimful(outline: Outline, brimfulMl: number): Outline {
  const factor = Math.cbrt(brimfulMl / volumeBelowMl(outline, brimHeightMm(outline)));
  return outline.map(({ heightMm, radiusMm }) => ({
    heightMm: heightMm * factor,
    radiusMm: radiusMm * factor,
  }));
}
