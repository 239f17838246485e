/** From millimetres of a vessel to paths on the screen. Plain numbers, no React. */
import { brimHeightMm, heightOfMl, radiusAt, type Outline } from '#core/vessel';

export interface JarFrame {
  /** Pixels per millimetre. */
  readonly scale: number;
  readonly centreX: number;
  readonly bottomY: number;
  readonly outline: Outline;
}

/** The largest scale at which the vessel fits a box, standing on its floor. */
export function frameJar(
  outline: Outline,
  box: {
    readonly width: number;
    readonly height: number;
    readonly centreX: number;
    readonly bottomY: number;
  },
): JarFrame {
  const widest = Math.max(...outline.map(({ radiusMm }) => radiusMm));
  const scale = Math.min(box.width / (2 * widest), box.height / brimHeightMm(outline));
  return { scale, centreX: box.centreX, bottomY: box.bottomY, outline };
}

export const yAt = (frame: JarFrame, heightMm: number): number => frame.bottomY - heightMm * frame.scale;
export const halfWidthAt = (frame: JarFrame, heightMm: number): number =>
  radiusAt(frame.outline, heightMm) * frame.scale;

/** Closed path of what lies between two heights, following the glass. */
export function slicePath(frame: JarFrame, fromMm: number, toMm: number): string {
  const heights = [
    fromMm,
    ...frame.outline.map(({ heightMm }) => heightMm).filter((h) => h > fromMm && h < toMm),
    toMm,
  ];
  const right = heights.map((h) => point(frame, h, 1));
  const left = [...heights].reverse().map((h) => point(frame, h, -1));
  return `M${[...right, ...left].join('L')}Z`;
}

/** The glass: up one side, open at the brim, down the other. */
export function glassPath(frame: JarFrame): string {
  const heights = frame.outline.map(({ heightMm }) => heightMm);
  const left = [...heights].reverse().map((h) => point(frame, h, -1));
  const right = heights.map((h) => point(frame, h, 1));
  return `M${[...left, ...right].join('L')}`;
}

const point = (frame: JarFrame, heightMm: number, side: 1 | -1): string =>
  `${(frame.centreX + side * halfWidthAt(frame, heightMm)).toFixed(1)} ${yAt(frame, heightMm).toFixed(1)}`;

export interface JarLayer<T> {
  readonly data: T;
  readonly fromMm: number;
  readonly toMm: number;
}

/** Stacks volumes from the bottom; what goes over the brim is cut off there. */
export function stackLayers<T>(
  outline: Outline,
  parts: readonly { readonly data: T; readonly volumeMl: number }[],
): readonly JarLayer<T>[] {
  let volumeMl = 0;
  let fromMm = 0;
  return parts.map(({ data, volumeMl: added }) => {
    volumeMl += added;
    const toMm = heightOfMl(outline, volumeMl);
    const layer = { data, fromMm, toMm };
    fromMm = toMm;
    return layer;
  });
}

/** Moves labels apart to at least `gap`, keeping their order and never below `floor`; y grows downwards. */
export function spreadLabels(wanted: readonly number[], gap: number, floor: number): readonly number[] {
  // From the lowest label up: each is pushed above the one before it.
  let limit = floor;
  return wanted.map((y) => {
    const placed = Math.min(y, limit);
    limit = placed - gap;
    return placed;
  });
}
