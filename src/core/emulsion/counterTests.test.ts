import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { factorOf, PLATE_LIMITS_S, plateSeconds, withTest } from './counterTests';
import { emulsionState } from './state';
import { structureOf } from './structure';
import { holdRequest } from './holdOf';
import { exactly } from '#core/quantity';

const get = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const neatPa = (ingredient: Ingredient): number =>
  emulsionState(
    holdRequest([{ ingredient, massG: exactly(100) }], {
      tool: 'fork',
      seconds: 30,
      volumeMl: 100,
      heightM: 0.05,
      temperatureC: 5,
    }),
  )!.thickness.yieldStressPa;

describe('the plate and the back of the spoon', () => {
  it('cream runs at once, yoghurt in seconds, mayonnaise not at all', () => {
    const seconds = (id: string): number => plateSeconds(structureOf(get(id))!);
    expect(seconds('cream')).toBeLessThan(2);
    expect(seconds('yoghurt_whole')).toBeGreaterThan(2);
    expect(seconds('yoghurt_whole')).toBeLessThan(90);
    expect(seconds('mayo_full')).toBe(Infinity);
  });

  it('a body set by a time runs in that time again', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('yoghurt_whole', 'cream', 'ketchup', 'buttermilk', 'avocado', 'tahini'),
        fc.double({ min: PLATE_LIMITS_S.low, max: 120, noNaN: true }),
        (id, seconds) => {
          const taught = withTest(get(id), { kind: 'plate', seconds });
          const factor = factorOf(structureOf(get(id))!, { kind: 'plate', seconds });
          // At the bounds of what is believed the kitchen has another thing in the jar.
          if (factor > 0.034 && factor < 29)
            expect(plateSeconds(taught.structure!) / seconds).toBeCloseTo(1, 4);
        },
      ),
      { numRuns: 200, seed: 3 },
    );
  });

  it('slower is thicker, and what did not run is as thick as mayonnaise or stays what it is', () => {
    const yoghurt = get('yoghurt_whole');
    const at = (seconds: number | null): number => neatPa(withTest(yoghurt, { kind: 'plate', seconds }));
    expect(at(2)).toBeLessThan(at(20));
    expect(at(20)).toBeLessThan(at(null));
    expect(factorOf(structureOf(get('mayo_full'))!, { kind: 'plate', seconds: null })).toBe(1);
  });

  it('a line that stays, or closes, moves only what it contradicts', () => {
    const spoon = (id: string, line: 'stays' | 'closes'): number =>
      factorOf(structureOf(get(id))!, { kind: 'spoon', line });
    expect(spoon('yoghurt_whole', 'stays')).toBe(1);
    expect(spoon('yoghurt_whole', 'closes')).toBeLessThan(1);
    expect(spoon('cream', 'stays')).toBeGreaterThan(1);
    expect(spoon('milk', 'closes')).toBe(1);
  });

  it('vinegar has no body to set; forgetting is the table again', () => {
    const vinegar = get('vin_cider5');
    expect(withTest(vinegar, { kind: 'plate', seconds: 5 })).toBe(vinegar);
    expect(withTest(get('tahini'), null)).toBe(get('tahini'));
  });
});
