/** What stands in a picture of a jar, for tests: all settings are ranges; the seed picks. */
import { SeededRandom } from '#core/numeric';
import { brimHeightMm, radiusAt, STARTING_VESSELS } from '#core/vessel';
import type { Marks, Photo, Point } from '#core/glass';

export type Rgb = readonly [number, number, number];
export interface Dressing {
  readonly watery: Rgb;
  readonly mixed: Rgb;
  readonly creamed: Rgb;
  readonly oil: Rgb;
}
/** Ten dressings, as they look in a glass: invented. */
const DRESSINGS: readonly Dressing[] = [
  { watery: [196, 170, 112], mixed: [222, 204, 150], creamed: [238, 226, 186], oil: [206, 176, 60] },
  { watery: [62, 34, 26], mixed: [122, 84, 58], creamed: [160, 118, 84], oil: [168, 140, 44] },
  { watery: [150, 44, 50], mixed: [200, 112, 100], creamed: [224, 158, 138], oil: [206, 160, 60] },
  { watery: [205, 200, 170], mixed: [236, 232, 214], creamed: [248, 246, 236], oil: [214, 196, 96] },
  { watery: [96, 104, 52], mixed: [132, 146, 78], creamed: [168, 178, 116], oil: [150, 142, 32] },
  { watery: [170, 122, 58], mixed: [206, 164, 92], creamed: [228, 196, 134], oil: [196, 150, 34] },
  { watery: [110, 62, 30], mixed: [156, 106, 62], creamed: [190, 146, 98], oil: [180, 132, 28] },
  { watery: [214, 150, 96], mixed: [236, 186, 138], creamed: [246, 212, 176], oil: [222, 164, 52] },
  { watery: [188, 186, 140], mixed: [214, 214, 176], creamed: [234, 234, 208], oil: [190, 184, 70] },
  { watery: [138, 92, 84], mixed: [184, 140, 126], creamed: [212, 176, 162], oil: [192, 154, 70] },
];
/** Which layers a jar may have, from the floor up. */
const STATES: readonly (readonly (keyof Dressing)[])[] = [
  ['mixed'],
  ['watery', 'creamed'],
  ['mixed', 'oil'],
  ['watery', 'mixed', 'oil'],
];
/** Daylight, a lamp, a dim corner: the white of it. */
const LIGHTS: readonly Rgb[] = [
  [1, 1, 1],
  [1, 0.93, 0.78],
  [0.62, 0.62, 0.66],
];
/** What one looks through to see layers. */
const GLASS = STARTING_VESSELS.filter(({ closes }) => closes);

export interface PhotoOfJar {
  readonly photo: Photo;
  readonly marks: Marks;
  /** Borders between layers of the liquid, shares of its height from the floor. */
  readonly borders: readonly number[];
  readonly kinds: readonly (keyof Dressing)[];
  readonly foam: boolean;
}

export type Scene = ReturnType<typeof sceneOf>;

export function sceneOf(seed: number, isRendered: boolean, width: number, height: number) {
  const random = new SeededRandom(seed);
  const among = (low: number, high: number): number => low + (high - low) * random.next();
  const one = <T>(of: readonly T[]): T => of[Math.floor(random.next() * of.length)]!;
  const [dressing, kinds, light] = [one(DRESSINGS), one(STATES), one(LIGHTS)];
  const borders = bordersFor(kinds.length, among);
  const foam = isRendered && random.next() < 0.4 ? among(0.03, 0.08) : 0;
  const tall = { floorY: height * among(0.82, 0.9), topY: height * among(0.2, 0.4) };
  const shape = {
    tilt: (among(-5, 5) * Math.PI) / 180,
    half: width * among(0.2, 0.3),
    ...tall,
    slope: among(-0.12, 0.12),
    side: among(-0.12, 0.12),
    glareAt: among(-0.7, 0.7),
    glare: among(30, 130),
    glareWide: among(0.04, 0.1),
    label:
      random.next() < 0.3
        ? { from: among(0.1, 0.5), tall: among(0.1, 0.3), side: random.next() < 0.5 ? -1 : 1 }
        : null,
    noise: among(1, 5),
    blur: isRendered ? among(0.004, 0.02) : among(0, 0.004),
    bubbles: isRendered ? among(0, 0.02) : 0,
    /** Through so much of it the room is seen, in half widths of the jar. */
    clear: isRendered ? among(0.4, 1.2) : 0,
    room: [among(60, 210), among(60, 210), among(60, 210)] as Rgb,
  };
  return {
    random,
    among,
    dressing,
    kinds,
    light,
    borders,
    foam,
    ...shape,
    halfAt: outlineOf(one(GLASS), among),
  };
}

/** How wide the glass is at each share of the liquid's height, of its widest; below the floor and above, too. */
function outlineOf(
  { outline }: (typeof GLASS)[0],
  among: (low: number, high: number) => number,
): (share: number) => number {
  const filledMm = brimHeightMm(outline) * among(0.5, 0.8);
  const widest = Math.max(...outline.map(({ radiusMm }) => radiusMm));
  return (share) => radiusAt(outline, share * filledMm) / widest;
}

/** The liquid's own colour at a share of its height. */
export function liquidOf({ kinds, dressing, borders, blur }: Scene): (v: number) => Rgb {
  const smooth = (edge: number, v: number): number =>
    blur < 1e-4 ? Number(v > edge) : 1 / (1 + Math.exp((-4 * (v - edge)) / blur));
  const at = (v: number): Rgb =>
    kinds.reduce<Rgb>(
      (under, kind, i) => (i === 0 ? dressing[kind] : mix(under, dressing[kind], smooth(borders[i - 1]!, v))),
      dressing[kinds[0]!],
    );
  const rows = Array.from({ length: 1200 }, (_, i) => at(i / 1199));
  return (v) => rows[Math.round(Math.min(1, Math.max(0, v)) * 1199)]!;
}

/** As a hand marks it: off by up to three thousandths of the height. */
export function markedBy(scene: Scene, width: number, height: number): Marks {
  const { tilt, half, floorY, topY, among, halfAt } = scene;
  const [cos, sin, cx, cy] = [Math.cos(tilt), Math.sin(tilt), width / 2, height / 2];
  const point = (u: number, v: number): Point => {
    const [px, py] = [u * half * halfAt(v), floorY - (v + among(-0.003, 0.003)) * (floorY - topY) - cy];
    return { x: cx + cos * px - sin * py, y: cy + sin * px + cos * py };
  };
  return { floor: [point(-1, 0), point(1, 0)], surface: [point(-1, 1), point(1, 1)] };
}

export const mix = (a: Rgb, b: Rgb, share: number): Rgb => [
  a[0] + (b[0] - a[0]) * share,
  a[1] + (b[1] - a[1]) * share,
  a[2] + (b[2] - a[2]) * share,
];

/** None thinner than a fourteenth of the height. */
function bordersFor(layers: number, among: (low: number, high: number) => number): readonly number[] {
  if (layers === 1) return [];
  if (layers === 2) return [among(0.08, 0.85)];
  const first = among(0.08, 0.5);
  return [first, among(first + 0.1, 0.86)];
}
