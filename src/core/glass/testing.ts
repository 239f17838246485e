/**
 * Pictures of jars with known layers, for tests: a glass in a room, drawn pixel by pixel. Two ways: "drawn" has light,
 * glare, a label, tilt, noise and blur; "rendered" bends the light through the glass, lets the room through, and has foam,
 * bubbles and borders that are not sharp. All settings are ranges; the seed picks.
 */
import { SeededRandom } from '#core/numeric';
import type { Marks, Photo, Point } from './photo';

type Rgb = readonly [number, number, number];
interface Dressing {
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

export interface PhotoOfJar {
  readonly photo: Photo;
  readonly marks: Marks;
  /** Borders between layers of the liquid, shares of its height from the floor. */
  readonly borders: readonly number[];
  readonly kinds: readonly (keyof Dressing)[];
  readonly foam: boolean;
}

export function photoOfJar(seed: number, way: 'drawn' | 'rendered', width = 1224, height = 1632): PhotoOfJar {
  const random = new SeededRandom(seed);
  const among = (low: number, high: number): number => low + (high - low) * random.next();
  const dressing = DRESSINGS[Math.floor(random.next() * DRESSINGS.length)]!;
  const kinds = STATES[Math.floor(random.next() * STATES.length)]!;
  const light = LIGHTS[Math.floor(random.next() * LIGHTS.length)]!;
  const borders = bordersFor(kinds.length, among);
  const isRendered = way === 'rendered';
  const foamShare = isRendered && random.next() < 0.4 ? among(0.03, 0.08) : 0;
  const scene = sceneFor(among, random, isRendered, width, height);
  const [cx, cy] = [width / 2, height / 2];
  const [cos, sin] = [Math.cos(scene.tilt), Math.sin(scene.tilt)];
  const tall = scene.floorY - scene.topY;
  const smooth = (edge: number, v: number): number =>
    scene.blur < 1e-4 ? Number(v > edge) : 1 / (1 + Math.exp((-4 * (v - edge)) / scene.blur));
  const liquid = (v: number): Rgb =>
    kinds.reduce<Rgb>(
      (under, kind, i) => (i === 0 ? dressing[kind] : mix(under, dressing[kind], smooth(borders[i - 1]!, v))),
      dressing[kinds[0]!],
    );
  const rows = Array.from({ length: 1200 }, (_, i) => liquid(i / 1199));
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [x - cx, y - cy];
      const u = (cos * dx + sin * dy) / scene.half;
      const v = (scene.floorY - (cy - sin * dx + cos * dy)) / tall;
      const room = 1 + 0.25 * Math.sin(x / 90) * Math.sin(y / 140);
      let colour: Rgb = [scene.room[0] * room, scene.room[1] * room, scene.room[2] * room];
      if (Math.abs(u) <= 1 && v >= -0.03 && v <= 1.3) {
        colour = v < 0 || v > 1 ? mix(colour, [225, 230, 232], 0.35) : rows[Math.round(v * 1199)]!;
        if (v >= 0 && v <= 1 && scene.clear > 0) {
          const through = scene.room[0] * (1 + 0.3 * Math.sin((x + 60 * scene.bend * u * u * u) / 40));
          colour = mix(colour, [through, through, through], scene.clear);
        }
        if (foamShare > 0 && v <= 1 && v > 1 - foamShare) {
          const speck = random.next() < 0.5 ? 1.04 : 0.84;
          colour = [246 * speck, 244 * speck, 236 * speck];
        }
        if (scene.bubbles > 0 && random.next() < scene.bubbles) colour = mix(colour, [250, 250, 250], 0.5);
        const edge = 1 - (0.35 + 0.3 * scene.bend) * u ** 6;
        const shade = edge * (1 + scene.slope * (v - 0.5) * 2 + scene.side * u);
        const shine = scene.glare * Math.exp(-(((u - scene.glareAt) / scene.glareWide) ** 2));
        colour = [colour[0] * shade + shine, colour[1] * shade + shine, colour[2] * shade + shine];
        const { label } = scene;
        if (label && v > label.from && v < label.from + label.tall && u * label.side > 0.15)
          colour = [235, 228, 205];
      }
      const at = 4 * (y * width + x);
      const grain = scene.noise * (random.next() + random.next() + random.next() - 1.5) * 2;
      for (let c = 0; c < 3; c++) rgba[at + c] = colour[c]! * light[c]! + grain;
      rgba[at + 3] = 255;
    }
  }
  // As a hand marks it: off by up to three thousandths of the height.
  const point = (u: number, v: number): Point => {
    const [px, py] = [u * scene.half, scene.floorY - (v + among(-0.003, 0.003)) * tall - cy];
    return { x: cx + cos * px - sin * py, y: cy + sin * px + cos * py };
  };
  return {
    ...{ photo: { width, height, rgba }, borders, kinds, foam: foamShare > 0 },
    marks: { floor: [point(-1, 0), point(1, 0)], surface: [point(-1, 1), point(1, 1)] },
  };
}

function sceneFor(
  among: (low: number, high: number) => number,
  random: SeededRandom,
  isRendered: boolean,
  width: number,
  height: number,
) {
  return {
    tilt: (among(-5, 5) * Math.PI) / 180,
    half: width * among(0.2, 0.3),
    floorY: height * among(0.82, 0.9),
    topY: height * among(0.2, 0.4),
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
    bend: isRendered ? among(0.3, 0.8) : 0,
    clear: isRendered ? among(0.05, 0.2) : 0,
    bubbles: isRendered ? among(0, 0.02) : 0,
    room: [among(60, 210), among(60, 210), among(60, 210)] as Rgb,
  };
}

const mix = (a: Rgb, b: Rgb, share: number): Rgb => [
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
