import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  measuringWith,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  type IngredientId,
} from '#core/ingredient';
import { DRESSED } from '#core/service';
import { sayDishReason } from '#words/dish';
import { windowsForDish } from './aim';
import { bestMomentFor, dishReasons, mainKindOf, minutesOf } from './answers';
import {
  DISH_MEASURES,
  dishAt,
  dressingForDish,
  pouredFrom,
  type DishThing,
  type PouredDressing,
} from './dish';
import { drawnLeft, preparationOf } from './preparation';
import { readDish } from './readDish';
import { SURFACES, surfaceOf } from './surfaces';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
const dish = (...lines: string[]): readonly DishThing[] =>
  readDish(lines.join('\n'), context).map(({ thing, text }) => {
    if (!thing) throw new Error(`“${text}” was not read.`);
    return thing;
  });
const thing = (id: string, massG: number, words = ''): DishThing => ({
  ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
  massG,
  preparation: preparationOf(words),
});
/** Salt 1.6 %, acid 1.3 %, oil three quarters. */
const VINAIGRETTE: PouredDressing = {
  gPerMl: 0.94,
  holds: { salt: 0.016, acid: 0.013, sweet: 0.01, fat: 0.7 },
  thickness: 'pours-like-cream',
  rawAllium: false,
};
const reasonsOf = (
  things: readonly DishThing[],
  minutes = minutesOf(bestMomentFor(things)),
  dressing = VINAIGRETTE,
) => {
  const ml = dressingForDish(things, 'normally').nominalMl;
  return dishReasons(things, dressing, minutes, dishAt(things, dressing, ml, minutes));
};
const codesOf = (...args: Parameters<typeof reasonsOf>) => reasonsOf(...args).map(({ code }) => code);

const IDS = REFERENCE_INGREDIENTS.filter(({ surface }) => surface !== undefined).map(({ id }) => id);
const thingArb = fc.record({
  id: fc.constantFrom(...IDS),
  massG: fc.double({ min: 1, max: 800, noNaN: true }),
  words: fc.constantFrom('', 'wet', 'spun dry', 'salted and drained', 'seeded', 'whole', 'warm', 'rinsed'),
});
const thingsArb = fc
  .array(thingArb, { minLength: 1, maxLength: 6 })
  .map((all) => all.map(({ id, massG, words }) => thing(id, massG, words)));
const fraction = (max: number) => fc.double({ min: 0, max, noNaN: true });
const dressingArb = fc.record({
  gPerMl: fc.double({ min: 0.9, max: 1.15, noNaN: true }),
  holds: fc.record({ salt: fraction(0.04), acid: fraction(0.03), sweet: fraction(0.2), fat: fraction(0.8) }),
  thickness: fc.constantFrom('runny', 'coats-a-spoon', 'stiff', null),
  rawAllium: fc.boolean(),
});
const minutesArb = fc.double({ min: 0, max: 1440, noNaN: true });
const pouredArb = fc.double({ min: 1, max: 500, noNaN: true });

describe('how much dressing a dish takes', () => {
  // 20 ml per 100 g of tender leaves, normally; common practice.
  it('is what common practice says of leaves, with its range', () => {
    expect(dressingForDish(dish('240 g tender leaves'), 'normally')).toEqual({
      nominalMl: 48,
      lowMl: 38.4,
      highMl: 60,
    });
  });
  it('is the sum of its things, and grows with every word', () => {
    fc.assert(
      fc.property(thingsArb, fc.double({ min: 0.1, max: 10, noNaN: true }), (things, times) => {
        const all = DRESSED.map((word) => dressingForDish(things, word));
        for (const { lowMl, nominalMl, highMl } of all) {
          expect(lowMl).toBeLessThanOrEqual(nominalMl + 1e-9);
          expect(nominalMl).toBeLessThanOrEqual(highMl + 1e-9);
        }
        expect(all[0]!.nominalMl).toBeLessThanOrEqual(all[1]!.nominalMl + 1e-9);
        expect(all[1]!.nominalMl).toBeLessThanOrEqual(all[2]!.nominalMl + 1e-9);
        const more = things.map((one) => ({ ...one, massG: one.massG * times }));
        expect(dressingForDish(more, 'normally').nominalMl).toBeCloseTo(all[1]!.nominalMl * times, 6);
        expect(dressingForDish([...things].reverse(), 'normally').nominalMl).toBeCloseTo(
          all[1]!.nominalMl,
          6,
        );
      }),
    );
  });
  it('refuses what is no weight', () => {
    for (const massG of [-1, NaN, Infinity])
      expect(() => dressingForDish([thing('rocket', massG)], 'normally')).toThrow(RangeError);
  });
});

