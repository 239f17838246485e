/** A jar as it is drawn: flat colours, shaded to the sides, with a stripe of glare and a label. */
import { liquidOf, mix, type Rgb, type Scene } from './scene';

/** @returns the colour at u (−1..1 across the glass) and v (0..1 up the liquid, empty glass beyond) */
export function drawnBy(scene: Scene): (u: number, v: number, room: Rgb) => Rgb {
  const liquid = liquidOf(scene);
  const { slope, side, glare, glareAt, glareWide, label } = scene;
  return (u, v, room) => {
    if (label && v > label.from && v < label.from + label.tall && u * label.side > 0.15)
      return [235, 228, 205];
    const own = v < 0 || v > 1 ? mix(room, [225, 230, 232], 0.35) : liquid(v);
    const shade = (1 - 0.35 * u ** 6) * (1 + slope * (v - 0.5) * 2 + side * u);
    const shine = glare * Math.exp(-(((u - glareAt) / glareWide) ** 2));
    return [own[0] * shade + shine, own[1] * shade + shine, own[2] * shade + shine];
  };
}
