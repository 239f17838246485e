import { convert } from 'convert';
import { describe, expect, it } from 'vitest';
import { GRAMS_PER } from './units';
import { SPOON_VOLUMES } from './spoons';

describe('spoons and cups', () => {
  // NIST Handbook 44, Appendix C, General Tables of Units of Measurement.
  it.each([
    ['tspMl', 4.9289],
    ['tbspMl', 14.7868],
    ['cupMl', 236.588],
    ['fluidOunceMl', 29.5735],
    ['pintMl', 473.176],
    ['quartMl', 946.353],
  ] as const)('US %s is %d ml (NIST Handbook 44)', (key, ml) => {
    expect(Math.abs(SPOON_VOLUMES.us[key] / ml - 1)).toBeLessThan(2e-5);
  });

  // 21 CFR 101.9(b)(5)(viii): for labels, 1 tsp is 5 ml, 1 tbsp 15 ml, 1 cup 240 ml, 1 fl oz 30 ml.
  it('US spoons are the label’s household measures within 1.5 %', () => {
    const { tspMl, tbspMl, cupMl, fluidOunceMl } = SPOON_VOLUMES.us;
    for (const [ours, label] of [
      [tspMl, 5],
      [tbspMl, 15],
      [cupMl, 240],
      [fluidOunceMl, 30],
    ] as const) {
      expect(Math.abs(ours / label - 1)).toBeLessThan(0.015);
    }
    expect([SPOON_VOLUMES.metric.tspMl, SPOON_VOLUMES.metric.tbspMl]).toEqual([5, 15]);
  });

  it('agrees with a units library from the registry', () => {
    expect(SPOON_VOLUMES.us.cupMl).toBeCloseTo(convert(1, 'cup').to('milliliter'), 6);
    expect(SPOON_VOLUMES.imperial.pintMl).toBeCloseTo(convert(1, 'imperial pint').to('milliliter'), 6);
    expect(GRAMS_PER.oz).toBeCloseTo(convert(1, 'oz').to('g'), 9);
    expect(GRAMS_PER.lb).toBeCloseTo(convert(1, 'lb').to('g'), 9);
  });

  it('has the four tablespoons', () => {
    const tbsp = (['us', 'metric', 'imperial', 'au'] as const).map((system) =>
      SPOON_VOLUMES[system].tbspMl.toFixed(1),
    );
    expect(tbsp).toEqual(['14.8', '15.0', '17.8', '20.0']);
  });
});