describe('the bowl as time goes on', () => {
  it('loses nothing: every drop is on a thing, in it or at the bottom', () => {
    fc.assert(
      fc.property(thingsArb, dressingArb, pouredArb, minutesArb, (things, dressing, poured, minutes) => {
        const at = dishAt(things, dressing, poured, minutes);
        const water = at.drawnWaterG + at.wetWaterG;
        expect(at.clingsMl + at.drunkMl + at.poolMl).toBeCloseTo(poured + water, 6);
        const allG =
          things.reduce((sum, { massG }) => sum + massG, 0) + poured * dressing.gPerMl + at.wetWaterG;
        const poolG = (at.poolMl / (poured + water)) * (poured * dressing.gPerMl + water);
        expect(at.forkfulG + poolG).toBeCloseTo(allG, 5);
        for (const measure of DISH_MEASURES) {
          expect(at.forkful[measure]).toBeGreaterThanOrEqual(0);
          expect(at.forkful[measure]).toBeLessThanOrEqual(1);
          const shares = at.from[measure].map(({ share }) => share);
          if (shares.length > 0) expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        }
      }),
    );
  });

  it('draws more water and drinks more as it stands, never more water than there is', () => {
    fc.assert(
      fc.property(
        thingsArb,
        dressingArb,
        pouredArb,
        minutesArb,
        minutesArb,
        (things, dressing, poured, a, b) => {
          const [early, late] = [Math.min(a, b), Math.max(a, b)].map((minutes) =>
            dishAt(things, dressing, poured, minutes),
          );
          expect(late!.drawnWaterG).toBeGreaterThanOrEqual(early!.drawnWaterG - 1e-9);
          expect(late!.drunkMl).toBeGreaterThanOrEqual(early!.drunkMl - 1e-9);
          const waterG = things.reduce(
            (sum, { ingredient, massG }) => sum + massG * ingredient.composition.water,
            0,
          );
          expect(late!.drawnWaterG).toBeLessThanOrEqual(waterG + 1e-9);
        },
      ),
    );
  });

  it('tastes on plain dry leaves, at once, as it does from the spoon', () => {
    const things = dish('240 g tender leaves, spun dry');
    const at = dishAt(things, VINAIGRETTE, 48, 0);
    for (const measure of DISH_MEASURES)
      expect(at.asDressing[measure] / VINAIGRETTE.holds[measure]).toBeCloseTo(1, 1);
  });

  /** Worked by hand: 100 g of feta at 2.33 % and 150 g of leaves at 0.05 %, 45 ml of 0.94 g at 1.6 %, all of it on them. */
  it('is the salt that lies in the bowl, divided by what lies in it', () => {
    const things = [thing('mixed_leaves', 150, 'spun dry'), thing('feta', 100)];
    const at = dishAt(things, VINAIGRETTE, 40, 0);
    expect(at.poolMl).toBe(0);
    const saltG = 100 * 0.0233 + 150 * 0.0005 + 40 * 0.94 * 0.016;
    expect(at.forkful.salt).toBeCloseTo(saltG / (250 + 40 * 0.94), 6);
  });

  it('is saltier with every gram of feta, and weaker with every drop of water', () => {
    const salt = (fetaG: number) =>
      dishAt([thing('mixed_leaves', 200), thing('feta', fetaG)], VINAIGRETTE, 40, 0).asDressing.salt;
    expect(salt(30)).toBeGreaterThan(salt(0));
    expect(salt(90)).toBeGreaterThan(salt(30));
    const wet = (words: string) => dishAt([thing('mixed_leaves', 200, words)], VINAIGRETTE, 40, 0);
    expect(wet('wet').asDressing.salt).toBeLessThan(wet('spun dry').asDressing.salt);
    expect(wet('spun dry').wetWaterG).toBe(0);
  });

  it('holds what a cook calls normal: hardly any of it runs to the bottom by the time it is eaten', () => {
    for (const id of IDS) {
      const things = [thing(id, 300, 'spun dry')];
      const { nominalMl } = dressingForDish(things, 'normally');
      if (nominalMl === 0) continue;
      const { poolMl } = dishAt(things, VINAIGRETTE, nominalMl, minutesOf(bestMomentFor(things)));
      expect(poolMl / nominalMl, id).toBeLessThan(0.15);
    }
  });

  it('refuses no dressing and no time', () => {
    const things = dish('100 g rocket');
    for (const poured of [0, -1, NaN])
      expect(() => dishAt(things, VINAIGRETTE, poured, 0)).toThrow(RangeError);
    for (const minutes of [-1, NaN])
      expect(() => dishAt(things, VINAIGRETTE, 10, minutes)).toThrow(RangeError);
  });
});

