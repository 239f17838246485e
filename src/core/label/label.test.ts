/**
 * Two hundred invented dressings, turned into labels with the legal rounding; a third of them of compositions that are
 * up to 5 % off, so that the maker's mayonnaise is not ours. The bounds stood here before the fit was run on them.
 */
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { SeededRandom } from '#core/numeric';
import { fitLabel, NUTRIENTS, roundedAs, type Nutrient, type Printed } from './fitLabel';
import { readLabel } from './readLabel';

const POOL: readonly IngredientId[] = [
  ...['rapeseed', 'sunflower', 'olive_ev', 'water', 'vin_whitewine6', 'vin_cider5', 'lemon_juice', 'honey'],
  ...[
    'sugar_white',
    'salt_table',
    'mustard_dijon',
    'yoghurt_whole',
    'mayo_full',
    'soy_sauce',
    'tahini',
    'egg_yolk',
  ],
] as IngredientId[];
const COUNT = Number(process.env.LABELS ?? 200);
const of = (id: IngredientId): Ingredient => REFERENCE_CATALOGUE.get(id)!;
/** The same equations as a label's, apart from those under test. */
const IN_ONE: Readonly<Record<Nutrient, (one: Ingredient) => number>> = {
  energyKcal: (one) => one.energyKcalPer100G / 100,
  fatG: (one) => one.composition.fat,
  carbohydrateG: ({ composition: c }) =>
    c.sucrose + c.glucose + c.fructose + c.lactose + Math.max(0, c.otherCarbohydrate - c.fibre),
  sugarsG: ({ composition: c }) => c.sucrose + c.glucose + c.fructose + c.lactose,
  proteinG: (one) => one.composition.protein,
  saltG: (one) => one.composition.salt,
};

interface Invented {
  readonly things: readonly { readonly ingredient: Ingredient; readonly g: number }[];
  readonly label: string;
  readonly printed: Printed;
}
function invented(seed: number): Invented {
  const random = new SeededRandom(seed);
  const left = [...POOL];
  const count = 4 + Math.floor(random.next() * 5);
  const shares = Array.from({ length: count }, () => Math.log(1 - random.next()) ** 2);
  const total = shares.reduce((sum, share) => sum + Math.abs(share), 0);
  const things = shares
    .map((share) => ({
      ingredient: of(left.splice(Math.floor(random.next() * left.length), 1)[0]!),
      g: (Math.abs(share) / total) * 100,
    }))
    .sort((a, b) => b.g - a.g);
  const isShifted = seed % 3 === 0;
  const shift = things.map(() => (isShifted ? 0.95 + 0.1 * random.next() : 1));
  const printed = Object.fromEntries(
    NUTRIENTS.map((nutrient) => {
      const is = things.reduce(
        (sum, { ingredient, g }, i) => sum + g * IN_ONE[nutrient](ingredient) * shift[i]!,
        0,
      );
      return [nutrient, asPrinted(nutrient, is)];
    }),
  );
  const label = things
    .map(
      ({ ingredient, g }, i) =>
        `${ingredient.name.replace(/,.*$/, '')}${i === 0 ? ` (${Math.round(g)} %)` : ''}`,
    )
    .join(', ');
  return { things, label, printed };
}
/** As the law has it rounded, from memory. */
function asPrinted(nutrient: Nutrient, is: number): number {
  if (nutrient === 'energyKcal') return Math.round(is);
  if (nutrient === 'saltG') return is <= 0.0125 ? 0 : is < 1 ? Number(is.toFixed(2)) : Number(is.toFixed(1));
  return is <= 0.5 ? 0 : is < 10 ? Number(is.toFixed(1)) : Math.round(is);
}

const items = (things: Invented['things'], percent: number) =>
  things.map(({ ingredient }, i) => ({
    ...{ ingredient, text: ingredient.name, additive: null },
    printed: i === 0 ? { low: percent - 0.5, high: percent + 0.5 } : null,
  }));

