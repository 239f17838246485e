import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type IngredientId } from '#core/ingredient';
import { candidatesFor, COMPLAINTS, PLANS, rolesOf, subsetsOf } from '.';
import { COMPLAINT_WORDS, sayDoses, sayImpossible, sayInTheWay, sayMissed, sayVariant } from '#words/balance';
import { dressing, mayAdd, named } from './testing';

describe('words', () => {
  it('says doses, misses and what stands in the way as a cook would', () => {
    const [oil, salt] = mayAdd('olive_ev', 'salt_table');
    expect(
      sayDoses([
        { mayAdd: oil!, massG: 43.674 },
        { mayAdd: salt!, massG: 0.514 },
      ]),
    ).toBe('43.7 g extra-virgin olive oil and 0.51 g fine table salt');
    expect(sayMissed({ measure: 'salt', wanted: 0.018, value: 0.0352, steps: 8 })).toBe(
      'Salt 3.52 % salt, wanted 1.80 % salt.',
    );
    expect(sayMissed({ measure: 'ratio', wanted: 2.5, value: null, steps: 5 })).toContain('none');
    expect(sayInTheWay([])).toBeNull();
    expect(
      sayInTheWay([
        { kind: 'stock', ingredient: named('lemon_juice') },
        { kind: 'window', measure: 'salt', end: 'high' },
      ]),
    ).toBe('In the way: there is no more lemon juice and salt is at the high end of its band.');
    expect(sayVariant({ kind: 'without', ingredient: named('honey') })).toBe('Without honey');
  });

  it('says what would do it where adding does not: room, dilution, replacing', () => {
    const sentence = sayImpossible({
      status: 'impossible',
      planId: 'dilute',
      moreRoom: { volumeMl: 63.4, doses: [{ mayAdd: mayAdd('olive_ev')[0]!, massG: 90 }] },
      dilution: {
        measure: 'salt',
        now: 0.035,
        wanted: 0.018,
        by: named('olive_ev'),
        growth: 0.95,
        growthMl: 126,
        reachable: 0.0242,
        replaceFraction: 0.486,
      },
      inTheWay: [],
    });
    expect(sentence).toContain('64 ml more room');
    expect(sentence).toContain('set half aside');
    expect(sentence.split('. ')).toHaveLength(1);
    const blocked = { status: 'impossible', planId: 'dilute', moreRoom: null, dilution: null } as const;
    expect(sayImpossible({ ...blocked, inTheWay: ['fat', 'body'] })).toContain('richness and body');
    expect(sayImpossible({ ...blocked, inTheWay: [] })).toBe('Nothing on hand does it.');
  });

  it('has words and at least one plan for every complaint', () => {
    for (const complaint of COMPLAINTS) {
      expect(COMPLAINT_WORDS[complaint].length).toBeGreaterThan(2);
      expect(PLANS[complaint].length).toBeGreaterThan(0);
      for (const { roles } of PLANS[complaint]) expect(roles.length).toBeGreaterThan(0);
    }
  });
});

describe('who may go in', () => {
  const jar = dressing('olive_ev 60ml, vin_redwine6 40ml, garlic 3g, salt_table 1.7g');
  const candidates = (stock: Record<string, number> = {}, locked: readonly string[] = []) =>
    candidatesFor(jar, {
      catalogue: REFERENCE_CATALOGUE,
      stockG: (id) => stock[id] ?? null,
      locked: new Set(locked as readonly IngredientId[]),
    });
  const ids = (found: ReturnType<typeof candidates>) =>
    found.map(({ ingredient }) => ingredient.id as string);

  it('reaches for what is in the jar first, then the pantry, then staples; never for more garlic or raw egg', () => {
    expect(ids(candidates()).slice(0, 3)).toEqual(['olive_ev', 'vin_redwine6', 'salt_table']);
    expect(ids(candidates({ walnut_oil: 200 })).slice(0, 4)).toContain('walnut_oil');
    expect(ids(candidates())).not.toContain('garlic');
    for (const { id, hazards } of REFERENCE_INGREDIENTS) {
      if (hazards.includes('raw_egg')) expect(rolesOf(named(id)), id).toEqual([]);
    }
  });

  it('counts what the jar itself takes off the stock, and leaves out what is locked or gone', () => {
    const left = candidates({ olive_ev: 60 }).find(({ ingredient }) => ingredient.id === 'olive_ev');
    expect(left!.stockG).toBeCloseTo(60 - 60 * named('olive_ev').spoonDensityGPerMl, 6);
    expect(ids(candidates({ olive_ev: 20 }))).not.toContain('olive_ev');
    expect(ids(candidates({}, ['vin_redwine6']))).not.toContain('vin_redwine6');
  });

  it('gives every ingredient no more roles than it can play', () => {
    for (const ingredient of REFERENCE_INGREDIENTS)
      expect(rolesOf(ingredient).length, ingredient.id).toBeLessThanOrEqual(2);
  });
});

describe('subsets', () => {
  it('are all of one to three, each once (12 things: 298)', () => {
    expect(subsetsOf(12, 3)).toHaveLength(12 + 66 + 220);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 1, max: 4 }), (count, most) => {
        const found = subsetsOf(count, most).map((subset) => subset.join());
        expect(new Set(found).size).toBe(found.length);
        for (const subset of subsetsOf(count, most)) {
          expect(subset.length).toBeLessThanOrEqual(most);
          expect([...subset].sort((a, b) => a - b)).toEqual(subset);
        }
      }),
      { seed: 2 },
    );
  });
});
