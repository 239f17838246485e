import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TOOLS } from '#core/formula';
import { REFERENCE_INGREDIENTS } from '#core/ingredient';
import { dropsOf, mostOilFraction, packedFraction } from './dropSize';
import { emulsionState, type HoldRequest } from './hold';
import { holdKey, holdRequest, usualSeconds, usualTemperatureC, usualTool } from './holdOf';
import { beliefFrom, observed, shifted, stillFine } from './learning';
import { oilDensityKgPerM3, oilValuesOf, oilViscosityPaS, solidFraction, standingC } from './oils';
import { emulsionPartOf } from './part';
import { phasesOf } from './phases';
import { mostOilMlPerS } from './pour';
import { mix } from './testFixture';
import { classOf, THICKNESS_CLASSES, thicknessOf } from './thickness';
import { TOOL_VALUES } from './tools';
import { sugarWaterViscosityPaS, waterViscosityPaS } from './water';

const grams = (low: number, high: number): fc.Arbitrary<number> => fc.integer({ min: low, max: high });
const dressings = fc.record({
  olive: grams(20, 220),
  wineVinegar: grams(10, 90),
  salt: grams(0, 5),
  mustard: grams(0, 25),
  honey: grams(0, 30),
  yolk: grams(0, 34),
});
const tool = fc.constantFrom(...TOOLS);
const mixing = (name: (typeof TOOLS)[number], seconds = usualSeconds(name)) => ({
  tool: name,
  seconds,
  volumeMl: 300,
});
const seeded = { numRuns: 80, seed: 19 };

describe('drops', () => {
  it('longer mixing, a finer tool or more binder never make them coarser', () => {
    fc.assert(
      fc.property(dressings, tool, (amounts, name) => {
        const phases = phasesOf(mix(amounts), 21)!;
        const now = dropsOf(phases, mixing(name)).sauterMeanDiameterM;
        expect(dropsOf(phases, mixing(name, usualSeconds(name) * 3)).sauterMeanDiameterM).toBeLessThanOrEqual(
          now * 1.001,
        );
        const finer = TOOLS.filter((other) => TOOL_VALUES[other].dropM < TOOL_VALUES[name].dropM);
        for (const other of finer) {
          expect(dropsOf(phases, mixing(other)).sauterMeanDiameterM).toBeLessThanOrEqual(
            dropsOf(phases, mixing(name)).sauterMeanDiameterM * 1.001,
          );
        }
        const more = phasesOf(mix({ ...amounts, mustard: amounts.mustard + 10 }), 21)!;
        expect(dropsOf(more, mixing(name)).coverage).toBeGreaterThanOrEqual(0);
        expect(more.coverableM2).toBeGreaterThan(phases.coverableM2);
      }),
      seeded,
    );
  });

  it('a batch ten times as large has the same phases, and the same limits', () => {
    fc.assert(
      fc.property(dressings, (amounts) => {
        const one = phasesOf(mix(amounts), 21)!;
        const ten = phasesOf(
          mix(amounts).map((amount) => ({ ...amount, massG: amount.massG * 10 })),
          21,
        )!;
        expect(ten.oilVolumeFraction).toBeCloseTo(one.oilVolumeFraction, 9);
        expect(ten.restingViscosityPaS).toBeCloseTo(one.restingViscosityPaS, 9);
        expect(mostOilFraction(ten)).toBeCloseTo(mostOilFraction(one), 9);
      }),
      seeded,
    );
  });

  it('a state is always finite: fractions within 0 and 1, nothing below nothing', () => {
    fc.assert(
      fc.property(dressings, tool, fc.integer({ min: 0, max: 40 }), (amounts, name, temperatureC) => {
        const state = emulsionState({
          amounts: mix(amounts),
          mixing: mixing(name),
          heightM: 0.08,
          temperatureC,
        })!;
        const { phases, drops, thickness, column } = state;
        for (const share of [
          phases.oilVolumeFraction,
          state.mostOilFraction,
          state.packedFraction,
          column.dispersedVolumeFraction,
        ]) {
          expect(share).toBeGreaterThan(0);
          expect(share).toBeLessThan(1);
        }
        for (const value of [
          drops.sauterMeanDiameterM,
          thickness.apparentViscosityPaS,
          column.restingViscosityPaS,
        ]) {
          expect(value).toBeGreaterThan(0);
          expect(Number.isFinite(value)).toBe(true);
        }
        expect(THICKNESS_CLASSES).toContain(thickness.class);
      }),
      seeded,
    );
  });

  it('packing lies between loose and nearly all, and rises with height', () => {
    const drops = { spread: 0.6, sauterMeanDiameterM: 50e-6, tensionNPerM: 0.01 };
    let before = 0;
    for (const heightM of [0.01, 0.05, 0.2, 1, 5]) {
      const packed = packedFraction(drops, 93, 0.6, heightM);
      expect(packed).toBeGreaterThan(before);
      expect(packed).toBeLessThan(0.97);
      before = packed;
    }
  });
});

