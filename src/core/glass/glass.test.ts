/**
 * Pictures of jars with known layers, a tenth of them from a renderer that bends the light, with foam and blurred borders.
 * The settings of the pictures and the bounds stood here before the first was looked at.
 */
import { describe, expect, it } from 'vitest';
import { lookAtGlass } from './layers';
import { proposeMarks } from './propose';
import { CARD_MM, runMm } from './run';
import { labOf, marksProblem } from './photo';
import { photoOfJar, PLAIN_MARKS, plainPhoto, rayAt, type PhotoOfJar } from './testing';

const COUNT = Number(process.env.JARS_SEEN ?? 40);
const [WIDTH, HEIGHT] = [1224, 1632];

interface Judged {
  readonly rightNumber: boolean;
  readonly invented: boolean;
  readonly borders: readonly boolean[];
}
function judged({ photo, marks, borders, kinds }: PhotoOfJar): Judged {
  const { layers } = lookAtGlass(photo, marks);
  const liquid = layers.filter(({ kind }) => kind !== 'foam' && kind !== 'floating' && kind !== 'lying');
  const found = liquid.slice(1).map(({ from }) => from);
  return {
    rightNumber: liquid.length === kinds.length,
    invented: kinds.length === 1 && liquid.length > 1,
    borders: borders.map((at) => found.some((one) => Math.abs(one - at) <= 0.02)),
  };
}

