import { describe, expect, it } from 'vitest';
import { withBottle } from './bottle';
import { ingredientFromLabel, type LabelValues } from './fromLabel';
import type { IngredientId } from './ingredient';
import { REFERENCE_CATALOGUE } from './reference';
import { ingredientFromRow } from './row';

const label: LabelValues = {
  id: 'own_1',
  name: 'Terrace relish',
  category: 'savoury',
  per: '100 g',
  fatG: 10,
  carbohydrateG: 12,
  sugarsG: 8,
  proteinG: 2,
  saltG: 1.5,
  acidityGPer100Ml: null,
  densityGPerMl: null,
  ph: null,
  allergensEu14: ['mustard'],
  allergensAnswered: true,
  keepsUnopened: false,
  thickness: null,
};

describe('an ingredient from its label', () => {
  it('fills the rest with water, says what it guessed, and is perishable until said otherwise', () => {
    const reading = ingredientFromLabel(label);
    if (reading.status !== 'read') throw new Error('unread');
    const { composition, hazards, tag, energyKcalPer100G } = ingredientFromRow(reading.row);
    expect(composition.water).toBeCloseTo(1 - 0.1 - 0.12 - 0.02 - 0.015, 6);
    expect(composition.sucrose).toBeCloseTo(0.08, 6);
    expect([hazards, tag]).toEqual([['unlisted'], 'estimate']);
    // 9 × 10 + 4 × (12 + 2), Regulation (EU) 1169/2011 Annex XIV.
    expect(energyKcalPer100G).toBeCloseTo(146, 6);
    expect(reading.guessed).toEqual(['density', 'water', 'kind of sugar', 'pH']);
  });

  it('turns figures per 100 ml into those per 100 g', () => {
    const reading = ingredientFromLabel({ ...label, per: '100 ml', densityGPerMl: 1.25 });
    if (reading.status !== 'read') throw new Error('unread');
    expect(ingredientFromRow(reading.row).composition.fat).toBeCloseTo(0.08, 6);
  });

  it('names its allergens in both lists', () => {
    const reading = ingredientFromLabel({
      ...label,
      allergensEu14: ['milk', 'nuts', 'celery', 'cereals containing gluten'],
    });
    expect(reading.status === 'read' && reading.row.allergensUs9).toEqual(['milk', 'tree nuts', 'wheat']);
  });

  it('refuses figures that cannot be', () => {
    expect(ingredientFromLabel({ ...label, sugarsG: 20 })).toMatchObject({
      problem: { code: 'more-sugar-than-carbohydrate' },
    });
    expect(ingredientFromLabel({ ...label, fatG: 95 })).toMatchObject({ problem: { code: 'too-much' } });
  });
});

describe('the bottle in use', () => {
  const cider = REFERENCE_CATALOGUE.get('vin_cider5' as IngredientId)!;
  it('takes its acidity from the label: g per 100 ml over density', () => {
    const bottled = withBottle(cider, { acidityGPer100Ml: 6.06, ph: 2.9 });
    expect(bottled.composition.acetic).toBeCloseTo(0.06, 9);
    expect(bottled.typicalPh).toBe(2.9);
    const total = (i: typeof cider) => i.composition.acetic + i.composition.water;
    expect(total(bottled)).toBeCloseTo(total(cider), 12);
  });
  it('leaves things without acetic acid alone', () => {
    const lemon = REFERENCE_CATALOGUE.get('lemon_juice' as IngredientId)!;
    expect(withBottle(lemon, { acidityGPer100Ml: 6, ph: null }).composition).toEqual(lemon.composition);
  });
});
