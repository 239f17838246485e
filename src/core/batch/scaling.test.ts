import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mixedVolumeMlPerG } from '#core/composition';
import type { IngredientId } from '#core/ingredient';
import { PALATE_KEYS } from '#core/palate';
import { exactly } from '#core/quantity';
import { judgePortions } from '#core/reckoning';
import { heldBackOf, USUAL_HOLD_BACK } from './holdBack';
import { batchSize, ordersByVersion, type BatchTarget } from './target';
import { answerOf, lineOf, planOf, thing, VINAIGRETTE } from './testing';

const target = fc.oneof(
  fc.record({
    kind: fc.constant('volume' as const),
    volumeMl: fc.double({ min: 50, max: 200_000, noNaN: true }),
  }),
  fc.record({ kind: fc.constant('mass' as const), massG: fc.double({ min: 50, max: 200_000, noNaN: true }) }),
  fc.record({
    kind: fc.constant('portions' as const),
    portions: fc.integer({ min: 1, max: 4000 }),
    portionMl: fc.double({ min: 5, max: 60, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('jars' as const),
    jars: fc.integer({ min: 1, max: 300 }),
    jarMl: fc.constantFrom(200, 250, 500),
    fillShare: fc.double({ min: 0.5, max: 1, noNaN: true }),
  }),
);
const someLines = fc
  .subarray(['vin_redwine6', 'salt_sea_fine', 'mustard_dijon', 'honey', 'garlic', 'olive_ev', 'water'], {
    minLength: 2,
  })
  .chain((ids) =>
    fc.tuple(
      ...ids.map((id) => fc.double({ min: 0.5, max: 400, noNaN: true }).map((massG) => lineOf(id, massG))),
    ),
  );

describe('scaling a version', () => {
  it('keeps every ratio and every measure of the palate, whatever is asked for', () => {
    fc.assert(
      fc.property(someLines, target, fc.double({ min: 0, max: 0.3, noNaN: true }), (lines, wanted, loss) => {
        const size = batchSize(lines, wanted, loss, () => null);
        if (size.status !== 'sized') throw new Error(size.problem.code);
        const palate = (factor: number) =>
          judgePortions(
            lines.map(({ ingredient, form, massG }) => ({
              ingredient,
              form,
              massG: exactly(massG * factor),
            })),
          ).palate;
        const [before, after] = [palate(1), palate(size.scaleFactor)];
        for (const key of PALATE_KEYS) {
          const [from, to] = [before[key].value, after[key].value];
          if (from === null) expect(to).toBeNull();
          else expect(to! / from || 1).toBeCloseTo(1, 9);
        }
        expect(size.yieldMl).toBeCloseTo(size.madeMl * (1 - loss), 6);
      }),
      { numRuns: 150 },
    );
  });

  it('makes on top what tools and walls keep', () => {
    const size = batchSize(VINAIGRETTE, { kind: 'volume', volumeMl: 9800 }, 0.02, () => null);
    expect(size).toMatchObject({ status: 'sized' });
    if (size.status === 'sized') expect([size.madeMl, size.yieldMl].map(Math.round)).toEqual([10_000, 9800]);
  });

  it('says the same amount in volume, portions and jars', () => {
    const factorOf = (wanted: BatchTarget): number => {
      const size = batchSize(VINAIGRETTE, wanted, 0, () => null);
      return size.status === 'sized' ? size.scaleFactor : NaN;
    };
    const volume = factorOf({ kind: 'volume', volumeMl: 6000 });
    expect(factorOf({ kind: 'portions', portions: 200, portionMl: 30 })).toBeCloseTo(volume, 9);
    expect(factorOf({ kind: 'jars', jars: 30, jarMl: 250, fillShare: 0.8 })).toBeCloseTo(volume, 9);
  });

  it('finds the limiting ingredient by itself, or takes the one it is told', () => {
    // By hand: vinegar 3030/30.3 = 100 fold, oil 4110/82.2 = 50 fold, salt unknown.
    const stock = new Map([
      ['vin_redwine6', 3030],
      ['olive_ev', 4110],
    ]);
    const ask = (id: string | null) =>
      batchSize(
        VINAIGRETTE,
        { kind: 'on-hand', ingredientId: id as never },
        0,
        (of) => stock.get(of) ?? null,
      );
    expect(ask(null)).toMatchObject({
      scaleFactor: 50,
      limiting: { ingredient: { id: 'olive_ev' }, onHandG: 4110 },
    });
    expect(ask('vin_redwine6')).toMatchObject({ scaleFactor: 100 });
    expect(ask('salt_sea_fine')).toMatchObject({ problem: { code: 'stock-unknown' } });
    expect(ask('honey')).toMatchObject({ problem: { code: 'not-in-it' } });
  });

  it('counts the same thing in two lines once, and none left as none', () => {
    const lines = [lineOf('olive_ev', 50), lineOf('olive_ev', 30, { id: 'later' }), lineOf('water', 20)];
    const ask = (grams: number) =>
      batchSize(lines, { kind: 'on-hand', ingredientId: null }, 0, (id) => (id === 'olive_ev' ? grams : 0));
    expect(ask(160)).toMatchObject({ scaleFactor: 2 });
    expect(ask(0)).toMatchObject({ status: 'cannot', problem: { code: 'none-left' } });
  });

  it('refuses nothing, and more than a kitchen can', () => {
    const code = (answer: ReturnType<typeof answerOf>) =>
      answer.status === 'cannot' ? answer.problem.code : 'planned';
    expect(code(answerOf({ lines: [] }))).toBe('nothing-in-it');
    expect(code(answerOf({ target: { kind: 'volume', volumeMl: 0 } }))).toBe('no-amount');
    expect(code(answerOf({ target: { kind: 'volume', volumeMl: 2e6 } }))).toBe('too-much');
    expect(() => batchSize(VINAIGRETTE, { kind: 'mass', massG: 1 }, 1, () => null)).toThrow(RangeError);
  });

  it('adds a day’s orders up by version', () => {
    const order = (formulaId: string, version: number, jars: number, jarMl: number) => ({
      formulaId,
      version,
      jars,
      jarMl,
      fillShare: 1,
    });
    expect(
      ordersByVersion([
        order('a', 1, 12, 250),
        order('b', 2, 2, 500),
        order('a', 1, 4, 500),
        order('c', 1, 0, 90),
      ]),
    ).toEqual([
      { formulaId: 'a', version: 1, volumeMl: 5000 },
      { formulaId: 'b', version: 2, volumeMl: 1000 },
    ]);
  });
});

describe('a twentyfold batch, by hand arithmetic', () => {
  const plan = planOf({
    target: { kind: 'mass', massG: 123.5 * 20 },
    tool: 'stick',
    scale: { readabilityG: 1, capacityG: 1500, vesselG: 400 },
  });

  it('is twenty times every weight', () => {
    expect(plan.lines.map(({ exactG }) => Number(exactG.toFixed(6)))).toEqual([606, 40, 120, 60, 1644]);
    expect(plan.massG).toBeCloseTo(2470, 6);
    const ml = VINAIGRETTE.reduce((sum, line) => sum + line.massG * mixedVolumeMlPerG(line.ingredient), 0);
    expect(plan.madeMl).toBeCloseTo(20 * ml, 6);
  });

  it('goes in two equal loads of the home stick blender, and pours the scale can carry', () => {
    // 2.6 l over 1.5 l at once: two loads; 822 g of oil in each, 1100 g fit beside the jug.
    expect(plan.loads).toHaveLength(2);
    expect(plan.loads[0]!.lines.map(({ massG }) => Number(massG.toFixed(6)))).toEqual([303, 20, 60, 30, 822]);
    expect(plan.loads.every(({ lines }) => lines.every(({ pours }) => pours.length === 1))).toBe(true);
  });

  it('costs what its packs cost, peel included', () => {
    const price = { price: 10, packMassG: 1000 };
    const stock = new Map([['garlic' as IngredientId, { onHandG: 45, price }]]);
    const priced = planOf({ target: { kind: 'mass', massG: 2470 }, tool: 'stick', stock });
    const garlic = priced.pullList.lines.find(({ ingredient }) => ingredient.id === 'garlic')!;
    // 60 g edible at a yield of 87 %: 69 g bought, 0.69 of money; 15 g are missing: one head.
    expect(garlic.asBoughtG).toBeCloseTo(60 / 0.87, 6);
    expect(garlic.cost).toBeCloseTo(0.6897, 4);
    expect([garlic.shortG, garlic.shortCount?.nominal]).toEqual([15, 1]);
    expect(priced.costPerPortion).toBeNull();
  });
});

describe('holding back', () => {
  it('keeps salt, raw garlic and chilli back above fourfold, seeds and fresh herbs altogether', () => {
    const back = (id: string, fold = 20) => heldBackOf(thing(id), 'hold-back', fold, USUAL_HOLD_BACK);
    expect(back('salt_sea_fine')).toEqual({ how: 'held-back', share: 0.15 });
    expect(back('garlic')).toEqual({ how: 'held-back', share: 0.25 });
    expect(back('chilli_flakes')).toEqual({ how: 'held-back', share: 0.25 });
    expect(back('dill')).toEqual({ how: 'per-service' });
    expect(back('sesame_seed')).toEqual({ how: 'per-service' });
    expect(back('olive_ev')).toEqual({ how: 'all-in' });
    expect(back('salt_sea_fine', 4)).toEqual({ how: 'all-in' });
    expect(heldBackOf(thing('salt_sea_fine'), 'by-weight', 20, USUAL_HOLD_BACK)).toEqual({ how: 'all-in' });
  });

  it('is the kitchen’s to set, and never loses a gram', () => {
    const plan = planOf({ school: 'hold-back', holdBack: { ...USUAL_HOLD_BACK, salt: 0.4 } });
    const salt = plan.lines.find(({ ingredient }) => ingredient.category === 'salt')!;
    expect(salt.asideG / salt.exactG).toBeCloseTo(0.4, 9);
    for (const { exactG, plannedG, asideG } of plan.lines) expect(plannedG + asideG).toBeCloseTo(exactG, 6);
  });
});
