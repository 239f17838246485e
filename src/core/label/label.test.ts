/**
 * Two hundred invented dressings, turned into labels with the legal rounding; a third of them of compositions that are
 * up to 5 % off, so that the maker's mayonnaise is not ours. The bounds stood here before the fit was run on them.
 */
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE, type Ingredient, type IngredientId } from '#core/ingredient';
import { SeededRandom } from '#core/numeric';
import { lpText } from '../numeric/testing';
import { fitLabel } from './fitLabel';
import { NUTRIENTS, printedPer, roundedAs, type Nutrient, type Printed } from './printed';
import { labelProgram, type LabelProgram } from './labelProgram';
import { PER_100_G } from './printed';
import { readLabel, type LabelItem } from './readLabel';

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

  it('has the least and the most of each thing that a second solver has, for 100 labels', async () => {
    const highs = await loadHighs();
    const theirs = (program: LabelProgram, objective: readonly number[]): number => {
      const found = highs.solve(lpText({ objective, rows: program.rows, upper: program.upper }));
      if (found.Status !== 'Optimal') throw new Error(found.Status);
      return found.ObjectiveValue;
    };
    for (let seed = 1001; seed <= 1100; seed++) {
      const { things, printed } = invented(seed);
      const list = items(things, Math.round(things[0]!.g));
      const { answers } = fitLabel(list, printed);
      const program = labelProgram(list, printed, PER_100_G);
      const misfit = theirs(program, program.misfit);
      expect(answers[0]!.misfit, `seed ${seed}`).toBeCloseTo(misfit, 4);
      const held = {
        ...program,
        rows: [...program.rows, { coefficients: program.misfit, high: misfit + 1e-5 }],
      };
      const i = seed % things.length;
      const one = (sign: 1 | -1): number[] => program.misfit.map((_, k) => (k === i ? sign : 0));
      const { low, high } = answers[0]!.additions[i]!;
      expect(Math.abs(low - theirs(held, one(1))), `seed ${seed} low`).toBeLessThan(0.02);
      expect(Math.abs(high + theirs(held, one(-1))), `seed ${seed} high`).toBeLessThan(0.02);
    }
  }, 120_000);

  const listOf = (...ids: string[]): readonly LabelItem[] =>
    ids.map((id) => ({ ingredient: of(id as IngredientId), text: id, printed: null, additive: null }));

  it('answers as a cook would have made it, while the interval says all that the label allows', () => {
    const { answers } = fitLabel(listOf('rapeseed', 'water', 'vin_whitewine6', 'salt_table'), { fatG: 50 });
    for (const { additions } of answers) expect(additions[3]!.gPer100G).toBeLessThanOrEqual(3.5);
    expect(answers[0]!.additions[3]!.high).toBeGreaterThan(5);
  });

  it('says what a taster would notice between its answers', () => {
    const { answers } = fitLabel(listOf('olive_ev', 'vin_whitewine6', 'honey'), {});
    expect(answers[0]!.differs).toEqual([]);
    const leastOil = answers.find(
      ({ additions, differs }) =>
        differs.length > 0 && additions[0]!.gPer100G < answers[0]!.additions[0]!.gPer100G,
    )!;
    expect(leastOil.differs).toContainEqual({ measure: 'acid', steps: expect.any(Number) });
    expect(leastOil.differs.find(({ measure }) => measure === 'acid')!.steps).toBeGreaterThan(1);
  });

  // By hand: 11 g of fat in 15 ml that weigh 14.4 g (250 ml, 240 g net) are 10.5 to 11.5 of 14.18 to 14.62 g.
  it('takes figures of a serving, of 100 ml and of a bottle whose weight is known', () => {
    const per = printedPer('ml', 15, { ml: 250, g: 240 });
    expect(per.lowG).toBeCloseTo(14.184, 3);
    expect(per.highG).toBeCloseTo(14.616, 3);
    expect(printedPer('g', 30, null)).toEqual({ lowG: 30, highG: 30, serving: true });
    expect(printedPer('ml', null, null)).toEqual({ lowG: 91, highG: 120, serving: false });
    const { answers } = fitLabel(listOf('rapeseed', 'vin_whitewine6'), { fatG: 11 }, per);
    const { low, high } = answers[0]!.additions[0]!;
    // δ makes 71.8 to 81.1 g of fat in 100 g a little wider.
    expect(low).toBeGreaterThan(66);
    expect(high).toBeLessThan(88);
    expect(() => printedPer('g', 0, null)).toThrow(RangeError);
  });

  it('lets what is said to be less than 2 % stand in any order', () => {
    const read = readLabel(
      'water, honey, contains less than 2 % of: salt, Dijon mustard, xanthan gum',
      REFERENCE_CATALOGUE,
    );
    expect(read.map(({ printed, inAnyOrder = false }) => [printed, inAnyOrder])).toEqual([
      [null, false],
      [null, false],
      [{ low: 0, high: 2 }, false],
      [{ low: 0, high: 2 }, true],
      [{ low: 0, high: 2 }, true],
    ]);
    const { answers } = fitLabel(read, { saltG: 0.2 });
    expect(answers[0]!.additions[2]!.low).toBeLessThan(answers[0]!.additions[3]!.high);
    expect(answers[0]!.additions[3]!.high).toBeCloseTo(2, 3);
    expect(readLabel('water, honey, contains 2 % or less of salt, sugar', REFERENCE_CATALOGUE)).toHaveLength(
      4,
    );
  });

  const idsOf = (text: string): readonly string[] =>
    readLabel(text, REFERENCE_CATALOGUE).map(({ ingredient, additive }) => ingredient?.id ?? additive ?? '');

  it('takes a thing for itself, whatever its brackets say is in it', () => {
    const mustard = 'Dijon mustard (water, mustard seeds, vinegar, salt, preservative (E224))';
    expect(idsOf(`rapeseed oil, ${mustard}, sunflower oil (antioxidant: E319), salt`)).toEqual([
      ...['rapeseed', 'mustard_dijon', 'sunflower', 'salt_table'],
    ]);
    expect(idsOf('balsamic vinegar of Modena (wine vinegar, grape must, colour: E150d)')).toEqual([
      'vin_balsamic',
    ]);
    // Who is allergic to it is no part of it; what it is for may stand behind it.
    expect(idsOf('whey powder (milk), Parmesan (milk), vitamin C (antioxidant), thickener (pectin)')).toEqual(
      [...['unknown', 'parmesan', 'antioxidant', 'xanthan']],
    );
  });

  it('takes a common name for what bears it, and what is dried for its powder', () => {
    expect(idsOf('mustard, herbs, dried garlic, dried parsley')).toEqual([
      ...['mustard_dijon', 'italian_herbs', 'garlic_powder', 'parsley_dry'],
    ]);
  });

  it('reads a strength or a fat content as none of the bottle', () => {
    const shares = (text: string) => readLabel(text, REFERENCE_CATALOGUE).map(({ printed }) => printed);
    expect(shares('wine vinegar (6 % acidity), cream (fat: 30%), cider vinegar 5% acid')).toEqual([
      ...[null, null, null],
    ]);
    // The share of the mustard, not of its seeds; with both brackets.
    expect(shares('mustard (25 %) (water, mustard seed 12 %)')).toEqual([{ low: 24.5, high: 25.5 }]);
    expect(shares('tomato paste [28.0%], water')).toEqual([{ low: 27.95, high: 28.05 }, null]);
  });

  // By hand: 70 of oil and 20 of relish leave 10 of honey at most, more than any salt in the relish.
  it('orders what is made of others as one, and its parts among themselves', () => {
    const read = readLabel(
      'rapeseed oil (70 %), house relish (vinegar 40 %, sugar, salt) 20 %, honey',
      REFERENCE_CATALOGUE,
    );
    expect(read.map(({ of }) => of?.text ?? null)).toEqual([
      ...[null, 'house relish', 'house relish', 'house relish', null],
    ]);
    const { answers, impossible } = fitLabel(read, {});
    expect(impossible).toEqual([]);
    const [oil, vinegar, sugar, salt, honey] = answers[0]!.additions.map(({ gPer100G }) => gPer100G);
    expect(vinegar! + sugar! + salt!).toBeGreaterThanOrEqual(19.5 - 1e-3);
    expect(vinegar! + sugar! + salt!).toBeLessThanOrEqual(20.5 + 1e-3);
    expect(vinegar).toBeGreaterThanOrEqual(sugar! - 1e-3);
    expect(sugar).toBeGreaterThanOrEqual(salt! - 1e-3);
    // More honey than salt in the relish: only the whole of that comes before it.
    expect(honey).toBeGreaterThan(salt!);
    expect(oil! + vinegar! + sugar! + salt! + honey!).toBeGreaterThan(98);
  });

  it('refuses a figure that is none', () => {
    expect(() => fitLabel([], { fatG: NaN })).toThrow(RangeError);
    expect(() => fitLabel([], { fatG: -1 })).toThrow(RangeError);
  });
});
