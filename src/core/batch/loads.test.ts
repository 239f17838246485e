import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TOOL_VALUES } from '#core/emulsion';
import { TOOLS } from '#core/formula';
import { capacityOf, mixSecondsFor, MOST_LOADS, splitIntoLoads, usualBatchTool, warmingK } from './loads';
import { poursOf } from './pours';
import { planOf, VINAIGRETTE, vesselOf } from './testing';

const capacity = fc
  .record({
    mostMl: fc.double({ min: 20, max: 30_000, noNaN: true }),
    least: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ mostMl, least }) => ({ mostMl, leastMl: mostMl * least, limitedBy: 'tool' as const }));

describe('loads', () => {
  it('never break a capacity and always add up', () => {
    let split = 0;
    fc.assert(
      fc.property(
        capacity,
        fc.double({ min: 1, max: 200_000, noNaN: true }),
        fc.constantFrom('equal' as const, 'full-and-rest' as const),
        (limits, totalMl, as) => {
          const loads = splitIntoLoads(totalMl, limits, as);
          if (loads.status !== 'loads') return;
          split += 1;
          const sum = loads.loadsMl.reduce((a, b) => a + b, 0);
          expect(Math.abs(sum - totalMl)).toBeLessThan(1e-6 * totalMl);
          for (const ml of loads.loadsMl) {
            expect(ml).toBeLessThanOrEqual(limits.mostMl * (1 + 1e-9));
            expect(ml).toBeGreaterThanOrEqual(limits.leastMl * (1 - 1e-9) - 1e-6);
          }
          expect(loads.loadsMl.length).toBeLessThanOrEqual(MOST_LOADS);
        },
      ),
      { numRuns: 1000 },
    );
    expect(split).toBeGreaterThan(300);
  });

  it('refuses only what no number of loads can hold', () => {
    fc.assert(
      fc.property(capacity, fc.double({ min: 1, max: 100_000, noNaN: true }), (limits, totalMl) => {
        const loads = splitIntoLoads(totalMl, limits, 'equal');
        if (loads.status !== 'no-split' && loads.status !== 'too-little') return;
        for (let n = 1; n <= 200; n++) {
          const each = totalMl / n;
          expect(each > limits.mostMl * (1 - 1e-9) || each < limits.leastMl).toBe(true);
        }
      }),
      { numRuns: 400 },
    );
  });

  it('fills first and leaves a rest, which is shared where it would not cover the tool', () => {
    const of = (totalMl: number) =>
      splitIntoLoads(totalMl, { leastMl: 300, mostMl: 1000, limitedBy: 'tool' }, 'full-and-rest');
    expect(of(2400)).toEqual({ status: 'loads', loadsMl: [1000, 1000, 400] });
    expect(of(2100)).toEqual({ status: 'loads', loadsMl: [1000, 550, 550] });
    expect(of(250)).toEqual({ status: 'too-little', leastMl: 300 });
  });

  it('takes what the tool and its vessel take', () => {
    const bucket = vesselOf(10_000);
    expect(capacityOf('stick-pro', bucket)).toEqual({ leastMl: 3000, mostMl: 7000, limitedBy: 'vessel' });
    expect(capacityOf('shake', { brimfulVolumeMl: 600, closes: true }).mostMl).toBeCloseTo(400, 9);
    // A blender has a jug of its own, whatever bowl stands beside it.
    expect(capacityOf('blender', bucket)).toEqual({ leastMl: 200, mostMl: 1000, limitedBy: 'tool' });
    for (const tool of TOOLS) expect(TOOL_VALUES[tool].leastMl).toBeLessThan(TOOL_VALUES[tool].mostMl);
    expect([300, 2000, 12_000].map(usualBatchTool)).toEqual(['shake', 'stick', 'stick-pro']);
  });

  it('mixes twelve passes: 20 l under a large stick blender is four minutes', () => {
    expect(mixSecondsFor('stick-pro', 20_000)).toBe(240);
    expect(mixSecondsFor('shake', 1500)).toBe(90);
    expect(mixSecondsFor('whisk', 500)).toBe(2 * TOOL_VALUES.whisk.referenceS);
    // 150 W for 60 s in 300 g: 11 K, the worked example for a blender (common practice).
    expect(warmingK('blender', 60, 300)).toBeCloseTo(10.7, 1);
    expect(warmingK('whisk', 60, 300)).toBe(0);
  });
});

describe('a scale that cannot carry it at once', () => {
  it('cuts a weighing into equal pours that add up', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400_000 }),
        fc.constantFrom(0.1, 1, 5),
        fc.integer({ min: 500, max: 30_000 }),
        (grams, readabilityG, capacityG) => {
          const limits = { readabilityG, capacityG, vesselG: 400 };
          const pours = poursOf(grams, limits);
          expect(pours.reduce((a, b) => a + b, 0)).toBeCloseTo(grams, 5);
          expect(Math.max(...pours)).toBeLessThanOrEqual(capacityG - 400 + 1e-6);
          expect(Math.min(...pours)).toBeGreaterThan(0);
        },
      ),
      { numRuns: 500 },
    );
    expect(poursOf(5331, { readabilityG: 1, capacityG: 3000, vesselG: 400 })).toEqual([1777, 1777, 1777]);
    expect(() => poursOf(10, { readabilityG: 1, capacityG: 400, vesselG: 400 })).toThrow(/jug/);
  });

  it('makes every load of a batch weighable', () => {
    const plan = planOf({ lines: VINAIGRETTE, target: { kind: 'volume', volumeMl: 20_000 } });
    const oil = plan.loads[0]!.lines.at(-1)!;
    expect(oil.pours.length).toBe(Math.ceil(oil.massG / 4600));
  });
});
