import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { costOf } from './cost';
import { shortages } from './onHand';
import { ratioEdit } from './ratioEdit';
import { scaledAmountText } from './rewriteAmount';

const ingredient = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const grams = (id: string, massG: number) => ({ ingredient: ingredient(id), massG: exactly(massG) });
const wording = { spoons: 'metric', decimalSign: 'point' } as const;

describe('an amount times a factor, in its own words', () => {
  it.each([
    ['2 yolks', 'egg_yolk', 34, 2, '4 yolks'],
    ['1 yolk', 'egg_yolk', 17, 1.5, '25.5 g'],
    ['juice of ½ lemon', 'lemon_juice', 24, 3, 'juice of 1½ lemon'],
    ['a pinch', 'salt_table', 0.37, 3, '3 pinches'],
    ['90 ml', 'rapeseed', 82.5, 0.5, '45 ml'],
    ['1 tbsp', 'honey', 21, 2, '2 tbsp'],
    ['20 g', 'shallot', 20, 12, '240 g'],
    ['1 tbsp', 'honey', 21.3, 1.37, '20.6 ml'],
    ['1 part', 'rapeseed', 27.5, 2, '2 part'],
  ])('%s of %s (%d g) times %d is %s', (text, id, massG, factor, wanted) => {
    const scaled = scaledAmountText(text, massG, ingredient(id), factor, wording);
    expect(scaled.replace(/parts?$/, 'part')).toBe(wanted);
  });
});

describe('the ratio with locked amounts', () => {
  const ml = (id: string, volume: number, locked = false) => ({
    ...grams(id, volume * ingredient(id).spoonDensityGPerMl),
    locked,
  });
  it('moves only what is free', () => {
    const portions = [ml('walnut_oil', 30, true), ml('rapeseed', 60), ml('vin_cider5', 30)];
    const edit = ratioEdit(portions, 4, 'oil');
    // 30 locked + 60 f = 4 × 30
    expect(edit.status === 'scale' && edit.factor).toBeCloseTo(1.5, 12);
    expect(ratioEdit(portions, 0.9, 'oil')).toEqual({ status: 'locked', side: 'oil' });
    expect(ratioEdit([ml('rapeseed', 60, true), ml('vin_cider5', 30)], 3, 'oil').status).toBe('locked');
  });

  it('always reaches the ratio it was asked for', () => {
    const amount = fc.double({ min: 1, max: 500, noNaN: true });
    fc.assert(
      fc.property(
        amount,
        amount,
        amount,
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (locked, free, acid, wanted) => {
          const edit = ratioEdit(
            [ml('walnut_oil', locked, true), ml('rapeseed', free), ml('vin_cider5', acid)],
            wanted,
            'oil',
          );
          if (edit.status !== 'scale') return;
          expect((locked + free * edit.factor) / acid).toBeCloseTo(wanted, 8);
        },
      ),
    );
  });
});

describe('cost and stock', () => {
  it('pays for what is thrown away, and says what has no price', () => {
    // Garlic 6 a kg as bought, 87 % edible: 10 g peeled cost 0.069.
    const price = (id: IngredientId) => (id === 'garlic' ? { price: 6, packMassG: 1000 } : null);
    const cost = costOf(
      [grams('garlic', 10), grams('water', 50), grams('honey', 5), grams('dill', 0)],
      price,
    );
    expect(cost.total).toBeCloseTo(0.06897, 4);
    expect(cost.unpriced).toEqual([2]);
  });

  it('counts an ingredient in two lines twice; unknown stock is no stock; water is free', () => {
    const stock = (id: IngredientId) => (id === 'honey' ? 30 : null);
    const short = shortages(
      [grams('honey', 20), grams('honey', 20), grams('water', 100), grams('dill', 3)],
      stock,
    );
    expect(short.map(({ ingredient: i, neededG, onHandG }) => [i.id, neededG, onHandG])).toEqual([
      ['honey', 40, 30],
      ['dill', 3, null],
    ]);
  });
});
