import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS } from '#core/ingredient';
import { mixedVolumeMlPerG } from '#core/composition';
import { STYLE_IDS, stylePortions } from '#core/palate';
import { closePacking, mostOilM3, packedFraction } from './dropSize';
import { classOfHold, hold, layersAt } from './hold';
import { bandFactorFrom, beliefFrom, observed, stillFine } from './learning';
import {
  cloudPointC,
  oilDensityKgPerM3,
  oilState,
  oilValuesOf,
  oilViscosityPaS,
  solidFraction,
  standingC,
  timeToReachS,
} from './oils';
import { emulsionPartOf } from './part';
import { EMULSIFIERS, phasesOf } from './phases';
import { mostOilMlPerS, pourPlan } from './pour';
import { ask, BARE, mix, PARTS } from './testFixture';
import { thicknessOf } from './thickness';
import { sugarWaterViscosityPaS, waterDensityKgPerM3, waterViscosityPaS } from './water';

/** Relative difference. */
const off = (value: number, expected: number): number => Math.abs(value / expected - 1);
const MIN = 60;
const run = (...args: Parameters<typeof ask>) => hold(ask(...args))!;

describe('handbook rows', () => {
  it.each([
    [20, 1.0016],
    [25, 0.8898],
    [4, 1.568],
  ])('viscosity of water at %s °C is %s mPa s (Kestin 1978, CRC)', (t, mPaS) => {
    expect(off(waterViscosityPaS(t) * 1000, mPaS)).toBeLessThan(0.005);
  });
  it.each([
    [20, 998.2],
    [4, 999.97],
  ])('density of water at %s °C is %s kg/m³ (Kell 1975, CRC)', (t, density) => {
    expect(Math.abs(waterDensityKgPerM3(t) - density)).toBeLessThan(0.01);
  });
  it.each([
    [20, 1081, 1.945, 0.03],
    [40, 1176.6, 6.17, 0.04],
    [60, 1286.5, 58.5, 0.04],
  ])('%s %% sucrose: %s kg/m³, %s mPa s at 20 °C (CRC, ICUMSA)', (percent, density, mPaS, tolerance) => {
    const sugar = { ...PARTS.salt, salt: 0, sugar: percent / 100, water: 1 - percent / 100 };
    const phases = phasesOf([{ part: sugar, massG: 100 }], 20)!;
    expect(off(phases.continuousDensityKgPerM3, density)).toBeLessThan(0.002);
    expect(off(sugarWaterViscosityPaS(percent, 20) * 1000, mPaS)).toBeLessThan(tolerance);
  });
  it('10 % sodium chloride weighs 1070.7 kg/m³ (CRC), 6 % vinegar 1007 to 1008', () => {
    const brine = { ...PARTS.salt, salt: 0.1, water: 0.9 };
    expect(off(phasesOf([{ part: brine, massG: 100 }], 20)!.continuousDensityKgPerM3, 1070.7)).toBeLessThan(
      0.002,
    );
    expect(off(phasesOf(mix({ wineVinegar: 100 }), 20)!.continuousDensityKgPerM3, 1007.5)).toBeLessThan(
      0.002,
    );
  });
  it('olive oil at 20 and 40 °C: 82 and 37 mPa s (from memory of handbooks)', () => {
    const olive = oilValuesOf('olive_ev');
    expect(off(oilViscosityPaS(olive, 20) * 1000, 82)).toBeLessThan(0.08);
    expect(off(oilViscosityPaS(olive, 40) * 1000, 37)).toBeLessThan(0.08);
  });
});

