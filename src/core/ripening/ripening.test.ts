import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { sayBest, sayChange } from '#words/ripening';
import { KITCHEN_STEPS, ripeningOf, type ChangeCode } from './ripening';

const portion = (id: string, massG: number, form = '') => ({
  ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
  massG: exactly(massG),
  form,
});
const WEEK = { days: 7, cold: false };
const codesOf = (...portions: ReturnType<typeof portion>[]): readonly ChangeCode[] =>
  ripeningOf([portion('vin_redwine6', 30), portion('olive_ev', 70), ...portions], WEEK).changes.map(
    ({ code }) => code,
  );

const anything = fc.record({
  portions: fc.array(
    fc.record({
      id: fc.constantFrom(...REFERENCE_INGREDIENTS.map(({ id }) => id)),
      massG: fc.double({ min: 0, max: 500, noNaN: true }),
      form: fc.constantFrom('', 'chopped', 'whole', 'bruised, left one hour and taken out'),
    }),
    { maxLength: 8 },
  ),
  days: fc.integer({ min: 0, max: 14 }),
  cold: fc.boolean(),
});
const ripen = ({
  portions,
  days,
  cold,
}: {
  portions: { id: string; massG: number; form: string }[];
  days: number;
  cold: boolean;
}) =>
  ripeningOf(
    portions.map(({ id, massG, form }) => portion(id, massG, form)),
    { days, cold },
  );

describe('time in the flavour', () => {
  it('tells by what a thing is and what was done to it, what it will do', () => {
    expect(codesOf()).toEqual(['melds']);
    expect(codesOf(portion('oregano_dry', 1))).toContain('swells');
    expect(codesOf(portion('basil', 8, 'chopped'))).toContain('fades');
    expect(codesOf(portion('rosemary_fresh', 3))).toEqual(['melds', 'steeps', 'oversteeps']);
    expect(codesOf(portion('garlic', 4, 'crushed'))).toEqual(['melds', 'bite-falls', 'turns-harsh']);
    expect(codesOf(portion('garlic', 4, 'bruised'))).toEqual(['melds', 'steeps', 'oversteeps']);
    expect(codesOf(portion('garlic', 4, 'bruised, taken out'))).toEqual(['melds', 'steeps']);
    expect(codesOf(portion('shallot', 10, 'finely chopped'))).toEqual(['melds', 'bite-falls', 'stales']);
    expect(codesOf(portion('sesame_seed', 5))).toContain('loses-crunch');
    expect(codesOf(portion('mustard_powder', 2))).toContain('heat-fades');
  });

  // By hand: 1 − 2^(−10/10) is a half: 0.7 + 0.3 × 0.5 = 0.85; all of it is as good as 1.
  it('melds half of what it has to meld in ten minutes', () => {
    const { at } = ripeningOf([portion('vin_redwine6', 30), portion('olive_ev', 70)], WEEK);
    expect([at(0), at(10), at(1440)]).toEqual([
      expect.closeTo(0.7, 6),
      expect.closeTo(0.85, 6),
      expect.closeTo(1, 6),
    ]);
  });

  it('goes half as fast in the cold, once it has stood two hours', () => {
    const basil = [portion('vin_redwine6', 30), portion('olive_ev', 70), portion('basil', 20)];
    const warm = ripeningOf(basil, { days: 4, cold: false });
    const cold = ripeningOf(basil, { days: 4, cold: true });
    const raw = (ripening: typeof warm, minutes: number): number => ripening.at(minutes) / ripening.at(0);
    expect(raw(cold, 120)).toBeCloseTo(raw(warm, 120), 9);
    expect(raw(cold, 120 + 600)).toBeCloseTo(raw(warm, 120 + 300), 9);
  });

  it('knows nothing worth saying of a jar of nothing, and refuses days that are none', () => {
    const { changes, bestFromMin, bestToMin, tasteAgainMin, at } = ripeningOf([], WEEK);
    expect([changes, bestFromMin, tasteAgainMin, at(60)]).toEqual([[], 0, null, 1]);
    expect(bestToMin).toBe(7 * 1440);
    expect(() => ripeningOf([], { days: NaN, cold: true })).toThrow(RangeError);
  });

  it('is from 0 to 1 at all times, with a window inside what it keeps, whatever lies in it', () => {
    fc.assert(
      fc.property(anything, fc.double({ min: 0, max: 30_000, noNaN: true }), (jar, minutes) => {
        const ripening = ripen(jar);
        const { bestFromMin, bestToMin, at, changes, tasteAgainMin } = ripening;
        expect(at(minutes)).toBeGreaterThanOrEqual(0);
        expect(at(minutes)).toBeLessThanOrEqual(1);
        expect(bestFromMin).toBeLessThanOrEqual(bestToMin);
        expect(bestToMin).toBeLessThanOrEqual(jar.days * 1440);
        expect(KITCHEN_STEPS).toContain(bestFromMin);
        if (tasteAgainMin !== null) expect(at(tasteAgainMin)).toBeGreaterThan(at(0));
        for (const change of changes) {
          expect(change.notedMin).toBeGreaterThan(0);
          expect(sayChange(change, 'Thing')).toMatch(/^[A-Z].*\.$/);
        }
        expect(sayBest(ripening, jar.days)).not.toMatch(/NaN|undefined/);
      }),
    );
  });

  it('is best later with more that swells, and sooner over with more that fades', () => {
    const base = [portion('vin_redwine6', 30), portion('olive_ev', 70)];
    const window = (...more: ReturnType<typeof portion>[]) => ripeningOf([...base, ...more], WEEK);
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        (a, b) => {
          expect(window(portion('oregano_dry', a + b)).bestFromMin).toBeGreaterThanOrEqual(
            window(portion('oregano_dry', a)).bestFromMin,
          );
          expect(window(portion('basil', 5 * (a + b))).bestToMin).toBeLessThanOrEqual(
            window(portion('basil', 5 * a)).bestToMin,
          );
        },
      ),
    );
  });
});
