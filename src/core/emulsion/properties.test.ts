import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TOOLS } from '#core/formula';
import { REFERENCE_INGREDIENTS } from '#core/ingredient';
import { freshDropsOf, limitOf } from './drops';
import { emulsionState, type HoldRequest } from './state';
import { holdKey, holdRequest, usualSeconds, usualTemperatureC, usualTool } from './holdOf';
import { beliefFrom, observed, shifted, stillFine } from './learning';
import { oilDensityKgPerM3, oilValuesOf, oilViscosityPaS, solidFraction, standingC } from './oils';
import { emulsionPartOf } from './madePart';
import { phasesOf } from './phases';
import { mostOilMlPerS } from './pour';
import { mix } from './testFixture';
import { packedFraction } from './picture';
import { classOf } from './thickness';
import { THICKNESS_CLASSES } from '#core/ingredient';
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
  const dropM = (
    amounts: Parameters<typeof mix>[0],
    name: (typeof TOOLS)[number],
    seconds?: number,
  ): number => {
    const phases = phasesOf(mix(amounts), 20, name)!;
    return freshDropsOf(phases, mixing(name, seconds), limitOf(phases))!.diameterM;
  };
  it('longer mixing or a finer tool never make them coarser, and the shelf they stand on neither', () => {
    fc.assert(
      fc.property(dressings, tool, (amounts, name) => {
        const now = dropM(amounts, name);
        // Finer drops have more surface than the binder covers: a little is lost again.
        expect(dropM(amounts, name, usualSeconds(name) * 3)).toBeLessThanOrEqual(now * 1.03);
        const ask = (temperatureC: number, mixedC?: number): number =>
          emulsionState({
            amounts: mix(amounts),
            mixing: { ...mixing(name), ...(mixedC === undefined ? {} : { temperatureC: mixedC }) },
            heightM: 0.08,
            temperatureC,
          })!.fresh!.diameterM;
        expect(ask(5)).toBe(ask(21));
        // Warmer oil breaks finer; that the mix is thinner takes a little of it back.
        expect(ask(21, 28)).toBeLessThanOrEqual(ask(21, 12) * 1.02);
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
        expect(limitOf(ten).mostOil).toBeCloseTo(limitOf(one).mostOil, 9);
      }),
      seeded,
    );
  });

  it('packing lies between loose and nearly all, and rises with height', () => {
    let before = 0;
    for (const heightM of [0.01, 0.05, 0.2, 1, 5]) {
      const packed = packedFraction(0.6, 50e-6, 0.01, 93, 0.6, heightM);
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
    for (const olive of [20, 60, 120, 180, 240, 300]) {
      const { thickness } = emulsionState({
        amounts: mix({ olive, yolk: 34, lemon: 20 }),
        mixing: mixing('whisk'),
        heightM: 0.08,
        temperatureC: 21,
      })!;
      const rank = THICKNESS_CLASSES.indexOf(thickness.class);
      expect(rank).toBeGreaterThanOrEqual(before);
      before = rank;
    }
    expect(before).toBeGreaterThan(2);
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
