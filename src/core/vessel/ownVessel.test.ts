import { describe, expect, it } from 'vitest';
import type { VesselId } from '#core/formula';
import { outlineFromMeasures } from './measured';
import { factorToFill } from './scaleToFill';
import { brimHeightMm, volumeBelowMl } from './shape';
import { VESSEL_SHAPES, vesselOfShape } from './vessel';

describe('a vessel off a ruler', () => {
  const straight = [
    { heightMm: 0, widthMm: 80 },
    { heightMm: 100, widthMm: 80 },
  ];
  it('a straight glass 80 mm wide and 100 mm high holds π·4²·10 = 502.65 ml', () => {
    const measured = outlineFromMeasures(straight, null);
    expect(measured.status === 'measured' && measured.brimfulVolumeMl).toBeCloseTo(502.655, 2);
  });
  it('weighed water has the last word; heights stay as ruled', () => {
    const measured = outlineFromMeasures(straight, 450);
    if (measured.status !== 'measured') throw new Error('wrong');
    expect(volumeBelowMl(measured.outline, 100)).toBeCloseTo(450, 6);
    expect(brimHeightMm(measured.outline)).toBe(100);
  });
  it.each([
    [[straight[0]!], 'too-few'],
    [[{ heightMm: 5, widthMm: 80 }, straight[1]!], 'no-bottom'],
    [[straight[0]!, { heightMm: 0, widthMm: 90 }], 'heights-not-rising'],
    [[straight[0]!, { heightMm: NaN, widthMm: 90 }], 'heights-not-rising'],
    [[straight[0]!, { heightMm: 90, widthMm: NaN }], 'no-width'],
  ])('%o is refused: %s', (rows, code) => {
    expect(outlineFromMeasures(rows, null)).toMatchObject({ status: 'wrong', problem: { code } });
  });
});

it.each(VESSEL_SHAPES)('a %s of 440 ml holds 440 ml', (shape) => {
  const frame = { id: 'x' as VesselId, name: 'x', nominalVolumeMl: 400, brimfulVolumeMl: 440, closes: true };
  const { outline } = vesselOfShape(shape, frame);
  expect(volumeBelowMl(outline, brimHeightMm(outline))).toBeCloseTo(440, 6);
});

it('filling a volume leaves what is locked', () => {
  expect(factorToFill(200, 50, 450)).toEqual({ status: 'scale', factor: 2 });
  expect(factorToFill(200, 50, 50)).toEqual({ status: 'locked-too-large', lockedMl: 50 });
  expect(factorToFill(0, 50, 450)).toEqual({ status: 'nothing-to-scale' });
});