describe('exact rows', () => {
  it('100 ml of oil at 5 µm have 120 m² of surface', () => {
    expect((6 * 100e-6) / 5e-6).toBeCloseTo(120, 9);
  });
  it('closest flow factors (1 − φ/0.89)^−2.225', () => {
    const at = (phi: number): number =>
      thicknessOf(
        { oilVolumeFraction: phi, pouringViscosityPaS: 1, continuousYieldPa: 0 },
        { sauterMeanDiameterM: 1, tensionNPerM: 0 },
      ).apparentViscosityPaS;
    for (const [phi, factor] of [
      [0.3, 2.5],
      [0.5, 6.27],
      [0.7, 31.1],
    ] as const)
      expect(off(at(phi), factor)).toBeLessThan(0.01);
  });
  it('30 ml of water side hold 220 ml of oil at 0.88', () => {
    expect(mostOilM3(30, EMULSIFIERS.yolk.mostOil)).toBeCloseTo(220, 0);
  });
  it('whisking 37 ml up to 237 ml: 17.8 ml a minute at first, 114 at the end, 232 s', () => {
    expect(off(mostOilMlPerS(37, 1, 'whisk', 20) * 60, 17.8)).toBeLessThan(0.01);
    expect(off(mostOilMlPerS(237, 1, 'whisk', 20) * 60, 114)).toBeLessThan(0.01);
    const plan = pourPlan(37, 200, 'whisk', 20, false);
    if (plan.status !== 'stages') throw new Error(plan.status);
    expect(off(plan.totalS, 232)).toBeLessThan(0.01);
    expect(plan.stages.map(({ pace }) => pace)).toEqual(['drops', 'thin-thread']);
    expect(plan.stages.reduce((sum, { volumeMl }) => sum + volumeMl, 0)).toBeCloseTo(200, 6);
  });
  it('a jar from the fridge stands at 8.4 °C after 20 minutes; a cold yolk takes oil 1.8 times as slowly', () => {
    expect(standingC(4, 21, 300, 20 * MIN)).toBeCloseTo(8.4, 1);
    expect(standingC(4, 21, 300, timeToReachS(4, 21, 12, 300))).toBeCloseTo(12, 6);
    expect(mostOilMlPerS(50, 1, 'whisk', 20) / mostOilMlPerS(50, 1, 'whisk', 5)).toBeCloseTo(1.82, 1);
  });
  it('learning: 75 min within 2.5, seen at 40 min, is 43.1 min within 1.37 (Bayes)', () => {
    const after = observed(beliefFrom(75 * MIN, 2.5), 40 * MIN);
    expect(off(after.medianS / MIN, 43.1)).toBeLessThan(0.002);
    expect(off(after.deviation, 0.246)).toBeLessThan(0.002);
    expect(off(bandFactorFrom(after), 1.37)).toBeLessThan(0.002);
  });
  it('still fine at 120 min, same prior: 184 min, deviation 0.353', () => {
    const after = stillFine(beliefFrom(75 * MIN, 2.5), 120 * MIN);
    expect(off(after.medianS / MIN, 184)).toBeLessThan(0.01);
    expect(off(after.deviation, 0.353)).toBeLessThan(0.01);
  });
});

