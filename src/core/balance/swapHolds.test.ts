import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { sayLost } from '#words/balance';
import { swapIngredient } from '.';
import { dressing, named } from './testing';

describe('a swap and what holds it together', () => {
  const swap = (text: string, index: number, to: string) =>
    swapIngredient({
      portions: dressing(text),
      index,
      to: named(to),
      catalogue: REFERENCE_CATALOGUE,
      style: null,
      locked: new Set(),
    });
  const MAYONNAISE = 'egg_yolk 18g, sunflower 180ml, lemon_juice 15ml, salt_table 1.8g';

  it('a yolk for mustard: says how much binder is lost and proposes less oil with it', () => {
    const { swaps } = swap(MAYONNAISE, 0, 'mustard_dijon');
    const plain = swaps.find(({ id }) => id === 'one-for-one')!;
    expect(plain.lost.binder).toBeGreaterThan(0.5);
    expect(sayLost(plain.lost)[0]).toMatch(/^It loses .+ of what binds\.$/);
    const second = swaps.find(({ id }) => id === 'with-second')!;
    const oil = second.lines.find(({ ingredient }) => ingredient.id === 'sunflower')!;
    expect(oil.toG).toBeLessThan(oil.fromG);
    expect(second.lost.splits).toBe(false);
    expect(swaps.indexOf(second)).toBeLessThan(swaps.indexOf(plain));
  });

  it('a yolk for bought mayonnaise says that nearly all of the binder is gone', () => {
    const { swaps } = swap(MAYONNAISE, 0, 'mayo_full');
    const plain = swaps.find(({ id }) => id === 'one-for-one')!;
    expect(plain.lost.binder).toBeGreaterThan(0.6);
  });

  it('one oil for another, or one vinegar for another, loses nothing and proposes nothing', () => {
    const { swaps } = swap(
      'olive_ev 90ml, vin_redwine6 30ml, mustard_dijon 5g, salt_table 1.5g',
      1,
      'vin_sherry7',
    );
    expect(swaps.map(({ id }) => id)).toEqual(['one-for-one']);
    expect(sayLost(swaps[0]!.lost)).toEqual([]);
  });
});
