import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { handAmount, handMeasure } from './handAmount';

const style = { decimalSign: 'point', language: 'en' } as const;
const of = (id: string) => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const said = (massG: number, id: string): string => handMeasure(massG, of(id), 'metric', style);

describe('an amount as the hand measures it', () => {
  it('is a spoon that comes near, the grams beside', () => {
    expect(said(21, 'honey')).toBe('1 tbsp (21.0 g)');
    expect(handAmount(21, of('honey'), 'metric', style)).toBe('1 tbsp honey (21.0 g)');
  });

  it('is read off a jug where nobody counts cups', () => {
    expect(said(1_830, 'olive_ev')).toBe('2000 ml (1830 g)');
  });

  it('is grams alone where no spoon comes near', () => {
    expect(said(0.05, 'honey')).toMatch(/^0\.05? g$/);
  });
});
