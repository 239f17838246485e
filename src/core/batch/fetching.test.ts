import { describe, expect, it } from 'vitest';
import { boughtUnitOf } from './boughtUnits';
import { middleLeft } from './conduction';
import { coolingOf } from './cooling';
import { pullListOf, type StockFacts } from './pullList';
import { sayCooling, sayCounted, sayThings } from '#words/batch';
import { thing } from './testing';
import { keepUntil, keepUntilProblem } from './useBy';
import type { IngredientId } from '#core/ingredient';

const stockOf = (entries: Record<string, Partial<StockFacts>>) =>
  new Map(
    Object.entries(entries).map(([id, facts]) => [
      id as IngredientId,
      { onHandG: null, price: null, ...facts },
    ]),
  );

describe('the pull list', () => {
  it('counts lemons by what a lemon gives, with its spread', () => {
    // USDA SR Legacy: the juice of one lemon 48 g; 30 to 60 g: common practice.
    const [lemon] = pullListOf([{ ingredient: thing('lemon_juice'), massG: 600 }], new Map()).lines;
    expect(lemon!.count).toEqual({ nominal: 13, low: 10, high: 20 });
    expect(sayCounted(lemon!)).toBe('13 (10 to 20) lemons');
  });

  it('goes by the unit weights of the handbook', () => {
    // USDA SR Legacy: clove of garlic 3 g, yolk of a large egg 17 g, whole egg without shell 50 g.
    const gramsOf = (id: string) => {
      const unit = boughtUnitOf(thing(id));
      return unit.kind === 'counted' ? [unit.unit, unit.massG.nominal] : [unit.kind];
    };
    expect(gramsOf('egg_yolk')).toEqual(['egg', 17]);
    expect(gramsOf('egg_whole')).toEqual(['egg', 50]);
    expect(gramsOf('garlic')).toEqual(['head', 30]);
    expect(gramsOf('parsley')).toEqual(['bunch', 60]);
    expect(gramsOf('shallot')[0]).toBe('shallot');
    expect(gramsOf('olive_ev')).toEqual(['litres']);
    expect(gramsOf('salt_table')).toEqual(['grams']);
    expect([sayThings('radish', 2), sayThings('lemon', 1), sayThings('lime to grate', 3)]).toEqual([
      'radishes',
      'lemon',
      'limes to grate',
    ]);
  });

  it('buys peel and stalks too, takes off what is there, and says what is missing', () => {
    const list = pullListOf(
      [
        { ingredient: thing('shallot'), massG: 640 },
        { ingredient: thing('shallot'), massG: 240 },
        { ingredient: thing('olive_ev'), massG: 500 },
        { ingredient: thing('water'), massG: 300 },
      ],
      stockOf({ shallot: { onHandG: 600, price: { price: 4, packMassG: 1000 } } }),
    );
    const [shallot, oil, water] = list.lines;
    // Edible yield 88 %: 880 g peeled are 1000 g bought.
    expect(shallot).toMatchObject({ neededG: 880, shortG: 280 });
    expect(shallot!.asBoughtG).toBeCloseTo(1000, 6);
    expect(shallot!.cost).toBeCloseTo(4, 6);
    expect(oil).toMatchObject({ shortG: null, cost: null });
    expect(water).toMatchObject({ shortG: 0, cost: 0 });
    expect(list.unpriced.map(({ id }) => id)).toEqual(['olive_ev']);
  });
});

