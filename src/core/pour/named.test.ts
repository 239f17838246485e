import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { composition } from '#core/composition';
import { REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { likelyPours, nextRatio, type KnownDressing, type PourKind } from '.';

const id = (text: string) => text as IngredientId;
const ingredient = (text: string) => REFERENCE_CATALOGUE.get(id(text))!;
const jar = (lines: Readonly<Record<string, number>>) =>
  Object.entries(lines).map(([one, massG]) => ({
    ingredient: ingredient(one),
    massG: exactly(massG),
    form: '',
  }));
const house: KnownDressing = {
  weight: 3,
  lines: [
    { ingredientId: id('vin_redwine6'), massG: 30 },
    { ingredientId: id('salt_table'), massG: 1.5 },
    { ingredientId: id('mustard_dijon'), massG: 8 },
    { ingredientId: id('olive_ev'), massG: 80 },
  ],
};
const likely = (before: readonly string[], massG: number, kind: PourKind) =>
  likelyPours(
    {
      known: [house],
      catalogue: REFERENCE_CATALOGUE,
      before: before.map(id),
      pour: { massG, kind },
      isOnHand: () => false,
    },
    3,
  );

describe('what was poured most likely', () => {
  it('is what comes next in this kitchen, where so much of it comes that way', () => {
    expect(likely([], 28, 'stream')[0]).toBe('vin_redwine6');
    expect(likely(['vin_redwine6'], 1.2, 'pinch')[0]).toBe('salt_table');
    expect(likely(['vin_redwine6', 'salt_table'], 9, 'spoonful')[0]).toBe('mustard_dijon');
    expect(likely(['vin_redwine6', 'salt_table', 'mustard_dijon'], 60, 'stream')[0]).toBe('olive_ev');
    // Out of its order, by its size alone.
    expect(likely(['vin_redwine6'], 75, 'stream')[0]).toBe('olive_ev');
  });

  it('prefers what is on hand among equals, and says nothing of a kitchen that knows nothing', () => {
    const twins: KnownDressing = {
      weight: 1,
      lines: [
        { ingredientId: id('olive_ev'), massG: 50 },
        { ingredientId: id('sunflower'), massG: 50 },
      ],
    };
    const ask = {
      known: [
        { ...twins, lines: [twins.lines[0]!] },
        { ...twins, lines: [twins.lines[1]!] },
      ],
      catalogue: REFERENCE_CATALOGUE,
      before: [],
      pour: { massG: 50, kind: 'stream' },
    } as const;
    for (const one of ['olive_ev', 'sunflower'])
      expect(likelyPours({ ...ask, isOnHand: (other) => other === one }, 2)[0]).toBe(one);
    expect(likelyPours({ ...ask, known: [], isOnHand: () => true }, 3)).toEqual([]);
  });
});

describe('the next plain ratio', () => {
  it('is reached by pouring what it says', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 10, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 300, noNaN: true }),
        (acid, oil) => {
          const before = jar({ vin_redwine6: acid, olive_ev: oil });
          const next = nextRatio(before);
          if (!next) {
            expect(oil / acid).toBeGreaterThan(5);
            return;
          }
          expect(next.moreOilMl).toBeGreaterThan(0);
          const after = jar({
            vin_redwine6: acid,
            olive_ev: oil + next.moreOilMl * ingredient('olive_ev').spoonDensityGPerMl,
          });
          expect(composition(after).measures.oilToAcidVolumeRatio).toBeCloseTo(next.ratio, 6);
        },
      ),
    );
    expect(nextRatio(jar({ olive_ev: 50 }))).toBeNull();
  });
});
