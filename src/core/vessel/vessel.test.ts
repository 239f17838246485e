import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { VesselId } from '#core/formula';
import { fillLines } from './fillLines';
import { headspaceOf } from './headspace';
import { brimHeightMm, heightOfMl, volumeBelowMl, type Outline } from './shape';
import { STARTING_VESSELS, type Vessel } from './vessel';

const cylinder: Outline = [
  { heightMm: 0, radiusMm: 40 },
  { heightMm: 200, radiusMm: 40 },
];
const frustum: Outline = [
  { heightMm: 0, radiusMm: 30 },
  { heightMm: 120, radiusMm: 50 },
];
const vesselOf = (outline: Outline): Vessel => ({
  id: 'v' as VesselId,
  name: 'v',
  nominalVolumeMl: 1,
  brimfulVolumeMl: volumeBelowMl(outline, brimHeightMm(outline)),
  outline,
  closes: true,
});

describe('volume against height', () => {
  it('is πr²h in a cylinder', () => {
    expect(volumeBelowMl(cylinder, 50)).toBeCloseTo((Math.PI * 40 ** 2 * 50) / 1000, 9);
    expect(heightOfMl(cylinder, 100)).toBeCloseTo(100_000 / (Math.PI * 1600), 5);
  });

  it('is the frustum formula in a frustum, whole and half full', () => {
    expect(volumeBelowMl(frustum, 120)).toBeCloseTo(((Math.PI * 120) / 3) * (900 + 1500 + 2500) * 1e-3, 9);
    expect(volumeBelowMl(frustum, 60)).toBeCloseTo(((Math.PI * 60) / 3) * (900 + 1200 + 1600) * 1e-3, 9);
  });

  it('finds the height of any volume again, in every vessel of the kitchen', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STARTING_VESSELS),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (vessel, share) => {
          const ml = share * vessel.brimfulVolumeMl;
          expect(volumeBelowMl(vessel.outline, heightOfMl(vessel.outline, ml))).toBeCloseTo(ml, 2);
        },
      ),
    );
  });

  it('the kitchen’s vessels hold to the brim what they say', () => {
    for (const { outline, brimfulVolumeMl, nominalVolumeMl } of STARTING_VESSELS) {
      expect(volumeBelowMl(outline, brimHeightMm(outline))).toBeCloseTo(brimfulVolumeMl, 6);
      expect(brimfulVolumeMl).toBeGreaterThan(nominalVolumeMl);
    }
  });
});

describe('fill lines and headspace', () => {
  it('stand where the running total stands, in a cylinder and a frustum', () => {
    const lines = fillLines(vesselOf(cylinder), [100, 200]);
    expect(lines.map(({ volumeMl }) => volumeMl)).toEqual([100, 300]);
    expect(lines[1]!.heightMm).toBeCloseTo(300_000 / (Math.PI * 1600), 5);
    const half = volumeBelowMl(frustum, 60);
    expect(fillLines(vesselOf(frustum), [half])[0]!.heightMm).toBeCloseTo(60, 4);
  });

  it('stop at the brim and say so', () => {
    const [line] = fillLines(vesselOf(cylinder), [5000]);
    expect(line).toMatchObject({ heightMm: 200, overflows: true });
  });

  // Shares of brimful: common practice.
  it.each([
    [0, 'empty'],
    [0.6, 'room'],
    [0.66, 'room'],
    [0.7, 'snug'],
    [0.8, 'amber'],
    [0.9, 'hardly-mixes'],
    [1.01, 'overflows'],
  ])('at %d of brimful it is %s', (share, word) => {
    const vessel = vesselOf(cylinder);
    expect(headspaceOf(vessel, share * vessel.brimfulVolumeMl)).toBe(word);
  });
});