describe('what a cook does about it', () => {
  it('holds back what the things bring', () => {
    const things = dish('150 g tender leaves', '90 g feta', '40 g olives');
    const brings = reasonsOf(things).filter((reason) => reason.code === 'brings');
    expect(brings.map(({ measure }) => measure)).toContain('salt');
    const feta = brings.find(({ measure, index }) => measure === 'salt' && index === 1)!;
    expect(feta.share).toBeGreaterThan(0.35);
    expect(feta.lessShare).toBe(1);
    const honeyed = { ...VINAIGRETTE, holds: { ...VINAIGRETTE.holds, sweet: 0.03 } };
    const sweet = reasonsOf(dish('300 g grated carrot', '60 g raisins'), 5, honeyed).filter(
      (reason) => reason.code === 'brings',
    );
    expect(sweet.map(({ measure }) => measure)).toContain('sweet');
    expect(codesOf(dish('240 g tender leaves'))).not.toContain('brings');
  });
  it('knows what drinks, what gives water and what goes limp', () => {
    expect(codesOf(dish('400 g pasta'))).toEqual(expect.arrayContaining(['half-now', 'salt-again']));
    expect(codesOf(dish('300 g potatoes, warm'))).toContain('half-now');
    expect(codesOf(dish('240 g tender leaves'))).not.toContain('half-now');
    const water = codesOf(dish('400 g cucumber'), 30);
    expect(water).toContain('seed');
    expect(codesOf(dish('400 g cucumber, seeded'), 60)).toContain('salt-and-drain');
    expect(codesOf(dish('400 g white cabbage'), 60)).toContain('salt-and-drain');
    expect(codesOf(dish('400 g cucumber, seeded and salted'), 60)).not.toContain('salt-and-drain');
    expect(codesOf(dish('240 g tender leaves, wet'))).toContain('spin-dry');
    expect(codesOf(dish('240 g tender leaves'), 30)).toContain('limp');
    expect(codesOf(dish('240 g kale'), 30)).not.toContain('limp');
    expect(codesOf(dish('300 g warm potatoes'), 0, { ...VINAIGRETTE, thickness: 'spoonable' })).toContain(
      'warm-runs',
    );
    expect(codesOf(dish('200 g cooked rice'))).toContain('time-and-cold');
    expect(codesOf(dish('60 g walnuts', '100 g croutons'))).not.toContain('time-and-cold');
  });
  it('goes by what most of it is', () => {
    expect(mainKindOf(dish('200 g rocket', '300 g white cabbage'))).toBe('slaw');
    expect(bestMomentFor(dish('200 g rocket', '300 g white cabbage'))).toBe('half-hour');
    expect(mainKindOf(dish('20 g walnuts'))).toBeNull();
    expect(bestMomentFor([])).toBe('at-once');
  });
  it('is said in a sentence that names the thing', () => {
    const things = dish(
      '150 g tender leaves, wet',
      '90 g feta',
      '200 g tomatoes',
      '200 g cooked pasta',
      '100 g white cabbage',
    );
    for (const minutes of [0, 30, 720])
      for (const dressing of [VINAIGRETTE, { ...VINAIGRETTE, thickness: 'spoonable' as const }])
        for (const reason of reasonsOf(things, minutes, dressing)) {
          const said = sayDishReason(reason, (index) => things[index]!.ingredient.name);
          expect(said).toMatch(/^[A-Z0-9].*[.]$/);
          expect(said).not.toMatch(/NaN|undefined|Infinity/);
        }
  });
});

