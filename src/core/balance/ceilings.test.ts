import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type Ingredient,
  type IngredientId,
} from '#core/ingredient';
import { DEFINED_BY, STYLES } from '#core/palate';
import { ceilingOf } from './ceilings';
import { formulate } from './formulate';
import { finish } from './steps';

const get = (id: string): Ingredient => REFERENCE_CATALOGUE.get(id as IngredientId)!;
const style = (id: string) => STYLES.find((each) => each.id === id)!;
const ask = (styleId: string, ids: readonly string[], volumeMl = 250) =>
  finish(
    formulate({
      volumeMl,
      style: style(styleId),
      onHand: ids.map((id) => ({ ingredient: get(id), minG: 0, maxG: null })),
      targets: [],
    }),
  );

describe('how much a cook puts in at most', () => {
  it('is a share, less for what is hot or strong, none for what a dressing is made of', () => {
    for (const ingredient of REFERENCE_INGREDIENTS) {
      const most = ceilingOf(ingredient, null);
      if (most !== null) {
        expect(most, ingredient.id).toBeGreaterThan(0);
        expect(most, ingredient.id).toBeLessThanOrEqual(0.35);
      }
    }
    for (const id of ['olive_ev', 'lemon_juice', 'yoghurt_whole', 'tahini', 'water', 'mayo_full', 'egg_yolk'])
      expect(ceilingOf(get(id), null), id).toBeNull();
    expect(ceilingOf(get('cayenne'), null)!).toBeLessThan(ceilingOf(get('cumin'), null)!);
    expect(ceilingOf(get('rosemary_fresh'), null)!).toBeLessThan(ceilingOf(get('parsley'), null)!);
    expect(ceilingOf(get('parsley'), 'herb_in_oil')!).toBeGreaterThan(ceilingOf(get('parsley'), null)!);
  });

  it('no answer goes beyond it, whatever is on hand', () => {
    const season = [
      'cumin',
      'black_pepper',
      'garlic',
      'dill',
      'chives',
      'shallot',
      'honey',
      'mustard_dijon',
      'soy_sauce',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom('classic_3_1', 'sharp_2_1', 'lemon_oil', 'creamy_yoghurt', 'tahini', 'herb_in_oil'),
        fc.subarray(season, { minLength: 1 }),
        (styleId, some) => {
          const base = [
            'olive_ev',
            'lemon_juice',
            'vin_cider5',
            'yoghurt_whole',
            'tahini',
            'water',
            'salt_table',
            'parsley',
          ];
          const outcome = ask(styleId, [...base, ...some]);
          if (outcome.status !== 'answers') throw new Error(outcome.status);
          expect(outcome.answers.length).toBeGreaterThan(0);
          for (const { portions, state } of outcome.answers)
            for (const { ingredient, massG } of portions) {
              const most = ceilingOf(ingredient, styleId);
              if (most !== null)
                expect(massG.nominal / state.massG, ingredient.id).toBeLessThanOrEqual(most * 1.0001);
            }
        },
      ),
      { numRuns: process.env.YGRANA_TORTURE ? 100 : 12, seed: 4 },
    );
  });

  it('a style holds what it is nothing without, where it is on hand', () => {
    const hand = [
      ...[
        'egg_yolk_past',
        'sunflower',
        'lemon_juice',
        'mustard_dijon',
        'salt_table',
        'water',
        'garlic',
        'mayo_full',
      ],
      ...[
        'blue_cheese',
        'soured_cream',
        'tahini',
        'yoghurt_whole',
        'avocado',
        'parsley',
        'ketchup',
        'buttermilk',
      ],
      ...['soy_sauce', 'tofu_silken', 'vin_rice42', 'honey', 'peanut_butter', 'raspberry_puree', 'cream'],
    ];
    for (const [styleId, defining] of Object.entries(DEFINED_BY)) {
      const outcome = ask(styleId, hand);
      if (outcome.status !== 'answers') throw new Error(`${styleId}: ${outcome.status}`);
      const { portions, state } = outcome.answers[0]!;
      for (const { is, least } of defining) {
        const share =
          portions.reduce((sum, { ingredient, massG }) => sum + (is(ingredient) ? massG.nominal : 0), 0) /
          state.massG;
        expect(share, styleId).toBeGreaterThanOrEqual(least * 0.97);
      }
    }
  });

  it('the dressings that a style rests on keep to its ceilings and hold what defines it', async () => {
    const { STYLE_IDS, stylePortions } = await import('#core/palate');
    for (const id of STYLE_IDS)
      for (const portions of stylePortions(id, REFERENCE_CATALOGUE)) {
        const total = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
        const said = portions.map(({ ingredient }) => ingredient.id as string).join();
        for (const { ingredient, massG } of portions) {
          const most = ceilingOf(ingredient, id);
          if (most !== null)
            expect(massG.nominal / total, `${id} ${said} ${ingredient.id}`).toBeLessThanOrEqual(most * 1.001);
        }
        for (const { is, least } of DEFINED_BY[id] ?? []) {
          const share = portions.reduce(
            (sum, { ingredient, massG }) => sum + (is(ingredient) ? massG.nominal : 0),
            0,
          );
          expect(share / total, `${id} ${said}`).toBeGreaterThanOrEqual(least);
        }
      }
  });

  it('spices alone fill no jar, and say so', () => {
    expect(ask('tahini', ['cumin', 'black_pepper'])).toEqual({ status: 'not-enough', mostMl: 0 });
  });
});
