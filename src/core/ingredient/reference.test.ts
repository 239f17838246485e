import { describe, expect, it } from 'vitest';
import { SPOON_VOLUMES } from '#core/quantity';
import { mixedVolumeMlPerG } from '#core/composition';
import { KITCHEN_COMPONENTS, componentOf } from './category';
import { findIngredient, normaliseName } from './findIngredient';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS } from './reference';
import type { Ingredient } from './ingredient';
import { notesOf } from './notes';

const each = (check: (ingredient: Ingredient) => string | null): string[] =>
  REFERENCE_INGREDIENTS.flatMap((ingredient) => {
    const complaint = check(ingredient);
    return complaint === null ? [] : [`${ingredient.id}: ${complaint}`];
  });

/** Things whose spoon holds no air, so that their density must be that of their composition. */
const POURABLE = new Set(['vinegar', 'citrus', 'water']);
const PERISHABLE = new Set([
  'raw_egg',
  'pasteurised_egg',
  'mayonnaise',
  'dairy',
  'soft_or_blue_cheese',
  'fish',
  'raw_allium',
  'cooked_allium',
  'fresh_herb',
  'raw_vegetable_or_fruit',
  'opened_preserve',
  'plant_protein',
  'avocado',
  'cooked_food',
]);

describe('the ingredient table', () => {
  it('has every row once, with a source', () => {
    expect(REFERENCE_INGREDIENTS.length).toBeGreaterThanOrEqual(390);
    expect(REFERENCE_CATALOGUE.size).toBe(REFERENCE_INGREDIENTS.length);
    expect(each((one) => (notesOf(one).source && one.tag ? null : 'no source'))).toEqual([]);
  });

  it('components add up to 93-100.5 % (spices from 84 %)', () => {
    const complaints = each(({ composition: c, category }) => {
      const total =
        c.water +
        c.fat +
        c.protein +
        c.sucrose +
        c.glucose +
        c.fructose +
        c.lactose +
        c.otherCarbohydrate +
        c.salt +
        c.acetic +
        c.citric +
        c.lactic +
        c.malic +
        c.tartaric +
        c.ethanol;
      const least = category === 'spice' ? 0.84 : 0.93;
      return total >= least && total <= 1.005 ? null : `components ${(total * 100).toFixed(1)} %`;
    });
    expect(complaints).toEqual([]);
  });

  it('fibre and polyols lie inside the other carbohydrates', () => {
    expect(
      each(({ composition: c }) =>
        c.fibre + c.polyol <= c.otherCarbohydrate + 1e-9 ? null : 'more fibre than carbohydrate',
      ),
    ).toEqual([]);
  });

  it('what pours is as dense as its composition says, within 4 %; no spoon holds more than the solid', () => {
    const complaints = each((ingredient) => {
      if (ingredient.category === 'oil') return null;
      const density = 1 / mixedVolumeMlPerG(ingredient);
      const ratio = ingredient.spoonDensityGPerMl / density;
      if (POURABLE.has(ingredient.category) && Math.abs(ratio - 1) > 0.04) return `density off by ${ratio}`;
      return ratio <= 1.05 ? null : `spoon density ${ratio} of the solid`;
    });
    expect(complaints).toEqual([]);
  });

  it('energy agrees within 8 % with 9 fat + 4 protein and sugars + 2 fibre + 3 acids + 7 alcohol', () => {
    const complaints = each(({ composition: c, energyKcalPer100G }) => {
      const starch = c.otherCarbohydrate - c.fibre - c.polyol;
      const sugars = c.sucrose + c.glucose + c.fructose + c.lactose;
      const acids = c.acetic + c.citric + c.lactic + c.malic + c.tartaric;
      const estimate =
        100 * (9 * c.fat + 4 * (c.protein + sugars + starch) + 2 * c.fibre + 3 * acids + 7 * c.ethanol);
      const allowed = Math.max(6, energyKcalPer100G * 0.08);
      return Math.abs(estimate - energyKcalPer100G) <= allowed
        ? null
        : `${energyKcalPer100G} kcal, reckoned ${estimate.toFixed(0)}`;
    });
    expect(complaints).toEqual([]);
  });

  it('weighed spoons agree with the spoon density within 12 %', () => {
    const volumes = {
      tsp: SPOON_VOLUMES.us.tspMl,
      tbsp: SPOON_VOLUMES.us.tbspMl,
      cup: SPOON_VOLUMES.us.cupMl,
    };
    const complaints = each(({ unitWeightsG, spoonDensityGPerMl }) => {
      for (const [unit, ml] of Object.entries(volumes)) {
        const weight = unitWeightsG[unit];
        if (weight && Math.abs(weight.nominal / ml / spoonDensityGPerMl - 1) > 0.12)
          return `${unit} weighs ${weight.nominal} g`;
      }
      return null;
    });
    expect(complaints).toEqual([]);
  });

  it('every wet row has a pH, and a hazard where it is not sour enough to keep by itself', () => {
    const complaints = each(({ composition, typicalPh, hazards, category }) => {
      if (composition.water <= 0.15 || category === 'water') return null;
      if (typicalPh === null) return 'wet and without a pH';
      return typicalPh <= 4 || hazards.some((hazard) => PERISHABLE.has(hazard))
        ? null
        : 'wet, mild and no hazard';
    });
    expect(complaints).toEqual([]);
  });

  it('names and aliases lead to their own row, and to one only', () => {
    const owner = new Map<string, string>();
    const complaints = each(({ id, name, aliases }) => {
      for (const word of new Set([id as string, name, ...aliases].map(normaliseName))) {
        const other = owner.get(word);
        if (other) return `“${word}” is also ${other}`;
        owner.set(word, id);
      }
      return null;
    });
    expect(complaints).toEqual([]);
    expect(findIngredient('Extra virgin olive oil', REFERENCE_CATALOGUE)).toMatchObject({
      status: 'found',
      ingredient: { id: 'olive_ev' },
    });
    expect(findIngredient('vinegar', REFERENCE_CATALOGUE).status).toBe('ambiguous');
    expect(findIngredient('moonlight', REFERENCE_CATALOGUE).status).toBe('unknown');
  });

  it('has what the demo kitchen needs, and gives every row a component', () => {
    for (const word of [
      'beetroot',
      'caraway',
      'plum',
      'dates',
      'white beans',
      'fresh thyme',
      'sugar substitute',
      'basil pesto',
    ]) {
      expect(findIngredient(word, REFERENCE_CATALOGUE).status, word).toBe('found');
    }
    expect(
      each((ingredient) => (KITCHEN_COMPONENTS.includes(componentOf(ingredient)) ? null : 'no component')),
    ).toEqual([]);
  });
});
