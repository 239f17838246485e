import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type Composition,
  type Ingredient,
  type IngredientId,
} from '#core/ingredient';
import { exactly, range, type Range } from '#core/quantity';
import { composition, type Portion } from './composition';
import { contributions, hiddenSaltG } from './contributions';
import { MEASURE_KEYS, MEASURES } from './measures';
import { mixedVolumeMlPerG } from './mixedVolume';
import { ratioEdit } from './ratioEdit';
import { amountTextFor } from './rewriteAmount';

const ingredient = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const grams = (id: string, massG: number | Range): Portion => ({
  ingredient: ingredient(id),
  massG: typeof massG === 'number' ? exactly(massG) : massG,
});
const millilitres = (id: string, ml: number): Portion => grams(id, ml * ingredient(id).spoonDensityGPerMl);

function solution(parts: Partial<Composition>): Ingredient {
  const none = Object.fromEntries(Object.keys(ingredient('water').composition).map((key) => [key, 0]));
  return {
    ...ingredient('water'),
    id: 'x' as IngredientId,
    composition: { ...none, ...parts } as Composition,
  };
}

describe('mixed volume', () => {
  it('10 % NaCl is 1.0707 g/ml (CRC Handbook), within 0.003', () => {
    expect(Math.abs(1 / mixedVolumeMlPerG(solution({ water: 0.9, salt: 0.1 })) - 1.0707)).toBeLessThan(0.003);
  });
  it('50 % sucrose is 1.2296 g/ml (ICUMSA), within 0.005', () => {
    expect(Math.abs(1 / mixedVolumeMlPerG(solution({ water: 0.5, sucrose: 0.5 })) - 1.2296)).toBeLessThan(
      0.005,
    );
  });
  it('a US teaspoon of salt takes about 1.9 ml in the jar, not 5', () => {
    expect(6 * mixedVolumeMlPerG(ingredient('salt_table'))).toBeCloseTo(1.87, 1);
  });
  it('oil keeps its poured volume', () => {
    expect(91.3 * mixedVolumeMlPerG(ingredient('olive_ev'))).toBeCloseTo(100, 9);
  });
});

describe('ratio and totals', () => {
  const classic = [millilitres('olive_ev', 90), millilitres('vin_redwine6', 30), grams('salt_table', 1.2)];

  it('90 ml to 30 ml is 3 : 1 by volume and 2.712 : 1 by weight (table densities)', () => {
    const { measures } = composition(classic);
    expect(measures.oilToAcidVolumeRatio).toBeCloseTo(3, 9);
    expect(Math.abs(measures.oilToAcidMassRatio! - 2.712)).toBeLessThan(0.005);
  });

  it('no acid liquid means no ratio, and nothing at all means no fractions: null, not infinity', () => {
    expect(composition([millilitres('olive_ev', 90)]).measures.oilToAcidVolumeRatio).toBeNull();
    const nothing = composition([]);
    expect(nothing.massG).toBe(0);
    expect(Object.values(nothing.measures).every((value) => value === null)).toBe(true);
  });

  it('counts hidden salt and says who brings what', () => {
    const portions = [...classic, grams('soy_sauce', 20)];
    expect(hiddenSaltG(portions)).toBeCloseTo(20 * 0.1395, 9);
    const salt = contributions(portions, 'salt');
    expect(salt.map((part) => part.ingredient.id)).toEqual(['soy_sauce', 'salt_table']);
    expect(salt.reduce((sum, part) => sum + part.share, 0)).toBeCloseTo(1, 12);
  });

  it('all fat counts what hides in the mayonnaise, poured oil does not', () => {
    const { measures } = composition([grams('mayo_full', 100), millilitres('vin_white5', 10)]);
    expect(measures.oilMassFraction).toBe(0);
    expect(measures.fatMassFraction).toBeCloseTo(74.9 / (100 + 10.06), 6);
  });

  const portionArb = fc
    .tuple(
      fc.constantFrom(...REFERENCE_INGREDIENTS),
      fc.double({ min: 0.1, max: 300, noNaN: true }),
      fc.double({ min: 0, max: 0.5, noNaN: true }),
    )
    .map(([found, mass, spread]): Portion => ({
      ingredient: found,
      massG: range(mass, mass * (1 - spread), mass * (1 + spread)),
    }));

  it('scaling all grams leaves every fraction and ratio; order never matters', () => {
    fc.assert(
      fc.property(
        fc.array(portionArb, { minLength: 1, maxLength: 12 }),
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        (portions, k) => {
          const before = composition(portions);
          const after = composition(
            [...portions].reverse().map(({ ingredient: i, massG: m }) => ({
              ingredient: i,
              massG: range(m.nominal * k, m.low * k, m.high * k),
            })),
          );
          expect(after.massG / before.massG).toBeCloseTo(k, 9);
          for (const key of MEASURE_KEYS) {
            const [a, b] = [before.measures[key], after.measures[key]];
            if (a === null || b === null) expect(a).toBe(b);
            else expect(b).toBeCloseTo(a, 9);
          }
        },
      ),
    );
  });

  it('the range of a result is exactly the span of all corners', () => {
    fc.assert(
      fc.property(fc.array(portionArb, { minLength: 1, maxLength: 6 }), (portions) => {
        const { ranges } = composition(portions);
        for (const key of MEASURE_KEYS) {
          const measure = MEASURES[key];
          let [low, high] = [Infinity, -Infinity];
          for (let corner = 0; corner < 1 << portions.length; corner++) {
            let [n, d] = [0, 0];
            portions.forEach(({ ingredient: i, massG }, at) => {
              const x = corner & (1 << at) ? massG.high : massG.low;
              n += measure.numerator(i) * x;
              d += measure.denominator(i) * x;
            });
            if (d > 0) [low, high] = [Math.min(low, n / d), Math.max(high, n / d)];
          }
          if (!Number.isFinite(low)) continue;
          expect(ranges[key].low).toBeCloseTo(low, 9);
          expect(ranges[key].high).toBeCloseTo(high, 9);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('setting the ratio', () => {
  const portions = [millilitres('olive_ev', 90), millilitres('vin_redwine6', 30)];

  it('scales the side that follows', () => {
    expect(ratioEdit(portions, 2, 'oil')).toEqual({ status: 'scale', factor: 2 / 3 });
    expect(ratioEdit(portions, 2, 'acid')).toEqual({ status: 'scale', factor: 1.5 });
    expect(ratioEdit(portions.slice(0, 1), 2, 'oil')).toEqual({ status: 'impossible', missing: 'acid' });
    expect(ratioEdit(portions.slice(1), 2, 'oil')).toEqual({ status: 'impossible', missing: 'oil' });
  });

  it('writes the new amount in the unit it was typed in', () => {
    const oil = ingredient('olive_ev');
    const kitchen = { spoons: 'metric', decimalSign: 'point' } as const;
    expect(amountTextFor(60 * 0.913, '90 ml', oil, kitchen)).toBe('60 ml');
    expect(amountTextFor(54.8, '80 g', oil, kitchen)).toBe('54.8 g');
    expect(amountTextFor(30 * 0.913, '3 tbsp', oil, kitchen)).toBe('2 tbsp');
    expect(amountTextFor(23 * 0.913, '3 tbsp', oil, { ...kitchen, decimalSign: 'comma' })).toMatch(
      /ml$|tbsp/,
    );
  });
});