describe('model rows (regression of the model as specified, not truth)', () => {
  it('sunflower at 4 °C: 121 mPa s, 930.7 kg/m³', () => {
    const values = oilValuesOf('sunflower');
    expect(off(oilViscosityPaS(values, 4) * 1000, 121)).toBeLessThan(0.03);
    expect(off(oilDensityKgPerM3(values, 4), 930.7)).toBeLessThan(0.001);
  });
  it('surface limits: a yolk and 200 ml 1.235 µm, a teaspoon of mustard and 135 ml 30.86 µm', () => {
    const surface = (massKg: number, kind: 'yolk' | 'mustard', oilMl: number): number =>
      (6 * oilMl * 1e-6) / (massKg / EMULSIFIERS[kind].loadKgPerM2);
    expect(off(surface(0.017 * 0.16, 'yolk', 200) * 1e6, 1.235)).toBeLessThan(0.005);
    expect(off(surface(0.005 * 0.021, 'mustard', 135) * 1e6, 30.86)).toBeLessThan(0.005);
  });
  it('packing: 0.690 and 0.738 loose, 0.772 under its own lift', () => {
    expect(Math.abs(closePacking(0.5) - 0.69)).toBeLessThan(0.001);
    expect(Math.abs(closePacking(0.7) - 0.738)).toBeLessThan(0.001);
    const packed = packedFraction(
      { spread: 0.6, sauterMeanDiameterM: 100e-6, tensionNPerM: 0.01 },
      93,
      0.5,
      0.08,
    );
    expect(Math.abs(packed - 0.772)).toBeLessThan(0.002);
  });
  it('yield of a mayonnaise, and of one that is thinned: 26.1; 42.6, 14.2, 2.4 Pa', () => {
    const at = (phi: number, d: number): number =>
      thicknessOf(
        { oilVolumeFraction: phi, pouringViscosityPaS: 0.004, continuousYieldPa: 0 },
        { sauterMeanDiameterM: d, tensionNPerM: 0.005 },
      ).yieldStressPa;
    expect(off(at(0.78, 5e-6), 26.1)).toBeLessThan(0.01);
    for (const [water, pa] of [
      [37, 42.6],
      [67, 14.2],
      [97, 2.4],
    ] as const)
      expect(off(at(200 / (200 + water), 6e-6), pa)).toBeLessThan(0.02);
  });
  it('olive oil clouds at 8 °C, at 4.25 mixed half and half; grainy after a day at 4 °C, clear with sunflower', () => {
    const olive = oilValuesOf('olive_ev');
    expect(cloudPointC(olive, 1)).toBeCloseTo(8, 6);
    expect(cloudPointC(olive, 0.5)).toBeCloseTo(4.25, 1);
    const solid = solidFraction([{ id: 'olive_ev', share: 1 }], 4, 86_400);
    expect(Math.abs(solid - 0.214)).toBeLessThan(0.005);
    expect(oilState(solid)).toBe('grainy');
    expect(
      solidFraction(
        [
          { id: 'olive_ev', share: 0.5 },
          { id: 'sunflower', share: 0.5 },
        ],
        4,
        86_400,
      ),
    ).toBeLessThan(0.01);
    for (const id of ['sunflower', 'rapeseed']) expect(solidFraction([{ id, share: 1 }], 4, 1e7)).toBe(0);
  });
  it('3 : 1 with a teaspoon of mustard, shaken: φ 0.732, 54.4 µm, coverage 1.76, 157 min, then water', () => {
    const { state, medianS, firstLayer, result } = run({ ...BARE, mustard: 5 });
    expect(Math.abs(state.phases.oilVolumeFraction - 0.732)).toBeLessThan(0.005);
    expect(off(state.drops.sauterMeanDiameterM * 1e6, 54.4)).toBeLessThan(0.02);
    expect(off(state.drops.coverage, 1.76)).toBeLessThan(0.02);
    expect(off(medianS! / MIN, 157)).toBeLessThan(0.05);
    expect(firstLayer).toBe('watery');
    expect(off(result.halfS! / 3600, 28)).toBeLessThan(0.05);
  });
  it('the same from a blender: 30.5 µm, about 20 h, then oil (kitchen practice: 12 to 72 h)', () => {
    const { state, medianS, firstLayer } = run({ ...BARE, mustard: 5 }, 'blender', 45);
    expect(off(state.drops.sauterMeanDiameterM * 1e6, 30.5)).toBeLessThan(0.02);
    expect(off(medianS! / 3600, 20)).toBeLessThan(0.08);
    expect(firstLayer).toBe('oil');
  });
  it('twice as tall it takes as long; very tall, oil shows first', () => {
    expect(off(run({ ...BARE, mustard: 5 }, 'shake', 30, 0.16).medianS! / MIN, 156)).toBeLessThan(0.06);
    const tall = run({ ...BARE, mustard: 5 }, 'shake', 30, 0.35);
    expect(off(tall.medianS! / 3600, 2)).toBeLessThan(0.06);
    expect(tall.firstLayer).toBe('oil');
  });
  it('more salt makes it separate sooner: 105 min', () => {
    expect(off(run({ ...BARE, mustard: 5, salt: 5 }).medianS! / MIN, 105)).toBeLessThan(0.06);
  });
  it('more mustard, longer: 16, 52, 91, 157, 378, 674, 1570 min', () => {
    const rows = [
      [1, 16],
      [2, 52],
      [3, 91],
      [5, 157],
      [8, 378],
      [12, 674],
      [20, 1570],
    ] as const;
    for (const [mustard, minutes] of rows)
      expect(off(run({ ...BARE, mustard }).medianS! / MIN, minutes)).toBeLessThan(0.08);
  });
});

