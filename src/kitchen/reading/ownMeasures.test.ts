import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MeasureRecord } from '#contract';
import { REFERENCE_CATALOGUE, type IngredientId, type OwnUnit } from '#core/ingredient';
import { newestMeasures, ownMeasuresOf } from './ownMeasures';

let count = 0;
const record = (
  unit: OwnUnit,
  ingredientId: string,
  massesG: readonly number[],
  cookId: string | null = 'ida',
): MeasureRecord => ({
  id: `m${++count}`,
  cookId,
  unit,
  ingredientId: ingredientId as IngredientId,
  weighings: massesG.map((massG) => ({ massG, source: 'typed' as const })),
  at: new Date(Date.UTC(2026, 0, count)).toISOString(),
});
const SALT = 'salt_sea_fine' as IngredientId;
const own = (records: readonly MeasureRecord[], cookId: string | null = 'ida') =>
  ownMeasuresOf(records, cookId, REFERENCE_CATALOGUE);

describe('a cook’s own measures', () => {
  const first = record('pinch', SALT, [0.3, 0.35, 0.4]);
  const second = record('pinch', SALT, [0.5, 0.55, 0.6]);
  const ofPepper = record('pinch', 'black_pepper', [0.2, 0.25]);
  const bos = record('pinch', SALT, [1.1, 1.2], 'bo');

  it('weigh by the newest, and keep the old for what was typed with it', () => {
    const measures = own([first, second]);
    expect(measures.now('pinch', SALT)?.id).toBe(second.id);
    expect(measures.byId.get(first.id)?.id).toBe(first.id);
  });

  it('are a cook’s alone', () => {
    expect(own([first, bos], 'bo').now('pinch', SALT)?.id).toBe(bos.id);
    expect(own([first], 'bo').now('pinch', SALT)).toBeNull();
    expect(own([first], null).now('pinch', SALT)).toBeNull();
    expect(own([first]).now('ladle', SALT)).toBeNull();
  });

  it('of the very thing come before those of another', () => {
    expect(own([ofPepper, first]).now('pinch', 'black_pepper' as IngredientId)?.id).toBe(ofPepper.id);
    expect(own([ofPepper]).now('pinch', SALT)?.id).toBe(ofPepper.id);
  });

  it('given up are the kitchen’s again, for new entries only', () => {
    const measures = own([first, record('pinch', SALT, [])]);
    expect(measures.now('pinch', SALT)).toBeNull();
    expect(measures.byId.get(first.id)).toBeDefined();
  });

  it('stand once for a word and a thing, newest first', () => {
    const anyRecords = fc
      .array(
        fc.tuple(
          fc.constantFrom<OwnUnit>('pinch', 'grind'),
          fc.constantFrom(SALT, 'black_pepper'),
          fc.boolean(),
        ),
        {
          maxLength: 12,
        },
      )
      .map((list) => list.map(([unit, id, gone]) => record(unit, id, gone ? [] : [0.4])));
    fc.assert(
      fc.property(anyRecords, (records) => {
        const newest = newestMeasures(records, 'ida');
        const keys = newest.map(({ unit, ingredientId }) => `${unit} ${ingredientId}`);
        expect(new Set(keys).size).toBe(keys.length);
        for (const kept of newest) {
          const same = records.filter(
            ({ unit, ingredientId }) => unit === kept.unit && ingredientId === kept.ingredientId,
          );
          expect(same.at(-1)).toBe(kept);
        }
      }),
    );
  });
});