describe('a label worked backwards', () => {
  it('finds the amounts within its own intervals, for 95 of 100 things, and close where they are narrow', () => {
    let [all, inside, narrow, close] = [0, 0, 0, 0];
    for (let seed = 1; seed <= COUNT; seed++) {
      const { things, printed } = invented(seed);
      const { answers, impossible } = fitLabel(items(things, Math.round(things[0]!.g)), printed);
      expect(impossible, `seed ${seed}`).toEqual([]);
      for (const [i, { g }] of things.entries()) {
        const { gPer100G, low, high } = answers[0]!.additions[i]!;
        const isInside = g >= low - 1e-4 && g <= high + 1e-4;
        all += 1;
        inside += Number(isInside);
        const near = Math.max(0.1 * g, 0.3);
        if (high - low > near) continue;
        narrow += 1;
        close += Number(Math.abs(gPer100G - g) <= near);
      }
    }
    expect(inside / all).toBeGreaterThanOrEqual(0.95);
    expect(narrow).toBeGreaterThan(COUNT / 10);
    expect(close / narrow).toBeGreaterThanOrEqual(0.95);
  }, 120_000);

  it('reads names, percentages, functions and things made of others', () => {
    const read = (text: string) =>
      readLabel(text, REFERENCE_CATALOGUE).map(({ ingredient, printed, additive, text: said }) => [
        ingredient?.id ?? `? ${said}`,
        printed ? [printed.low, printed.high] : null,
        additive,
      ]);
    expect(read('Ingredients: Rapeseed oil (62.5 %), water, honey 4%.')).toEqual([
      ['rapeseed', [62.45, 62.55], null],
      ['water', null, null],
      ['honey', [3.5, 4.5], null],
    ]);
    expect(
      read('spirit vinegar, antioxidant (calcium disodium EDTA), colour: carotenes, E415'),
    ).toMatchObject([
      [expect.stringMatching(/^vin_/), null, null],
      [expect.any(String), null, 'antioxidant'],
      [expect.any(String), null, 'colour'],
      ['xanthan', null, 'thickener'],
    ]);
    expect(read('house sauce (sunflower oil, egg yolk, salt), moon dust')).toEqual([
      ['sunflower', null, null],
      ['egg_yolk', null, null],
      ['salt_table', null, null],
      ['? moon dust', null, 'unknown'],
    ]);
    expect(read('')).toEqual([]);
  });

  // By hand: 61 g is printed for 60.5 to 61.5; 1.9 g of salt for 1.85 to 1.95; 0 of fat for up to half a gram.
  it('takes each figure for what rounds to it', () => {
    expect(roundedAs('fatG', 61)).toEqual({ low: 60.5, high: 61.5 });
    expect(roundedAs('saltG', 1.9)).toEqual({ low: expect.closeTo(1.85, 9), high: expect.closeTo(1.95, 9) });
    expect(roundedAs('fatG', 0)).toEqual({ low: 0, high: 0.5 });
    expect(roundedAs('sugarsG', 3.2)).toEqual({
      low: expect.closeTo(3.15, 9),
      high: expect.closeTo(3.25, 9),
    });
  });

  it('gives several answers where the label leaves room, all of them by its order', () => {
    const two = [
      of('olive_ev' as IngredientId),
      of('sunflower' as IngredientId),
      of('vin_cider5' as IngredientId),
    ];
    const { answers } = fitLabel(
      two.map((ingredient) => ({ ingredient, text: '', printed: null, additive: null })),
      { fatG: 75 },
    );
    expect(answers.length).toBe(3);
    for (const { additions } of answers) {
      const g = additions.map(({ gPer100G }) => gPer100G);
      for (let i = 1; i < g.length; i++) expect(g[i]!).toBeLessThanOrEqual(g[i - 1]! + 1e-6);
    }
    expect(answers[1]!.additions[0]!.gPer100G).not.toBeCloseTo(answers[2]!.additions[0]!.gPer100G, 0);
  });

  it('refuses a figure that is none', () => {
    expect(() => fitLabel([], { fatG: NaN })).toThrow(RangeError);
    expect(() => fitLabel([], { fatG: -1 })).toThrow(RangeError);
  });
});
