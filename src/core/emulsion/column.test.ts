import { describe, expect, it } from 'vitest';
import { CREAMING, generalCreamingS } from '../../../bench/separation';
import { runColumn, stepColumn, type ColumnInput } from './column';
import { cellHeights, risingVelocityMPerS, sizeClasses } from './columnGrid';

const off = (value: number, expected: number): number => Math.abs(value / expected - 1);
/** One size, half oil, no coalescence, Stokes drag: the case that can be solved on paper. */
const MONO: ColumnInput = {
  dispersedVolumeFraction: 0.5,
  heightM: 0.08,
  sauterMeanDiameterM: 30e-6,
  spread: 0,
  classes: 1,
  cells: 100,
  densityDifferenceKgPerM3: 93,
  continuousDensityKgPerM3: 1007,
  restingViscosityPaS: 1.5e-3,
  yieldStressPa: 0,
  packedFraction: 0.72,
  closePacking: 0.69,
  network: 1,
  coverage: 1,
  coveredRuptureHz: 0,
  bareRuptureHz: 0,
  mostRuptureHz: 0.01,
  endS: 14 * 86_400,
  stokesOnly: true,
};
const POLY: ColumnInput = { ...MONO, spread: 0.5, classes: 20 };

describe('exact rows', () => {
  it('a 50 µm drop rises at 1.3625e-4 m/s (Stokes)', () => {
    expect(off(risingVelocityMPerS(50e-6, 100, 1e-3, 1000, true), 1.3625e-4)).toBeLessThan(1e-6);
    // Drag of larger drops: never faster than Stokes (Schiller & Naumann).
    expect(risingVelocityMPerS(1e-3, 100, 1e-3, 1000)).toBeLessThan(
      risingVelocityMPerS(1e-3, 100, 1e-3, 1000, true),
    );
  });
  it('one size, half oil: 2.5 mm of water after 2064 s (Kynch’s front: v (1 − φ)^4.65)', () => {
    const front = risingVelocityMPerS(30e-6, 93, 1.5e-3, 1007, true) * 0.5 ** 4.65;
    expect(off(2.5e-3 / front, 2064)).toBeLessThan(0.01);
    const { firstLayerS, firstLayer } = runColumn(MONO);
    expect(off(firstLayerS!, 2064)).toBeLessThan(0.01);
    expect(firstLayer).toBe('serum');
  });
  it('what is left below at the end is 1 − φ/φ_packed of the height', () => {
    const { frames } = runColumn({ ...POLY, endS: 60 * 86_400 });
    expect(Math.abs(frames.at(-1)!.serumLayerM / 0.08 - (1 - 0.5 / 0.72))).toBeLessThan(0.01);
  });
  it('drops twice as large take a quarter of the time', () => {
    const large = runColumn({ ...POLY, sauterMeanDiameterM: 60e-6 }).firstLayerS!;
    expect(off(runColumn(POLY).firstLayerS! / 4, large)).toBeLessThan(0.02);
  });
  it('size classes have the Sauter mean asked for, exactly', () => {
    const { d, weight } = sizeClasses(54e-6, 0.6, 20);
    const perD = d.reduce((sum, size, i) => sum + weight[i]! / size, 0);
    expect(1 / perD).toBeCloseTo(54e-6, 15);
    expect(cellHeights(0.08, 100).reduce((sum, h) => sum + h, 0)).toBeCloseTo(0.08, 12);
    expect(cellHeights(0.01, 100)[0]).toBeCloseTo(1e-4, 12);
  });
});

describe('a second way', () => {
  it('a general ODE solver on the same equations comes to the first layer within 2 %', () => {
    // Cash-Karp (embedded Runge-Kutta 5(4)); four classes, 50 cells, no coalescence, nothing packs.
    const ours = runColumn({ ...CREAMING, tolerance: 0.02 }).firstLayerS!;
    expect(off(ours, generalCreamingS())).toBeLessThan(0.02);
  });
});

describe('model rows (regression)', () => {
  const merging = { ...POLY, bareRuptureHz: 0.1, coveredRuptureHz: 5e-5 };
  it('S1: 1331 s until water shows, half after 11930 s', () => {
    const { firstLayerS, halfS } = runColumn(merging);
    expect(off(firstLayerS!, 1331)).toBeLessThan(0.03);
    expect(off(halfS!, 11_930)).toBeLessThan(0.06);
  });
  it('S2, without coalescence: 1334 s; S4, 60 µm: 336 s', () => {
    expect(off(runColumn(POLY).firstLayerS!, 1334)).toBeLessThan(0.03);
    expect(off(runColumn({ ...POLY, sauterMeanDiameterM: 60e-6 }).firstLayerS!, 336)).toBeLessThan(0.03);
  });
});

describe('conservation and refinement', () => {
  const cases: readonly ColumnInput[] = [
    MONO,
    { ...POLY, bareRuptureHz: 0.1, coveredRuptureHz: 5e-5 },
    {
      ...POLY,
      bareRuptureHz: 0.1,
      coveredRuptureHz: 0.05,
      coverage: 0.2,
      dispersedVolumeFraction: 0.74,
      packedFraction: 0.76,
    },
    {
      ...POLY,
      bareRuptureHz: 0.1,
      coveredRuptureHz: 1e-3,
      sauterMeanDiameterM: 250e-6,
      dispersedVolumeFraction: 0.25,
    },
    { ...POLY, heightM: 0.35, bareRuptureHz: 0.1, coveredRuptureHz: 5e-4, dispersedVolumeFraction: 0.6 },
    { ...POLY, yieldStressPa: 5, dispersedVolumeFraction: 0.1 },
  ];
  it.each(cases.map((input, i) => [i, input] as const))('volume is kept to 1e-9 in case %s', (_i, input) => {
    const { volumeError, frames } = runColumn(input);
    expect(volumeError).toBeLessThan(1e-9);
    for (const { serumLayerM, freeLayerM } of frames) {
      expect(serumLayerM + freeLayerM).toBeLessThanOrEqual(input.heightM * (1 + 1e-9));
    }
  });

  it('converges to the front in first order: halving the cells halves the error', () => {
    // Position of a front of dilute single drops against v t (1 − φ)^4.65, by the water below it.
    const errors = [50, 100, 200].map((cells) => {
      const dilute = { ...MONO, dispersedVolumeFraction: 0.3, cells, endS: 500, tolerance: 0.01 };
      const exact = risingVelocityMPerS(30e-6, 93, 1.5e-3, 1007, true) * 0.7 ** 4.65 * 500;
      return Math.abs(runColumn(dilute).frames.at(-1)!.serumLayerM - exact);
    });
    expect(errors[1]!).toBeLessThan(errors[0]! + 1e-6);
    expect(errors[2]!).toBeLessThan(errors[1]! + 1e-6);
  });

  it('can be left between steps', () => {
    const work = stepColumn(POLY);
    expect(work.next().value).toBeGreaterThan(0);
    work.return(undefined as never);
    expect(work.next().done).toBe(true);
  });
});
