import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, REFERENCE_INGREDIENTS, type IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { safetyOf } from '#core/safety';
import { pouredFrom, type DishThing } from './dish';
import { dishAt } from './dish';
import { dishReasons } from './answers';
import { safetyWithDish } from './dishSafety';
import { preparationOf } from './preparation';

const part = (id: string, massG: number) => ({
  ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
  massG: exactly(massG),
  form: '',
});
const thing = (id: string, massG: number, words = ''): DishThing => ({
  ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
  massG,
  preparation: preparationOf(words),
});
const VINAIGRETTE = [part('vin_redwine6', 30), part('olive_ev', 90), part('salt_table', 2)];
const judged = (
  dressing: ReturnType<typeof part>[],
  things: readonly DishThing[],
  unread: readonly string[] = [],
) => {
  const { allergens, cautions } = safetyWithDish(dressing, safetyOf(dressing), things, unread);
  return {
    allergens: allergens.eu14.map(({ allergen }) => allergen),
    cautions: cautions.map(({ code }) => code),
  };
};

describe('the dish by the one procedure of safety', () => {
  it('brings its allergens and what hurts somebody to those of the dressing', () => {
    const { allergens, cautions } = judged(VINAIGRETTE, [thing('feta', 80), thing('walnuts', 30)]);
    expect(allergens.join(' ')).toMatch(/milk.*nuts/);
    expect(cautions).toContain('cold_holding');
    expect(judged(VINAIGRETTE, [thing('bean_sprouts', 80)]).cautions[0]).toBe('sprouts');
  });
  it('counts a thing that could not be read as one that may hold anything', () => {
    expect(judged(VINAIGRETTE, [thing('romaine', 200)], ['moon dust']).cautions).toContain(
      'allergen_unknown',
    );
  });
  it('says of the leaves of a bowl nothing that is true of a jar only', () => {
    const { cautions } = judged(VINAIGRETTE, [thing('basil', 30), thing('tomato_fresh', 300)]);
    expect(cautions).not.toContain('infused_oil');
    expect(judged([...VINAIGRETTE, part('garlic', 8)], [thing('romaine', 200)]).cautions).toEqual(
      expect.arrayContaining(safetyOf([...VINAIGRETTE, part('garlic', 8)]).cautions.map(({ code }) => code)),
    );
  });
  it('never says less than the dressing alone, whatever it is poured over', () => {
    const ids = REFERENCE_INGREDIENTS.map(({ id }) => id);
    const some = fc.array(fc.tuple(fc.constantFrom(...ids), fc.double({ min: 0.1, max: 400, noNaN: true })), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(some, some, (inJar, inBowl) => {
        const dressing = inJar.map(([id, massG]) => part(id, massG));
        const alone = safetyOf(dressing);
        const dressed = judged(
          dressing,
          inBowl.map(([id, massG]) => thing(id, massG)),
        );
        for (const { allergen } of alone.allergens.eu14) expect(dressed.allergens).toContain(allergen);
        for (const { code } of alone.cautions) expect(dressed.cautions).toContain(code);
      }),
    );
  });
});

describe('a warm dish', () => {
  const codes = (...dressing: ReturnType<typeof part>[]) => {
    const poured = pouredFrom(dressing, 'spoonable')!;
    const potatoes = [thing('potato_waxy', 500, 'warm')];
    return dishReasons(potatoes, poured, 30, dishAt(potatoes, poured, 150, 30)).map(({ code }) => code);
  };
  it('makes cream run, and raw garlic smell more and bite less', () => {
    expect(codes(...VINAIGRETTE, part('garlic', 3))).toEqual(
      expect.arrayContaining(['warm-runs', 'warm-mellows']),
    );
    expect(codes(...VINAIGRETTE)).not.toContain('warm-mellows');
  });
});
