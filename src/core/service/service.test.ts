import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DISH_KINDS,
  DISHES,
  DRESSED,
  dressingFor,
  lastWords,
  mlPer100GOf,
  servingsFrom,
  type BowlVerdict,
} from './dress';
import { coldClockOf } from './outOfCold';
import { thinningOf, WATER_SOURCES } from './thinning';
import { dressingTimes, MOMENTS } from './whenToDress';

const BOWL = {
  mlPer100G: 60,
  ml: 60,
  dishId: null,
  verdict: null,
  tableMl: null,
  at: '2026-11-20T12:00:00Z',
} as const;

describe('how much dressing a dish takes', () => {
  it('goes by the figures of the trade', () => {
    // Common practice, ml per 100 g.
    expect(dressingFor('tender-leaves', 250, 'normally').ml).toBe(50);
    expect(dressingFor('slaw', 1000, 'well').ml).toBe(600);
    expect(dressingFor('warm-potato', 400, 'lightly').ml).toBe(80);
    expect(dressingFor('cooked', 300, 'normally')).toEqual({ ml: 75, lowMl: 60, highMl: 97.5 });
    expect(servingsFrom(1000, dressingFor('tender-leaves', 60, 'normally').ml)).toBe(83);
  });

  it('always has a range round its figure, rising from lightly to well', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...DISH_KINDS),
        fc.double({ min: 0, max: 50_000, noNaN: true }),
        (kind, massG) => {
          const needs = DRESSED.map((how) => dressingFor(kind, massG, how));
          for (const { ml, lowMl, highMl } of needs) {
            expect(lowMl).toBeLessThanOrEqual(ml);
            expect(highMl).toBeGreaterThanOrEqual(ml);
          }
          expect(needs[0]!.ml).toBeLessThanOrEqual(needs[1]!.ml);
          expect(needs[1]!.ml).toBeLessThanOrEqual(needs[2]!.ml);
        },
      ),
    );
    expect(() => dressingFor('slaw', -1, 'well')).toThrow(RangeError);
  });

  it('learns from the kitchen’s own, the more the more of them', () => {
    const own = (count: number) =>
      Array.from({ length: count }, () => ({ ...BOWL, kind: 'slaw', dressed: 'normally' }) as const);
    expect(mlPer100GOf('slaw', 'normally', own(3))).toBe(50);
    expect(mlPer100GOf('slaw', 'normally', own(300))).toBeGreaterThan(59);
    expect(mlPer100GOf('slaw', 'well', own(300))).toBe(DISHES.slaw.mlPer100G.well);
  });
});

// By hand: 60 ml that were too much count as 48, that were too little as 75.
describe('what was said of the bowl', () => {
  const said = (verdict: BowlVerdict) =>
    Array.from({ length: 3 }, () => ({ ...BOWL, kind: 'slaw', dressed: 'normally', verdict }) as const);
  it('moves the figure of its kind: soggy down, dry up', () => {
    expect(mlPer100GOf('slaw', 'normally', said('soggy'))).toBeCloseTo(44, 9);
    expect(mlPer100GOf('slaw', 'normally', said('dry'))).toBeCloseTo(57.5, 9);
    expect(mlPer100GOf('slaw', 'normally', said('too-salty'))).toBe(50);
  });
  it('is said once of a bowl: the last word within the hour counts', () => {
    const at = (time: string, verdict: BowlVerdict, dishId: string | null = 'd') => ({
      ...BOWL,
      verdict,
      dishId,
      at: `2026-11-20T${time}:00Z`,
    });
    const last = (...entries: ReturnType<typeof at>[]) => lastWords(entries).map(({ verdict }) => verdict);
    expect(last(at('12:30', 'right'), at('12:00', 'soggy'))).toEqual(['right']);
    expect(last(at('12:00', 'soggy'), at('13:10', 'right'))).toEqual(['soggy', 'right']);
    expect(last(at('12:00', 'soggy'), at('12:10', 'right', 'other'))).toEqual(['soggy', 'right']);
    expect(last(at('12:00', 'soggy', null), at('12:10', 'right', null))).toEqual(['soggy', 'right']);
  });
});

describe('what thins it in the bowl', () => {
  it('weakens by the water that comes in, and less after the advice', () => {
    const thinning = thinningOf([{ source: 'cucumber', massG: 500 }], 100, 30);
    // 50 ml of juice into 100 ml of dressing: a third weaker.
    expect(thinning.waterMl).toBe(50);
    expect(thinning.weaker).toBeCloseTo(1 / 3, 9);
    expect(thinning.afterAdvice).toBeLessThan(thinning.weaker / 1.8);
    expect(thinning.advice).toEqual(['cucumber']);
  });
  it('says nothing where nobody would taste it, and stays a share', () => {
    expect(thinningOf([{ source: 'spun-leaves', massG: 60 }], 40, 5).advice).toEqual([]);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            source: fc.constantFrom(...WATER_SOURCES),
            massG: fc.double({ min: 0, max: 5000, noNaN: true }),
          }),
          { maxLength: 5 },
        ),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        fc.double({ min: -10, max: 3000, noNaN: true }),
        (parts, ml, minutes) => {
          const { weaker, afterAdvice } = thinningOf(parts, ml, minutes);
          expect(weaker).toBeGreaterThanOrEqual(0);
          expect(weaker).toBeLessThanOrEqual(1);
          expect(afterAdvice).toBeLessThanOrEqual(weaker + 1e-12);
        },
      ),
    );
  });
});

describe('when', () => {
  it('halves what drinks, and loses nothing', () => {
    expect(dressingTimes('cooked', 100)).toEqual({ firstS: 3600, firstMl: 50, lastMl: 50 });
    expect(dressingTimes('tender-leaves', 80)).toEqual({ firstS: 0, firstMl: 80, lastMl: 0 });
    for (const kind of DISH_KINDS)
      for (const moment of MOMENTS) {
        const { firstMl, lastMl } = dressingTimes(kind, 100, moment);
        expect(firstMl + lastMl).toBeCloseTo(100, 9);
      }
    expect(dressingTimes('warm-potato', 100, 'at-once').lastMl).toBe(0);
  });

  it('counts four hours from the first time it left the cold, two at home', () => {
    const noon = Date.parse('2026-11-26T12:00:00Z');
    expect(coldClockOf(noon, noon + 3_600_000)).toEqual({
      leftS: 3 * 3600,
      throwAwayAtMs: noon + 4 * 3_600_000,
      over: false,
    });
    expect(coldClockOf(noon, noon + 2 * 3_600_000, 'home').over).toBe(true);
  });
});
