import { describe, expect, it } from 'vitest';
import { hasMoved, surroundingsOf } from './moved';
import type { Marks, Photo } from './photo';
import { photoOfJar, PLAIN_MARKS, plainPhoto } from './testing';
import { SeededRandom } from '#core/numeric';

/** A window of a picture, as a camera that was nudged has it; with other light and a grain of its own. */
function windowOf(photo: Photo, dx: number, dy: number, light: number, seed: number): Photo {
  const random = new SeededRandom(seed);
  const [width, height] = [photo.width - 120, photo.height - 120];
  const rgba = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const from = 4 * ((y + 60 + dy) * photo.width + x + 60 + dx);
      for (let c = 0; c < 3; c++)
        rgba[4 * (y * width + x) + c] = photo.rgba[from + c]! * light + 6 * (random.next() - 0.5);
      rgba[4 * (y * width + x) + 3] = 255;
    }
  return { width, height, rgba };
}
const within = ({ floor, surface }: Marks): Marks => {
  const moved = (pair: Marks['floor']): Marks['floor'] => [
    { x: pair[0].x - 60, y: pair[0].y - 60 },
    { x: pair[1].x - 60, y: pair[1].y - 60 },
  ];
  return { floor: moved(floor), surface: moved(surface) };
};

describe('a camera that watches', () => {
  const scenes = Array.from({ length: 20 }, (_, i) => photoOfJar(7000 + i, 'drawn', 612, 816));
  const told = (dx: number, dy: number, light: number): number =>
    scenes.filter(({ photo, marks }, i) => {
      const corners = within(marks);
      const before = surroundingsOf(windowOf(photo, 0, 0, 1, 2 * i), corners);
      return hasMoved(before, surroundingsOf(windowOf(photo, dx, dy, light, 2 * i + 1), corners));
    }).length;

  it('is not taken for moved by other light', () => {
    expect([told(0, 0, 1), told(0, 0, 0.7), told(0, 0, 0.45)]).toEqual([0, 0, 0]);
  });
  it('nor by a hair’s breadth, nor by what happens in the jar', () => {
    expect(told(2, 1, 1)).toBe(0);
    const [{ photo, marks }] = scenes as [(typeof scenes)[0]];
    const before = surroundingsOf(photo, marks);
    const [top, bottom] = [Math.ceil(marks.surface[0].y) + 40, Math.floor(marks.floor[0].y) - 40];
    const [left, right] = [Math.ceil(marks.floor[0].x) + 40, Math.floor(marks.floor[1].x) - 40];
    const other = { ...photo, rgba: photo.rgba.slice() };
    for (let y = top; y < bottom; y++)
      for (let x = left; x < right; x++) other.rgba.set([20, 60, 10], 4 * (y * photo.width + x));
    expect(hasMoved(before, surroundingsOf(other, marks))).toBe(false);
  });
  it('is told when it was nudged by a tenth', () => {
    expect(told(50, 0, 1)).toBeGreaterThanOrEqual(19);
    expect(told(0, 55, 1)).toBeGreaterThanOrEqual(19);
    expect(told(-40, 40, 0.8)).toBeGreaterThanOrEqual(19);
  });
  it('cannot tell before a bare wall, and says so by not saying it', () => {
    const steps = surroundingsOf(plainPhoto([140, 140, 140]), PLAIN_MARKS);
    expect(hasMoved(steps, steps)).toBe(false);
    // The tablet turned on its side has another picture.
    expect(hasMoved(steps, { ...steps, down: steps.down.slice(1) })).toBe(true);
  });
});