describe('getting cold', () => {
  it('follows the warming law', () => {
    // τ = 4000 s at 0.3 l: 20 → 5 °C in air of 3 °C takes τ ln(17/2) = 8560 s.
    const cooling = coolingOf(300, { startC: 20, fridgeC: 3, thick: false });
    expect(cooling).toMatchObject({ status: 'cools', inTime: true, ways: [] });
    if (cooling.status === 'cools') expect(cooling.seconds).toBeCloseTo(4000 * Math.log(17 / 2), 3);
  });

  it.each([
    [0.3, 2.6],
    [1.4, 5.6],
    [5, 10.9],
    [20, 24],
  ])('%d l of something thick: about %d h until its middle is cold', (litres, hours) => {
    // As tall as wide, 1.2e-7 m²/s, 0.4 W/(m K), 15 W/(m² K); within a fifth.
    const cooling = coolingOf(litres * 1000, { startC: 20, fridgeC: 3, thick: true });
    if (cooling.status !== 'cools') throw new Error('never');
    expect(Math.abs(cooling.seconds / 3600 / hours - 1)).toBeLessThan(0.2);
    const thin = coolingOf(litres * 1000, { startC: 20, fridgeC: 3, thick: false });
    if (thin.status !== 'cools') throw new Error('never');
    expect(thin.seconds).toBeLessThanOrEqual(cooling.seconds);
  });

  it('conducts as the exact series says at both ends: fast at first outside, one exponential at last', () => {
    for (const volumeMl of [100, 1000, 30_000]) {
      const left = middleLeft(volumeMl);
      expect(left(120)).toBeGreaterThan(0.95);
      let before = 1;
      for (const seconds of [600, 3600, 7200, 36_000, 100_000]) {
        expect(left(seconds)).toBeLessThanOrEqual(before);
        before = left(seconds);
      }
      const late = (h: number): number => Math.log(left(h * 3600));
      // Late it falls by the same share each hour.
      expect((late(42) - late(41)) / (late(41) - late(40))).toBeCloseTo(1, 3);
    }
  });

  it('finite differences in the same cylinder say the same: a second way', () => {
    // One litre, explicit steps in radius and height.
    const radiusM = Math.cbrt(1e-3 / (2 * Math.PI));
    const [a, k, h, n] = [1.2e-7, 0.4, 15, 30];
    const r = radiusM / n;
    const size = n + 1;
    let now = Array.from({ length: size * size }, () => 1);
    const dt = (0.12 * r * r) / a;
    const steps = Math.round((3 * 3600) / dt);
    const at = (i: number, j: number): number => now[i * size + j]!;
    for (let step = 0; step < steps; step++) {
      now = now.map((_, index) => {
        const [i, j] = [Math.floor(index / size), index % size];
        const outer = (value: number): number => value - (2 * r * h * value) / k;
        const up = i === n ? at(n - 1, j) + (outer(at(n, j)) - at(n, j)) : at(i + 1, j);
        const down = i === 0 ? at(1, j) : at(i - 1, j);
        const east = j === n ? at(i, n - 1) + (outer(at(i, n)) - at(i, n)) : at(i, j + 1);
        const west = j === 0 ? at(i, 1) : at(i, j - 1);
        const radial = j === 0 ? 4 * (east - at(i, j)) : east - 2 * at(i, j) + west + (east - west) / (2 * j);
        return at(i, j) + 0.12 * (up - 2 * at(i, j) + down + radial);
      });
    }
    expect(Math.abs(now[0]! / middleLeft(1000)(steps * dt) - 1)).toBeLessThan(0.03);
  });

  it('says so above four hours, and offers what helps', () => {
    const cooling = coolingOf(10_000, { startC: 20, fridgeC: 3, thick: false });
    if (cooling.status !== 'cools') throw new Error('never');
    expect(cooling.inTime).toBe(false);
    expect(sayCooling(cooling)).toMatch(/longer than the 4 h/);
    for (const way of cooling.ways) {
      if (way.kind === 'smaller-containers')
        expect(coolingOf(way.mostMl, { startC: 20, fridgeC: 3, thick: false })).toMatchObject({
          inTime: true,
        });
      if (way.kind === 'pre-chill')
        expect(coolingOf(10_000, { startC: way.startC, fridgeC: 3, thick: false })).toMatchObject({
          inTime: true,
        });
    }
    expect(cooling.ways.map(({ kind }) => kind)).toEqual(['smaller-containers', 'pre-chill', 'ice-bath']);
  });

  it('holds a warm base to two hours and four more', () => {
    // FDA Food Code 3-501.14: 57 to 21 °C within 2 h, to 5 °C within 4 h more.
    const warm = coolingOf(3000, { startC: 70, fridgeC: 3, thick: false });
    if (warm.status !== 'cools') throw new Error('never');
    expect(warm.midS).toBeGreaterThan(2 * 3600);
    expect(warm.inTime).toBe(false);
    expect(warm.ways.map(({ kind }) => kind)).toEqual(['smaller-containers', 'ice-bath']);
    expect(coolingOf(100, { startC: 70, fridgeC: 3, thick: false })).toMatchObject({ inTime: true });
  });

  it('never gets cold in a fridge that is not, and is cold where it is', () => {
    expect(coolingOf(300, { startC: 20, fridgeC: 6, thick: false })).toEqual({ status: 'never' });
    expect(coolingOf(300, { startC: 4, fridgeC: 3, thick: false })).toMatchObject({
      seconds: 0,
      inTime: true,
    });
  });
});

describe('use by', () => {
  it('counts the day of making as the first', () => {
    expect(keepUntil('2026-11-26', { days: 4 })).toEqual({
      day: '2026-11-29',
      days: 4,
      reason: '',
      capped: false,
    });
    expect(keepUntil('2026-12-31', { days: 1 }).day).toBe('2026-12-31');
    expect(keepUntil('2028-02-28', { days: 2 }).day).toBe('2028-02-29');
    expect(() => keepUntil('today', { days: 2 })).toThrow(/no day/);
  });

  it('is never later than that of a bottle or carton in it, whatever reason is typed', () => {
    const notAfter = { day: '2026-11-28', name: 'Buttermilk' };
    const change = { days: 9, reason: 'measured by the lab' };
    for (const one of [null, change])
      expect(keepUntil('2026-11-26', { days: 4 }, one, notAfter)).toEqual({
        day: '2026-11-28',
        days: 3,
        reason: 'Buttermilk',
        capped: true,
      });
    expect(keepUntil('2026-11-26', { days: 2 }, null, notAfter).capped).toBe(false);
    expect(keepUntil('2026-11-30', { days: 2 }, null, notAfter)).toMatchObject({
      day: '2026-11-28',
      days: 0,
    });
  });

  it('is shortened freely, lengthened only with a reason', () => {
    expect(keepUntilProblem({ days: 4 }, { days: 2, reason: '' })).toBeNull();
    expect(keepUntilProblem({ days: 4 }, { days: 6, reason: ' ' })).toBe('reason-missing');
    expect(keepUntilProblem({ days: 4 }, { days: 6, reason: 'pH 3.2 measured, local plan' })).toBeNull();
    expect(keepUntilProblem({ days: 4 }, { days: 2.5, reason: '' })).toBe('no-days');
  });
});
