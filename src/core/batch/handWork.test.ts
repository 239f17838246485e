import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { handWorkKind, handWorkOf, PACE_LIMITS, paceAfter } from './handWork';

const get = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const line = (id: string, massG: number, form = '', said = '') => ({
  ingredient: get(id),
  form,
  said,
  massG,
});

describe('work by hand', () => {
  it.each([
    ['lemon_juice', '', 'juice of 3 lemons', 'juice'],
    ['lemon_juice', '', '120 ml', null],
    ['lemon_zest', 'finely grated', '', 'zest'],
    ['garlic', 'minced', '', 'peel-and-chop'],
    ['ginger', 'grated', '', 'grate'],
    ['parsley', 'chopped', '', 'pick'],
    ['egg_yolk', '', '4 yolks', 'crack'],
    ['parmesan', 'grated', '', 'grate'],
    ['parmesan', '', '', null],
    ['olive_ev', '', '', null],
    ['garlic_powder', '', '', null],
    ['garlic', 'ready minced', '', null],
    ['shallot', 'grated to a paste', '', 'grate'],
    ['pickled_onion', 'chopped', '', null],
  ] as const)('%s “%s” “%s” is %s', (id, form, said, kind) => {
    expect(handWorkKind(get(id), form, said)).toBe(kind);
  });

  it('a litre of lemon juice by hand takes about ten minutes, from the bottle none', () => {
    const minutes = handWorkOf([line('lemon_juice', 1000, '', 'juice of 25 lemons')]).seconds / 60;
    expect(minutes).toBeGreaterThan(6);
    expect(minutes).toBeLessThan(20);
    expect(handWorkOf([line('lemon_juice', 1000, '', '1 l')]).seconds).toBe(0);
  });

  it('grows with the amount and the pace, and a kitchen’s own times move the pace their way', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        fc.double({ min: 0.05, max: 20, noNaN: true }),
        (massG, pace, took) => {
          const said = handWorkOf([line('shallot', massG, 'minced')], pace).seconds;
          expect(said).toBeCloseTo(pace * handWorkOf([line('shallot', massG, 'minced')]).seconds, 6);
          const next = paceAfter(pace, said, said * took);
          expect(Math.sign(next - pace) * Math.sign(took - 1)).toBeGreaterThanOrEqual(0);
          expect(next).toBeGreaterThanOrEqual(PACE_LIMITS.low);
          expect(next).toBeLessThanOrEqual(PACE_LIMITS.high);
        },
      ),
      { numRuns: 100, seed: 5 },
    );
  });
});
