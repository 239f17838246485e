/**
 * A jar as light makes it: each ray is bent into the round of the liquid and out of it (Snell), loses itself on its way
 * through what is turbid (Lambert), and is thrown back where it meets the glass at a slant (Schlick). Each layer bends by an
 * index of its own; foam and bubbles are specks. Another way than the drawn one, from the room to the eye.
 */
import { liquidOf, mix, type Rgb, type Scene } from './scene';

/** Of water with something in it, of half oil, of oil; from memory (handbook tables, 20 °C). */
const INDEX = { watery: 1.35, mixed: 1.4, creamed: 1.43, oil: 1.47 } as const;
/** The wall stands so far behind, in half widths of the jar. */
const WALL = 3;
const STEPS = 512;

export interface Ray {
  /** Where on the wall it comes from, half widths from the middle. */
  readonly from: number;
  /** Way through the liquid, half widths. */
  readonly way: number;
  /** Share thrown back at the front. */
  readonly back: number;
}

/** Of a ray that comes straight to the camera at u, through a round of index n; its wall lies {@link WALL} behind the middle. */
export function rayAt(u: number, n: number): Ray {
  const into = Math.asin(Math.min(0.999, Math.abs(u)));
  const inside = Math.asin(Math.sin(into) / n);
  const turn = 2 * (into - inside);
  // The chord lies `inside` off the radius at both its ends: at the back it is that far round from opposite the front.
  const back = 2 * inside - into;
  const [x, z] = [Math.sin(back), Math.cos(back)];
  const from = x - (WALL - z) * Math.tan(Math.min(1.4, turn));
  const flat = ((n - 1) / (n + 1)) ** 2;
  return {
    from: Math.sign(u) * from,
    way: 2 * Math.cos(inside),
    back: flat + (1 - flat) * (1 - Math.cos(into)) ** 5,
  };
}

export function renderedBy(
  scene: Scene,
): (u: number, v: number, room: Rgb, wallAt: (x: number) => Rgb) => Rgb {
  const liquid = liquidOf(scene);
  const { kinds, borders, foam, bubbles, clear, random, glare, glareAt, glareWide, slope, side, label } =
    scene;
  const rays = kinds.map((kind) =>
    Array.from({ length: STEPS + 1 }, (_, i) => rayAt((2 * i) / STEPS - 1, INDEX[kind])),
  );
  return (u, v, room, wallAt) => {
    if (label && v > label.from && v < label.from + label.tall && u * label.side > 0.15)
      return [235, 228, 205];
    const lit = 1 + slope * (v - 0.5) * 2 + side * u;
    const shine = glare * Math.exp(-(((u - glareAt) / glareWide) ** 2));
    // Glass with nothing in it bends little.
    if (v < 0 || v > 1) return lightened(mix(room, [225, 230, 232], 0.2 + 0.5 * u ** 6), lit, shine);
    const layer = borders.filter((border) => v > border).length;
    const ray = rays[layer]![Math.round(((u + 1) / 2) * STEPS)]!;
    const through = Math.exp(-ray.way / clear);
    let colour = mix(liquid(v), wallAt(ray.from), through);
    if (foam > 0 && v > 1 - foam) {
      const speck = random.next() < 0.5 ? 1.04 : 0.84;
      colour = [246 * speck, 244 * speck, 236 * speck];
    }
    if (bubbles > 0 && random.next() < bubbles) colour = mix(colour, [250, 250, 250], 0.5);
    return lightened(mix(colour, room, ray.back), lit, shine);
  };
}

const lightened = ([r, g, b]: Rgb, lit: number, shine: number): Rgb => [
  r * lit + shine,
  g * lit + shine,
  b * lit + shine,
];