describe('a jar looked at', () => {
  it('has its layers found: borders within 2 % of the height, their number, none that is not there', () => {
    const all = Array.from({ length: COUNT }, (_, i) =>
      judged(photoOfJar(i + 1, i % 10 === 9 ? 'rendered' : 'drawn', WIDTH, HEIGHT)),
    );
    const share = (values: readonly boolean[]): number =>
      values.filter(Boolean).length / Math.max(1, values.length);
    expect(share(all.flatMap(({ borders }) => borders))).toBeGreaterThanOrEqual(0.95);
    expect(share(all.map(({ rightNumber }) => rightNumber))).toBeGreaterThanOrEqual(0.95);
    expect(share(all.map(({ invented }) => !invented))).toBeGreaterThanOrEqual(0.98);
  }, 1_200_000);

  it('says that there is no layer to be seen', () => {
    expect(lookAtGlass(plainPhoto([200, 170, 90]), PLAIN_MARKS).layers).toEqual([
      { kind: 'mixed', from: 0, to: 1, doubt: [0, 0] },
    ]);
  });

  it('finds a border drawn by hand to the pixel, and says how far it may be off', () => {
    const photo = plainPhoto([120, 80, 60]);
    // From the row that is a quarter up, all above is oil: 220 px of liquid, the border 55 px above the floor.
    for (let y = 0; y < 225; y++)
      for (let x = 0; x < 200; x++) photo.rgba.set([214, 196, 96], 4 * (y * 200 + x));
    const { layers } = lookAtGlass(photo, PLAIN_MARKS);
    expect(layers).toHaveLength(2);
    expect(layers[1]!.from).toBeCloseTo(0.25, 1);
    expect(Math.abs(layers[1]!.from - 0.25)).toBeLessThan(0.01);
    expect(layers[1]!.doubt[0]).toBeGreaterThan(0);
    expect(layers[1]!.doubt[0]).toBeLessThan(0.03);
  });

  // CIE: white is 100, 0, 0; sRGB red 53.24, 80.09, 67.20; the grey of 119 is 50.03 (D65, 2°), from memory.
  it('has colours as an eye has them', () => {
    const close = (rgb: readonly [number, number, number], lab: readonly [number, number, number]) => {
      for (const [c, value] of labOf(...rgb).entries()) expect(Math.abs(value - lab[c]!)).toBeLessThan(0.05);
    };
    close([255, 255, 255], [100, 0, 0]);
    close([255, 0, 0], [53.24, 80.09, 67.2]);
    close([119, 119, 119], [50.03, 0, 0]);
    close([0, 0, 0], [0, 0, 0]);
  });

  // By hand: nothing bends where nothing is; on the axis nothing either; a round of water throws the wall over (f = n R/(2(n−1))).
  it('is drawn with light that bends as it should', () => {
    for (const u of [-0.9, -0.3, 0, 0.5, 0.8]) {
      expect(rayAt(u, 1).from).toBeCloseTo(u, 9);
      expect(rayAt(u, 1).way).toBeCloseTo(2 * Math.sqrt(1 - u * u), 9);
    }
    expect(rayAt(0, 1.47)).toMatchObject({ from: 0, way: 2 });
    // Near the axis, n = 4/3: 2(1 − 1/n) u = u/2 of turn, out at u/2, on a way of 2 to the wall: u/2 − u = −u/2.
    expect(rayAt(0.01, 4 / 3).from).toBeCloseTo(-0.005, 5);
    expect(rayAt(-0.01, 4 / 3).from).toBeCloseTo(0.005, 5);
  });

  it('names foam and leaves it out', () => {
    let [foamy, named, wrong] = [0, 0, 0];
    for (let seed = 5001; seed <= 5040; seed++) {
      const { photo, marks, foam } = photoOfJar(seed, 'rendered', 306, 408);
      const isNamed = lookAtGlass(photo, marks).layers.some(({ kind }) => kind === 'foam');
      foamy += Number(foam);
      named += Number(foam && isNamed);
      wrong += Number(!foam && isNamed);
    }
    expect(foamy).toBeGreaterThan(8);
    // Less than a twentieth of the height is a blur at the surface, and no layer either.
    expect(named / foamy).toBeGreaterThanOrEqual(0.5);
    expect(wrong).toBe(0);
  });

  // A proposal is looked at and drawn right: it must be near more often than not, and none where there is no jar.
  it('proposes where the liquid stands', () => {
    const near = Array.from({ length: 40 }, (_, i) => {
      const { photo, marks } = photoOfJar(3000 + i, 'drawn', 306, 408);
      const found = proposeMarks(photo);
      if (!found) return false;
      const middle = ([a, b]: readonly [{ y: number }, { y: number }]): number => (a.y + b.y) / 2;
      const tall = middle(marks.floor) - middle(marks.surface);
      const off = (end: 'floor' | 'surface'): number =>
        Math.abs(middle(found[end]) - middle(marks[end])) / tall;
      return off('floor') < 0.08 && off('surface') < 0.08;
    });
    expect(near.filter(Boolean).length).toBeGreaterThanOrEqual(24);
    expect(proposeMarks(plainPhoto([120, 130, 140]))).toBeNull();
  });

  it('does not take the edge of the table for the floor of the jar', () => {
    const photo = plainPhoto([184, 188, 192]);
    const fill = (rgb: readonly number[], x0: number, x1: number, y0: number, y1: number): void => {
      for (let y = y0; y < y1; y++) for (let x = x0; x < x1; x++) photo.rgba.set(rgb, 4 * (y * 200 + x));
    };
    fill([90, 74, 58], 0, 200, 260, 300);
    fill([232, 224, 184], 60, 140, 90, 240);
    const { floor, surface } = proposeMarks(photo)!;
    for (const { y } of floor) expect(Math.abs(y - 240)).toBeLessThan(6);
    for (const { y } of surface) expect(Math.abs(y - 90)).toBeLessThan(6);
  });

  // By hand: a card of 428 px is 85.6 mm, 5 px a mm: 3-4-5 times 50 is 250 px, 50 mm.
  it('measures a run by a card beside it', () => {
    const card = [
      { x: 10, y: 10 },
      { x: 438, y: 10 },
    ] as const;
    expect(
      runMm(
        [
          { x: 0, y: 0 },
          { x: 150, y: 200 },
        ],
        card,
        CARD_MM,
      ),
    ).toBeCloseTo(50, 9);
    expect(
      runMm(
        [
          { x: 0, y: 0 },
          { x: 150, y: 200 },
        ],
        [card[0], { x: 20, y: 10 }],
        CARD_MM,
      ),
    ).toBeNull();
    expect(() => runMm(card, card, 0)).toThrow(RangeError);
  });

  it('says what is wrong with marks', () => {
    const photo = { width: 200, height: 300 };
    expect(marksProblem(photo, PLAIN_MARKS)).toBeNull();
    expect(marksProblem(photo, { floor: PLAIN_MARKS.surface, surface: PLAIN_MARKS.floor })).toBe(
      'upside-down',
    );
    expect(
      marksProblem(photo, {
        ...PLAIN_MARKS,
        floor: [
          { x: -1, y: 280 },
          { x: 150, y: 280 },
        ],
      }),
    ).toBe('outside');
    expect(
      marksProblem(photo, {
        ...PLAIN_MARKS,
        surface: [
          { x: 50, y: 270 },
          { x: 150, y: 270 },
        ],
      }),
    ).toBe('too-small');
  });
});
