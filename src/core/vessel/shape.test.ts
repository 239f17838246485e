import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sayMeasureProblem } from '#words/vessel';
import { brimHeightMm, heightOfMl, radiusAt, scaleToBrimful, volumeBelowMl, type Outline } from './shape';
import { STARTING_VESSELS } from './vessel';

const anyOutline: fc.Arbitrary<Outline> = fc
  .array(fc.record({ stepMm: fc.integer({ min: 2, max: 80 }), radiusMm: fc.integer({ min: 8, max: 200 }) }), {
    minLength: 2,
    maxLength: 8,
  })
  .map((points) => {
    let heightMm = 0;
    return points.map(({ stepMm, radiusMm }, i) => ({
      heightMm: i === 0 ? 0 : (heightMm += stepMm),
      radiusMm,
    }));
  });

describe('the shape of a vessel', () => {
  // A cylinder of radius 40 mm holds pi * 16 * 10 / 10 ml a centimetre (any table of solids).
  it('of a cylinder is the one of the schoolbook', () => {
    const cylinder: Outline = [
      { heightMm: 0, radiusMm: 40 },
      { heightMm: 100, radiusMm: 40 },
    ];
    expect(volumeBelowMl(cylinder, 100)).toBeCloseTo(Math.PI * 16 * 10, 6);
    expect(volumeBelowMl(cylinder, 50)).toBeCloseTo(Math.PI * 16 * 5, 6);
    expect([radiusAt(cylinder, -5), radiusAt(cylinder, 50), radiusAt(cylinder, 500)]).toEqual([40, 40, 40]);
  });

  it('of a cone holds a third of its cylinder', () => {
    const cone: Outline = [
      { heightMm: 0, radiusMm: 1e-9 },
      { heightMm: 90, radiusMm: 30 },
    ];
    expect(volumeBelowMl(cone, 90)).toBeCloseTo((Math.PI * 9 * 9) / 3, 6);
    expect(radiusAt(cone, 45)).toBeCloseTo(15, 6);
  });

  it('has a height for every volume and the volume for every height', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 0, max: 1, noNaN: true }), (outline, share) => {
        const brim = brimHeightMm(outline);
        const volume = volumeBelowMl(outline, brim * share);
        expect(heightOfMl(outline, volume)).toBeCloseTo(brim * share, 2);
        expect(volume).toBeLessThanOrEqual(volumeBelowMl(outline, brim) + 1e-6);
      }),
    );
  });

  it('grows alike in all directions until it holds what it is said to hold', () => {
    fc.assert(
      fc.property(anyOutline, fc.double({ min: 20, max: 30_000, noNaN: true }), (outline, brimfulMl) => {
        const scaled = scaleToBrimful(outline, brimfulMl);
        expect(volumeBelowMl(scaled, brimHeightMm(scaled)) / brimfulMl).toBeCloseTo(1, 9);
        const factor = scaled.at(-1)!.heightMm / outline.at(-1)!.heightMm;
        for (const [i, { heightMm, radiusMm }] of scaled.entries()) {
          expect(radiusMm / outline[i]!.radiusMm).toBeCloseTo(factor, 9);
          expect(heightMm).toBeCloseTo(outline[i]!.heightMm * factor, 6);
        }
        // Half the height of a scaled vessel is as wide as half the height of the first, scaled.
        const half = brimHeightMm(outline) / 2;
        expect(radiusAt(scaled, half * factor)).toBeCloseTo(radiusAt(outline, half) * factor, 6);
      }),
    );
  });

  it('of the kitchen’s own vessels holds what stands on them, within a hundredth', () => {
    for (const { id, outline, brimfulVolumeMl } of STARTING_VESSELS) {
      const ratio = volumeBelowMl(outline, brimHeightMm(outline)) / brimfulVolumeMl;
      expect(Math.abs(ratio - 1), id).toBeLessThan(0.01);
    }
  });

  it('that cannot be one is refused in words', () => {
    for (const code of ['too-few', 'no-bottom', 'heights-not-rising'] as const)
      expect(sayMeasureProblem({ code } as Parameters<typeof sayMeasureProblem>[0]).length).toBeGreaterThan(
        15,
      );
  });
});