describe('liquids', () => {
  it('all get thinner as they warm; sugar thickens water', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 59 }), fc.integer({ min: 0, max: 70 }), (t, brix) => {
        expect(waterViscosityPaS(t + 1)).toBeLessThan(waterViscosityPaS(t));
        expect(sugarWaterViscosityPaS(brix, t + 1)).toBeLessThan(sugarWaterViscosityPaS(brix, t));
        expect(sugarWaterViscosityPaS(brix + 2, t)).toBeGreaterThan(sugarWaterViscosityPaS(brix, t));
        for (const id of ['olive_ev', 'sunflower', 'flax_oil', null]) {
          const values = oilValuesOf(id);
          expect(oilViscosityPaS(values, t + 1)).toBeLessThan(oilViscosityPaS(values, t));
          expect(oilDensityKgPerM3(values, t + 1)).toBeLessThan(oilDensityKgPerM3(values, t));
        }
      }),
      seeded,
    );
  });

  it('every oil of the table has values of its own, and none is solid in a warm kitchen but coconut', () => {
    for (const { id, category } of REFERENCE_INGREDIENTS) {
      if (category !== 'oil') continue;
      expect(emulsionPartOf(REFERENCE_INGREDIENTS.find((other) => other.id === id)!).oilId).toBe(id);
      const solid = solidFraction([{ id, share: 1 }], 21, 86_400);
      if (id === 'coconut_oil') expect(solid).toBeGreaterThan(0.25);
      else expect(solid, id).toBe(0);
    }
  });

  it('a jar stands between where it was and the room, ever nearer', () => {
    let before = 4;
    for (const minutes of [5, 20, 60, 240]) {
      const now = standingC(4, 21, 500, minutes * 60);
      expect(now).toBeGreaterThan(before);
      expect(now).toBeLessThan(21);
      before = now;
    }
  });

  it('thicker never falls into a thinner class', () => {
    let before = 0;
    for (const oil of [0.2, 0.4, 0.55, 0.66, 0.72, 0.78, 0.84]) {
      const thick = thicknessOf(
        { oilVolumeFraction: oil, pouringViscosityPaS: 0.004, continuousYieldPa: 0 },
        { sauterMeanDiameterM: 6e-6, tensionNPerM: 0.005 },
      );
      const rank = THICKNESS_CLASSES.indexOf(thick.class);
      expect(rank).toBeGreaterThanOrEqual(before);
      before = rank;
    }
    expect(classOf(100, 1)).toBe('stiff');
    expect(classOf(0, 0.001)).toBe('runny');
  });

  it('oil may come faster the more there is, up to what the tool holds', () => {
    for (const name of TOOLS) {
      if (TOOL_VALUES[name].uptakeS === null) continue;
      expect(mostOilMlPerS(100, 1, name, 20)).toBeGreaterThan(mostOilMlPerS(50, 1, name, 20));
      const full = TOOL_VALUES[name].mostMl;
      expect(mostOilMlPerS(full * 3, 1, name, 20)).toBe(mostOilMlPerS(full, 1, name, 20));
    }
  });
});

describe('learning', () => {
  const seconds = fc.integer({ min: 60, max: 500_000 });
  it('an observation draws the median towards itself and narrows the band; still fine never shortens it', () => {
    fc.assert(
      fc.property(seconds, seconds, fc.constantFrom(2.5, 3, 4), (median, seen, band) => {
        const prior = beliefFrom(median, band);
        const after = observed(prior, seen);
        expect(after.deviation).toBeLessThan(prior.deviation);
        expect(Math.abs(Math.log(after.medianS / seen))).toBeLessThanOrEqual(
          Math.abs(Math.log(median / seen)) + 1e-9,
        );
        expect(stillFine(prior, seen).medianS).toBeGreaterThanOrEqual(median * (1 - 1e-9));
        const residual = Math.log(seen / median);
        const other = shifted(prior, residual, 0.6);
        expect(Math.sign(Math.log(other.medianS / median))).toBe(
          Math.abs(residual) < 1e-12 ? 0 : Math.sign(residual),
        );
        expect(Math.abs(Math.log(other.medianS / median))).toBeLessThanOrEqual(Math.abs(residual) + 1e-9);
      }),
      seeded,
    );
  });
});

describe('what is asked of the column', () => {
  const portions = REFERENCE_INGREDIENTS.slice(0, 3).map((ingredient) => ({
    ingredient,
    massG: { nominal: 30 },
  }));
  const setting = { tool: 'shake', seconds: 30, volumeMl: 100, heightM: 0.08, temperatureC: 21 } as const;
  it('has a key that changes with everything that matters and with nothing else', () => {
    const key = (more: Partial<typeof setting> | { seconds: number }): string =>
      holdKey(holdRequest(portions, { ...setting, ...more }));
    expect(key({})).toBe(key({}));
    expect(key({ seconds: 31 })).not.toBe(key({}));
    const more = holdRequest([...portions, { ...portions[0]!, massG: { nominal: 0 } }], setting);
    // Nothing of something is nothing.
    expect(holdKey(more)).toBe(key({}));
  });
  it('suggests a tool by the vessel and a place by the caution', () => {
    const tall = [
      { heightMm: 0, radiusMm: 36 },
      { heightMm: 160, radiusMm: 42 },
    ];
    const wide = [
      { heightMm: 0, radiusMm: 30 },
      { heightMm: 78, radiusMm: 108 },
    ];
    expect([
      usualTool({ closes: true, outline: tall }),
      usualTool({ closes: false, outline: tall }),
      usualTool({ closes: false, outline: wide }),
    ]).toEqual(['shake', 'stick', 'whisk']);
    expect([usualTemperatureC(true), usualTemperatureC(false)]).toEqual([5, 21]);
    const request: HoldRequest = holdRequest(portions, { ...setting, roughly: true, fillShare: 0.5 });
    expect(request).toMatchObject({ roughly: true, mixing: { fillShare: 0.5 } });
  });
});