describe('kitchen practice', () => {
  it('bare 3 : 1 separates in 1 to 5 minutes, half of it in 10 to 30', () => {
    const { medianS, result, state } = run(BARE);
    expect(state.outsidePhase).toBe('oil');
    expect(medianS! / MIN).toBeGreaterThan(1);
    expect(medianS! / MIN).toBeLessThan(5);
    expect(result.halfS! / MIN).toBeGreaterThan(10);
    expect(result.halfS! / MIN).toBeLessThan(30);
    expect(classOfHold(medianS)).toBe('temporary');
  });
  it('a mayonnaise of one yolk and 200 ml holds its shape for weeks; 350 ml on the same base split', () => {
    const base = { yolk: 17, lemon: 15, mustard: 5, salt: 1.5 };
    const good = run({ ...base, olive: 182.8 }, 'whisk', 240);
    expect(Math.abs(good.state.phases.oilVolumeFraction - 0.851)).toBeLessThan(0.005);
    expect(good.state.thickness.class).toBe('holds-its-shape');
    expect(good.medianS).toBeNull();
    expect(run({ ...base, olive: 320 }, 'whisk', 240).state.split).toBe(true);
  });
  it('a yoghurt dressing weeps after days, once its own drops are 5 µm; at 1 µm they rule and it stands longer', () => {
    const with5Um = { ...PARTS.yoghurt, emulsifiedDropM: 5e-6 };
    const rest = ask({ olive: 36.6, lemon: 20 }, 'whisk', 60);
    const days = (part: typeof with5Um): number =>
      (hold({ ...rest, amounts: [...rest.amounts, { part, massG: 120 }] })!.medianS ?? Infinity) / 86_400;
    expect(off(days(with5Um), 2.9)).toBeLessThan(0.08);
    expect(days({ ...PARTS.yoghurt })).toBeGreaterThan(days(with5Um));
  });
  it('garlic alone, or honey, slows a bare dressing; a blender beats a shake', () => {
    const bare = run(BARE).medianS!;
    expect(run({ ...BARE, garlic: 4 }).medianS!).toBeGreaterThan(bare);
    expect(run({ ...BARE, honey: 15 }).medianS!).toBeGreaterThan(bare);
  });
});

describe('properties', () => {
  it('more mustard, a finer tool, or colder: never sooner', () => {
    const longer = (a: number | null, b: number | null): boolean => (b ?? Infinity) >= (a ?? Infinity) * 0.98;
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 125 }), fc.integer({ min: 2, max: 9 }), (olive, mustard) => {
        const amounts = { olive, wineVinegar: 45.5, salt: 1, mustard };
        const now = run(amounts).medianS;
        expect(longer(now, run({ ...amounts, wineVinegar: 45.5, mustard: mustard + 3 }).medianS)).toBe(true);
        expect(longer(now, run(amounts, 'whisk', 60).medianS)).toBe(true);
        expect(longer(now, run(amounts, 'shake', 30, 0.08, 8).medianS)).toBe(true);
      }),
      { numRuns: 12, seed: 11 },
    );
  }, 60_000);

  it('every reference ingredient is something to an emulsion, and fractions never exceed the whole', () => {
    for (const ingredient of REFERENCE_INGREDIENTS) {
      const part = emulsionPartOf(ingredient);
      const total =
        part.water +
        part.sugar +
        part.salt +
        part.acetic +
        part.citric +
        part.protein +
        part.hydratedProtein +
        part.fibre +
        part.gum +
        part.mineral +
        part.boundFat +
        part.lipidBound +
        part.freeOil +
        part.emulsifiedOil;
      expect(total, ingredient.id).toBeGreaterThan(0.9);
      expect(total, ingredient.id).toBeLessThan(1.12);
    }
  });

  it('volumes agree with the mixed volume of a formula within 0.5 % on every style recipe', () => {
    for (const id of STYLE_IDS) {
      for (const portions of stylePortions(id, REFERENCE_CATALOGUE)) {
        const phases = phasesOf(
          portions.map(({ ingredient, massG }) => ({
            part: emulsionPartOf(ingredient),
            massG: massG.nominal,
          })),
          20,
        )!;
        const ours = (phases.continuousM3 + phases.freeOilM3 + phases.preEmulsifiedM3) * 1e6;
        const mixed = portions.reduce(
          (ml, { ingredient, massG }) => ml + massG.nominal * mixedVolumeMlPerG(ingredient),
          0,
        );
        expect(
          off(ours, mixed),
          `${id} ${portions.map(({ ingredient }) => ingredient.id).join()}`,
        ).toBeLessThan(0.005);
      }
    }
  });

  it('layers stay within the jar and grow', () => {
    const { result, state } = run({ ...BARE, mustard: 5 });
    let before = 0;
    for (const time of [0, 60, 3600, 36_000, 360_000, 1_209_600]) {
      const { serum, free } = layersAt(result.frames, time, state.column.heightM);
      expect(serum + free).toBeLessThanOrEqual(1 + 1e-9);
      expect(serum + free).toBeGreaterThanOrEqual(before - 0.02);
      before = serum + free;
    }
  });
});
