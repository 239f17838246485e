/** A picture as pixels, and what is marked in it. All places in pixels, from the upper left. */
export interface Photo {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue, alpha; 4 × width × height. */
  readonly rgba: Uint8ClampedArray | Uint8Array;
}
export interface Point {
  readonly x: number;
  readonly y: number;
}
/** Where the liquid meets the glass: left and right end of its floor and of its surface. */
export interface Marks {
  readonly floor: readonly [Point, Point];
  readonly surface: readonly [Point, Point];
}

/** A colour as an eye has it (CIE 1976 L*a*b*, D65). */
export type Lab = readonly [number, number, number];

const linear = Float64Array.from({ length: 256 }, (_, v) => {
  const c = v / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
});
const cube = (t: number): number => (t > 216 / 24_389 ? Math.cbrt(t) : (24_389 / 27 / 116) * t + 16 / 116);

/** IEC 61966-2-1 to CIE 1976 L*a*b* under D65; each 0..255. */
export function labOf(red: number, green: number, blue: number): Lab {
  const [r, g, b] = [linear[red]!, linear[green]!, linear[blue]!];
  const x = cube((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const y = cube(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const z = cube((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

export const midway = (a: Point, b: Point, share = 0.5): Point => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** What is wrong with marks; null: nothing. */
export function marksProblem(
  { width, height }: Pick<Photo, 'width' | 'height'>,
  { floor, surface }: Marks,
): 'outside' | 'upside-down' | 'too-small' | null {
  const inside = ({ x, y }: Point): boolean => x >= 0 && y >= 0 && x < width && y < height;
  if (![...floor, ...surface].every(inside)) return 'outside';
  const [bottom, top] = [midway(...floor), midway(...surface)];
  if (top.y >= bottom.y) return 'upside-down';
  const across = Math.min(floor[1].x - floor[0].x, surface[1].x - surface[0].x);
  return bottom.y - top.y < LEAST_PX || across < LEAST_PX / 2 ? 'too-small' : null;
}
/** Fewer rows of pixels say nothing of layers. */
const LEAST_PX = 40;
