import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isPoured,
  REFERENCE_CATALOGUE,
  searchIngredients,
  spoonVolumeMl,
  takesLabelAcidity,
  type Ingredient,
} from './index';

const all = [...REFERENCE_CATALOGUE.values()];
const search = (text: string, limit = 8): readonly Ingredient[] =>
  searchIngredients(text, REFERENCE_CATALOGUE, limit);
const names = (text: string): readonly string[] => search(text).map(({ name }) => name);

describe('completing an ingredient', () => {
  it('finds each by its own name before all others', () => {
    for (const ingredient of all) expect(names(ingredient.name)[0], ingredient.name).toBe(ingredient.name);
  });

  it('finds it by the beginnings of its words, in any case, with or without accents', () => {
    expect(names('rape')[0]).toMatch(/rapeseed/i);
    expect(names('CIDER VIN')[0]).toContain('Cider vinegar');
    expect(names('vin cid')[0]).toContain('Cider vinegar');
    expect(names('crème fra').length).toBe(names('creme fra').length);
  });

  it('gives no more than is asked for, none twice, and nothing for nothing', () => {
    fc.assert(
      fc.property(
        fc
          .constantFrom(...all)
          .chain(({ name }) => fc.integer({ min: 0, max: name.length }).map((n) => name.slice(0, n))),
        fc.integer({ min: 1, max: 12 }),
        (text, limit) => {
          const found = search(text, limit);
          expect(found.length).toBeLessThanOrEqual(limit);
          expect(new Set(found.map(({ id }) => id)).size).toBe(found.length);
          if (text.trim() === '') expect(found).toEqual([]);
        },
      ),
    );
    expect(search('zzzz')).toEqual([]);
    expect(search('')).toEqual([]);
  });

  it('takes whatever is typed without falling over', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 60 }), (text) => {
        expect(search(text, 5).length).toBeLessThanOrEqual(5);
      }),
    );
  });
});

describe('what the table says of its things', () => {
  it('pours what pours, and no powder', () => {
    for (const { id, category } of all.filter((one) =>
      ['oil', 'vinegar', 'citrus', 'water'].includes(one.category),
    ))
      expect(isPoured(REFERENCE_CATALOGUE.get(id)!), `${id} (${category})`).toBe(true);
    for (const id of ['salt_sea_fine', 'black_pepper', 'garlic'] as const) {
      const ingredient = REFERENCE_CATALOGUE.get(id as Ingredient['id']);
      if (ingredient) expect(isPoured(ingredient), id).toBe(false);
    }
  });

  it('asks a label’s acidity of vinegars, not of lemons', () => {
    const asked = all.filter(takesLabelAcidity);
    expect(all.filter(({ category }) => category === 'vinegar').every(takesLabelAcidity)).toBe(true);
    expect(asked.some(({ category }) => category === 'citrus' || category === 'oil')).toBe(false);
  });

  it('turns grams into a spoon’s volume and back', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...all),
        fc.double({ min: 0, max: 5000, noNaN: true }),
        (ingredient, massG) => {
          expect(spoonVolumeMl(massG, ingredient) * ingredient.spoonDensityGPerMl).toBeCloseTo(massG, 6);
        },
      ),
    );
  });
});