describe('a style aimed at a dish', () => {
  const windows = {
    salt: { low: 0.012, high: 0.02 },
    fat: { low: 0.5, high: 0.75 },
    ratio: { low: 2, high: 3 },
  };
  const aimedAt = (things: readonly DishThing[], minutes = 0) => {
    const ml = dressingForDish(things, 'normally').nominalMl;
    return windowsForDish(windows, VINAIGRETTE, dishAt(things, VINAIGRETTE, ml, minutes));
  };
  it('leaves out what the things bring, and puts on top what they drink', () => {
    const feta = aimedAt(dish('200 g tender leaves', '60 g feta'));
    expect(feta.salt!.high).toBeLessThan(windows.salt.high);
    const rice = aimedAt(dish('400 g cooked rice, unsalted'), 60);
    expect(rice.salt!.low).toBeGreaterThan(windows.salt.low);
    // Richer it only gets by more of it; a ratio is the dressing's own.
    expect(rice.fat).toEqual(windows.fat);
    expect(rice.ratio).toEqual(windows.ratio);
  });
  it('lands the forkful where the style is: a dressing moved as the windows are arrives in the middle', () => {
    const things = dish('200 g tender leaves', '40 g feta', '200 g pasta');
    const ml = dressingForDish(things, 'normally').nominalMl;
    const moved = windowsForDish(windows, VINAIGRETTE, dishAt(things, VINAIGRETTE, ml, 10)).salt!;
    const salt = (moved.low + moved.high) / 2;
    const at = dishAt(things, { ...VINAIGRETTE, holds: { ...VINAIGRETTE.holds, salt } }, ml, 10);
    expect(at.asDressing.salt).toBeGreaterThan(windows.salt.low);
    expect(at.asDressing.salt).toBeLessThan(windows.salt.high);
  });
  it('never asks for less than nothing, nor for a window that cannot be met', () => {
    fc.assert(
      fc.property(thingsArb, minutesArb, (things, minutes) => {
        const ml = Math.max(1, dressingForDish(things, 'well').nominalMl);
        const moved = windowsForDish(windows, VINAIGRETTE, dishAt(things, VINAIGRETTE, ml, minutes));
        for (const { low, high } of [moved.salt!, moved.fat!]) {
          expect(low).toBeGreaterThanOrEqual(0);
          expect(high).toBeGreaterThan(low);
          expect(high).toBeLessThanOrEqual(1);
        }
      }),
    );
  });
});

describe('a dish that is typed', () => {
  it('is read like a formula, with what was done to each', () => {
    const lines = readDish(
      '# Terrace\n240 g tender leaves, washed and spun\n\n2 cucumbers, seeded\nmoon dust\n1 cup cooked rice',
      context,
    );
    expect(lines.map(({ line, thing: one }) => [line, one?.ingredient.id ?? null])).toEqual([
      [2, 'mixed_leaves'],
      [4, expect.stringContaining('cucumber')],
      [5, null],
      [6, 'rice_white'],
    ]);
    expect(lines[0]!.thing!.preparation).toMatchObject({ dry: true, wet: false });
    expect(lines[1]!.thing!.preparation.seeded).toBe(true);
    expect(lines[3]!.thing!.massG).toBeGreaterThan(120);
  });
  it('knows the words of the kitchen', () => {
    expect(preparationOf('salted and drained')).toMatchObject({ salted: true });
    expect(preparationOf('in salted water')).toMatchObject({ salted: false });
    expect(preparationOf('unsalted')).toMatchObject({ unsalted: true, salted: false });
    expect(preparationOf('still warm, cooked without salt')).toMatchObject({ warm: true, unsalted: true });
    expect(drawnLeft(preparationOf('seeded, salted'))).toBeLessThan(drawnLeft(preparationOf('seeded')));
  });
  it('has a surface for each of its things, with a tag, and more than a hundred of them', () => {
    expect(IDS.length).toBeGreaterThan(200);
    for (const { clingMl, drinkMl, drawnMl, mlPer100G, tag } of Object.values(SURFACES)) {
      expect(tag).toMatch(/common practice|estimate/);
      for (const value of [clingMl, drinkMl, drawnMl, ...Object.values(mlPer100G)])
        expect(value).toBeGreaterThanOrEqual(0);
    }
    for (const one of REFERENCE_INGREDIENTS) expect(surfaceOf(one)).toBeDefined();
  });
  it('pours what lies in the jar', () => {
    const portion = (id: string, nominal: number) => ({
      ingredient: REFERENCE_CATALOGUE.get(id as IngredientId)!,
      massG: { nominal },
    });
    const poured = pouredFrom(
      [portion('olive_ev', 90), portion('vin_redwine6', 30), portion('salt_table', 2)],
      null,
    )!;
    expect(poured.holds.salt).toBeCloseTo(2 / 122, 3);
    expect(poured.holds.fat).toBeCloseTo(90 / 122, 2);
    expect(poured.holds.acid).toBeCloseTo((30 * 0.06) / 122, 2);
    expect(pouredFrom([], null)).toBeNull();
  });
});
