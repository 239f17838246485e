import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mean, standardDeviation } from 'simple-statistics';
import {
  measuringWith,
  ownMeasureFrom,
  REFERENCE_CATALOGUE,
  toMass,
  weighed,
  type IngredientId,
  type OwnUnit,
} from '.';
import { parseAmount } from '#core/quantity';

const ingredient = (id: string) => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const own = (unit: OwnUnit, id: string, ...weighingsG: number[]) =>
  ownMeasureFrom({ id: 'm', unit, ingredientId: id as IngredientId, weighingsG }, REFERENCE_CATALOGUE)!;
const grams = (text: string, id: string, measure: ReturnType<typeof own> | null) => {
  const parsed = parseAmount(text, 'point');
  if (parsed.status !== 'read') throw new Error(text);
  const mass = toMass(parsed.amount, ingredient(id), measuringWith('metric'), '', measure);
  if (mass.status !== 'read') throw new Error(text);
  return mass.massG;
};

describe('what was weighed', () => {
  it('has the mean and a spread that a statistics library agrees with', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.05, max: 50, noNaN: true }), { minLength: 2, maxLength: 12 }),
        (all) => {
          const { meanG, spreadG } = weighed(all);
          const n = all.length;
          expect(meanG).toBeCloseTo(mean(all), 9);
          // The library's is of the whole, ours of a sample.
          expect(spreadG).toBeCloseTo(standardDeviation(all) * Math.sqrt(n / (n - 1)), 9);
        },
      ),
    );
  });
  it('by the example 0.38, 0.42, 0.46 g: 0.42 ± 0.04, one falls within t 1.886 times that and a third more', () => {
    const { meanG, spreadG, massG } = weighed([0.38, 0.42, 0.46]);
    expect(meanG).toBeCloseTo(0.42, 12);
    expect(spreadG).toBeCloseTo(0.04, 12);
    expect(massG.high - massG.nominal).toBeCloseTo(1.886 * 0.04 * Math.sqrt(4 / 3), 9);
  });
  it('weighed once says nothing of its spread; no weight is none', () => {
    expect(weighed([0.4])).toMatchObject({ spreadG: null, massG: { low: 0.4 * 0.75, high: 0.5 } });
    expect(weighed([0.1, 2]).massG.low).toBeGreaterThan(0);
    for (const wrong of [[], [0], [-1], [NaN]]) expect(() => weighed(wrong)).toThrow(RangeError);
  });
});

describe('an own measure', () => {
  it('is used for its word, with the thing it was weighed with', () => {
    const pinch = own('pinch', 'salt_sea_fine', 0.4, 0.5, 0.6);
    expect(grams('2 pinches', 'salt_sea_fine', pinch).nominal).toBeCloseTo(1, 9);
    expect(grams('a pinch', 'salt_sea_fine', null).nominal).not.toBeCloseTo(0.5, 2);
    expect(grams('1 tsp', 'salt_sea_fine', pinch).nominal).toBeCloseTo(
      grams('1 tsp', 'salt_sea_fine', null).nominal,
      9,
    );
  });
  it('of another thing is the same volume; grinds stay what they weigh', () => {
    const pinch = own('pinch', 'salt_sea_fine', 0.5);
    const [salt, sugar] = [ingredient('salt_sea_fine'), ingredient('sugar_white')];
    expect(grams('a pinch', 'sugar_white', pinch).nominal).toBeCloseTo(
      (0.5 * sugar.spoonDensityGPerMl) / salt.spoonDensityGPerMl,
      9,
    );
    expect(grams('a grind', 'salt_sea_fine', own('grind', 'black_pepper', 0.08)).nominal).toBeCloseTo(
      0.08,
      9,
    );
  });
  it('of a spoon stands in for the spoon', () => {
    expect(grams('2 tbsp', 'olive_ev', own('tbsp', 'olive_ev', 11, 11.4)).nominal).toBeCloseTo(22.4, 9);
    expect(grams('1 ladle', 'water', null).nominal).toBeCloseTo(90, 0);
  });
});
