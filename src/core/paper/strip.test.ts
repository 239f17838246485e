import { describe, expect, it } from 'vitest';
import { brimHeightMm, heightOfMl, STARTING_VESSELS, type Vessel } from '#core/vessel';
import { LABEL_SIZES } from './label';
import { alongMm, spreadLabels, stripOf } from './strip';

const jar = STARTING_VESSELS.find(({ id }) => id === 'jam_jar_350')!;
/** Straight walls, 60 mm wide inside, 100 mm high: 2.827 ml a millimetre. */
const straight: Vessel = {
  ...jar,
  outline: [
    { heightMm: 0, radiusMm: 30 },
    { heightMm: 100, radiusMm: 30 },
  ],
  brimfulVolumeMl: Math.PI * 0.9 * 100,
};
const addition = (name: string, mixedVolumeMl: number, said = '') => ({ name, said, mixedVolumeMl });

describe('the jar strip', () => {
  it('puts zero at the inside floor: one thickness of glass above the table', () => {
    const strip = stripOf(straight, [
      addition('vinegar', Math.PI * 0.9 * 25),
      addition('oil', Math.PI * 0.9 * 50),
    ]);
    if (strip.status !== 'strip') throw new Error(strip.status);
    expect(strip.floorMm).toBe(4);
    expect(strip.lines[0]!.alongMm).toBeCloseTo(29, 4);
    expect(strip.lines[1]!.alongMm).toBeCloseTo(79, 4);
    expect(strip.brimMm).toBeCloseTo(104, 9);
    expect(strip.slopes).toBe(false);
    const thin = stripOf(straight, [addition('vinegar', Math.PI * 0.9 * 25)], 2.5);
    expect(thin.status === 'strip' && thin.lines[0]!.alongMm).toBeCloseTo(27.5, 4);
  });

  it('follows a sloping wall: a cone of 3:4 is 5 along for 4 up', () => {
    const cone: Vessel = {
      ...straight,
      outline: [
        { heightMm: 0, radiusMm: 10 },
        { heightMm: 80, radiusMm: 70 },
      ],
    };
    expect(alongMm(cone.outline, 40)).toBeCloseTo(50, 9);
    expect(alongMm(cone.outline, 80)).toBeCloseTo(100, 9);
    const strip = stripOf({ ...cone, brimfulVolumeMl: 400 }, [addition('oil', 100)]);
    if (strip.status !== 'strip') throw new Error(strip.status);
    expect(strip.slopes).toBe(true);
    expect(strip.lines[0]!.alongMm).toBeCloseTo(4 + (heightOfMl(cone.outline, 100) * 5) / 4, 4);
  });

  it('says what goes by the spoon, because nobody sees its line', () => {
    const strip = stripOf(straight, [
      addition('vinegar', 60),
      addition('salt', 1.9, '1 tsp'),
      addition('oil', 120),
    ]);
    if (strip.status !== 'strip') throw new Error(strip.status);
    expect(strip.lines.map(({ bySpoon }) => bySpoon)).toEqual([false, true, false]);
    expect(strip.lines.map(({ volumeMl }) => volumeMl)).toEqual([60, 61.9, 181.9]);
  });

  it('refuses what does not fit the jar or the paper', () => {
    expect(stripOf(straight, [addition('oil', 400)])).toEqual({ status: 'overflows', name: 'oil' });
    expect(stripOf(straight, [])).toEqual({ status: 'nothing-in-it' });
    const tall = {
      ...straight,
      outline: [
        { heightMm: 0, radiusMm: 100 },
        { heightMm: 300, radiusMm: 100 },
      ],
    };
    expect(stripOf(tall, [addition('oil', 400)])).toMatchObject({ status: 'too-tall' });
    expect(() => stripOf(straight, [addition('oil', 10)], 30)).toThrow(/0 to 20 mm/);
  });

  it('has a strip for every jar of a new kitchen, lines rising', () => {
    for (const vessel of STARTING_VESSELS.filter(({ closes }) => closes)) {
      const third = vessel.brimfulVolumeMl / 4;
      const strip = stripOf(vessel, [addition('a', third), addition('b', third), addition('c', third)]);
      if (strip.status !== 'strip') throw new Error(`${vessel.name}: ${strip.status}`);
      const along = strip.lines.map(({ alongMm: mm }) => mm);
      expect([...along].sort((a, b) => a - b)).toEqual(along);
      expect(strip.brimMm).toBeGreaterThanOrEqual(4 + brimHeightMm(vessel.outline));
    }
  });
});

describe('labels', () => {
  it('stand apart, in order, inside their strip', () => {
    const placed = spreadLabels([10, 11, 12, 60, 99], 4, 5, 95);
    for (let i = 1; i < placed.length; i++)
      expect(placed[i]! - placed[i - 1]!).toBeGreaterThanOrEqual(4 - 1e-9);
    expect(placed[0]).toBe(10);
    expect(placed.at(-1)).toBe(95);
  });

  it('fit their sheet of A4', () => {
    for (const { id, widthMm, heightMm, sheet } of LABEL_SIZES) {
      if (!sheet) continue;
      expect(sheet.leftMm + (sheet.columns - 1) * sheet.stepXMm + widthMm, id).toBeLessThanOrEqual(210);
      expect(sheet.topMm + (sheet.rows - 1) * sheet.stepYMm + heightMm, id).toBeLessThanOrEqual(297);
    }
  });
});
