/**
 * Pictures of jars with known layers, for tests: the application's own glass in a room, pixel by pixel. Two ways: "drawn" has
 * light, glare, a label, tilt, noise and blur; "rendered" follows the light through it, and has foam, bubbles and borders that
 * are not sharp.
 */
import type { Marks, Photo } from '#core/glass';
import { drawnBy } from './drawn';
import { renderedBy } from './rendered';
import { markedBy, sceneOf, type PhotoOfJar, type Rgb } from './scene';

export { rayAt } from './rendered';
export type { PhotoOfJar } from './scene';

/** A picture of 200 × 300 in one colour, and where a jar would stand in it. */
export function plainPhoto(rgb: Rgb): Photo {
  const rgba = new Uint8ClampedArray(4 * 200 * 300);
  for (let i = 0; i < 200 * 300; i++) rgba.set([...rgb, 255], 4 * i);
  return { width: 200, height: 300, rgba };
}
export const PLAIN_MARKS: Marks = {
  floor: [
    { x: 50, y: 280 },
    { x: 150, y: 280 },
  ],
  surface: [
    { x: 50, y: 60 },
    { x: 150, y: 60 },
  ],
};

const GRAINS = 65_537;

export function photoOfJar(seed: number, way: 'drawn' | 'rendered', width = 1224, height = 1632): PhotoOfJar {
  const scene = sceneOf(seed, way === 'rendered', width, height);
  const { tilt, half, halfAt, floorY, topY, light, noise, random } = scene;
  const [cx, cy, cos, sin] = [width / 2, height / 2, Math.cos(tilt), Math.sin(tilt)];
  const tall = floorY - topY;
  const colourOf = way === 'rendered' ? renderedBy(scene) : drawnBy(scene);
  const rgba = new Uint8ClampedArray(4 * width * height);
  const widths = Array.from({ length: 1400 }, (_, i) => half * halfAt((i - 40) / 1000));
  // The same grains in an order that the eye does not find again: a draw for each pixel is most of the time.
  const grains = Float32Array.from(
    { length: GRAINS },
    () => noise * (random.next() + random.next() + random.next() - 1.5) * 2,
  );
  for (let y = 0; y < height; y++) {
    const wave = 0.25 * Math.sin(y / 140);
    const wallAt = (x: number): Rgb => {
      const lit = 1 + wave * Math.sin((cx + x * half) / 90);
      return [scene.room[0] * lit, scene.room[1] * lit, scene.room[2] * lit];
    };
    const start = Math.floor(random.next() * GRAINS);
    for (let x = 0; x < width; x++) {
      const [dx, dy] = [x - cx, y - cy];
      const v = (floorY - (cy - sin * dx + cos * dy)) / tall;
      let colour = wallAt(dx / half);
      if (v >= -0.03 && v <= 1.3) {
        const u = (cos * dx + sin * dy) / widths[Math.round(v * 1000) + 40]!;
        if (Math.abs(u) <= 1) colour = colourOf(u, v, colour, wallAt);
      }
      const at = 4 * (y * width + x);
      const grain = grains[(start + x) % GRAINS]!;
      rgba[at] = colour[0] * light[0] + grain;
      rgba[at + 1] = colour[1] * light[1] + grain;
      rgba[at + 2] = colour[2] * light[2] + grain;
      rgba[at + 3] = 255;
    }
  }
  const { borders, kinds, foam } = scene;
  return {
    photo: { width, height, rgba },
    borders,
    kinds,
    foam: foam > 0,
    marks: markedBy(scene, width, height),
  };
}
