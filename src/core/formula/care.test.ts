/** What the pan, the knife or a bowl of water does to a thing before it goes in. Shares: estimate. */
import { describe, expect, it } from 'vitest';
import { measuringWith, REFERENCE_CATALOGUE, type Ingredient } from '#core/ingredient';
import { readLine } from './readAddition';
import type { ReadAddition } from './reading';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

function read(text: string): ReadAddition {
  const { reading } = readLine(text, context);
  if (reading.status === 'unread') throw new Error(`${text}: ${JSON.stringify(reading.problem)}`);
  return reading;
}
const grams = (text: string): number => read(text).massG.nominal;
const solids = ({ ingredient, massG }: ReadAddition, of: keyof Ingredient['composition']): number =>
  ingredient.composition[of] * massG.nominal;

describe('care that changes a thing', () => {
  it.each([
    ['50 g raisins, soaked in hot water and drained', '50 g raisins'],
    ['30 g cashews, soaked overnight and drained', '30 g cashews'],
    ['20 g dried apricots, softened in hot water', '20 g dried apricots'],
  ])('“%s” holds what “%s” does, and water', (soaked, dry) => {
    const [a, b] = [read(soaked), read(dry)];
    expect(a.ingredient.id).toBe(b.ingredient.id);
    expect(a.massG.nominal).toBeGreaterThan(1.2 * b.massG.nominal);
    expect(a.massG.high / a.massG.low).toBeGreaterThan(1.2);
    for (const part of ['fat', 'protein', 'salt', 'glucose', 'fructose', 'fibre'] as const)
      expect(solids(a, part)).toBeCloseTo(solids(b, part), 9);
    // All that it weighs more is water.
    expect(solids(a, 'water') - solids(b, 'water')).toBeCloseTo(a.massG.nominal - b.massG.nominal, 9);
    expect(Object.values(a.ingredient.hazards)).toEqual(Object.values(b.ingredient.hazards));
  });

  it('soaking does nothing to what is wet or dissolves', () => {
    for (const [soaked, plain] of [
      ['40 g red onion, soaked in cold water', '40 g red onion'],
      ['20 g honey, softened in hot water', '20 g honey'],
    ] as const)
      expect(grams(soaked)).toBeCloseTo(grams(plain), 9);
  });

  it.each([
    ['1 bunch parsley, leaves only', '1 bunch parsley', 0.45, 0.75],
    ['1 bunch mint, stalks removed', '1 bunch mint', 0.45, 0.75],
    ['1 shallot, sweated', '1 shallot', 0.4, 0.85],
    ['1 onion, roasted', '1 onion', 0.55, 0.9],
    ['half a cucumber, deseeded', 'half a cucumber', 0.75, 0.92],
    ['half a cucumber, grated and squeezed dry', 'half a cucumber', 0.45, 0.85],
    ['half a cucumber, salted and drained', 'half a cucumber', 0.45, 0.85],
    ['1 bunch dill, chopped with its stalks', '1 bunch dill', 1, 1],
    ['60 g cucumber, squeezed dry', '60 g cucumber', 1, 1],
  ])('of “%s” is left what is right of “%s”', (done, raw, low, high) => {
    expect(grams(done) / grams(raw)).toBeGreaterThanOrEqual(low - 1e-9);
    expect(grams(done) / grams(raw)).toBeLessThanOrEqual(high + 1e-9);
  });

  it('“as much as you like” is to taste', () => {
    expect(read('freshly ground pepper, as much as you like').amount.kind).toBe('to-taste');
  });
});
