import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { newBatchSchema, type VersionRecord, type VersionStanding } from '#contract';
import { finish } from '#core/balance';
import { planBatch, splitOf } from '#core/batch';
import { emptyFormula, type Addition, type AdditionId, type Formula, type FormulaId } from '#core/formula';
import { madeId, measuringWith, REFERENCE_CATALOGUE, type Catalogue } from '#core/ingredient';
import { withMade } from '#core/reckoning';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { addTyped } from '#kitchen/edits';
import { keepUntilOf } from '#kitchen/paper';
import { batchRequestOf, newBatchOf, notAfterOf, readVersion, usualChoices } from './batchPlanning';
import { pullOfBatches } from './pullOfBatches';
import { endingRequestOf, endingVersion, withEndings } from './splitting';
import { bareKitchen, batchRecordOf } from './testing';

const contextOf = (catalogue: Catalogue) =>
  ({ catalogue, measuring: measuringWith('metric'), decimalSign: 'point' }) as const;
const by = { cookId: null, deviceId: 'test' };
const baseId = madeId('base', 3);
let ids = 0;

function version(number: number, lines: readonly string[], catalogue: Catalogue, baseG = 0): VersionRecord {
  const start: Formula = emptyFormula('House', DEFAULT_VESSEL_ID, 'metric');
  const about = { form: '', note: '', optional: false, locked: false, measuredBy: null, stage: 0 };
  const additions: readonly Addition[] =
    baseG > 0
      ? [
          {
            ...about,
            id: 'base' as AdditionId,
            amountText: `${baseG} g`,
            ingredientId: baseId,
            ingredientText: 'Base v3',
            phase: 'base' as const,
            rank: 0,
          },
        ]
      : [];
  return {
    number,
    parent: null,
    note: '',
    createdAt: '2026-11-26T09:00:00.000Z',
    by,
    formula: lines.reduce<Formula>(
      (formula, line) => addTyped(formula, line, contextOf(catalogue), () => `id-${++ids}` as AdditionId),
      { ...start, additions },
    ),
  };
}

/** A kitchen that knows this base as something made. */
function withBase(...lines: string[]) {
  const base = version(3, lines, REFERENCE_CATALOGUE);
  const catalogue = withMade(
    REFERENCE_CATALOGUE,
    [{ formulaId: 'base', number: 3, latest: 3, formula: base.formula }],
    (_formula, known) => contextOf(known),
  );
  const kitchen = bareKitchen({ catalogue });
  return { base, catalogue, kitchen, read: readVersion(base, kitchen) };
}

const VINAIGRETTE = ['90 ml cider vinegar', '12 g dijon mustard', '5 g sea salt', '240 ml rapeseed oil'];
const choices = { school: 'by-weight', rounding: 'exact', startC: 20 } as const;

/** 6 l of the base, 2 l each into these. */
function taken(base: ReturnType<typeof withBase>, endings: readonly VersionRecord[]) {
  const { kitchen, read } = base;
  const request = {
    ...batchRequestOf(
      base.base,
      read,
      usualChoices({ kind: 'volume', volumeMl: 6000 }, kitchen),
      kitchen,
      new Map(),
      null,
    ),
    pouredOnMl: endings.length * 2000,
  };
  const plan = finish(planBatch(request));
  if (plan.status !== 'planned') throw new Error(plan.problem.code);
  const about = { version: base.base, state: 'draft' as const, day: '2026-12-01', target: '6 l', by };
  const whole = newBatchOf(
    { ...about, id: 'b', formulaId: 'base' as FormulaId },
    plan,
    request,
    read,
    kitchen.pantry,
  );
  const planned = endings.map((ending, i) => {
    const own = readVersion(ending, kitchen);
    const asked = { version: ending, read: own, style: null, baseMl: 2000 };
    const endingRequest = endingRequestOf({ read, id: baseId }, asked, choices, kitchen, new Map())!;
    const endingPlan = finish(planBatch(endingRequest));
    if (endingPlan.status !== 'planned') throw new Error(endingPlan.problem.code);
    const batch = newBatchOf(
      { ...about, version: ending, id: `e${i}`, formulaId: `ending-${i}` as FormulaId },
      endingPlan,
      endingRequest,
      own,
      kitchen.pantry,
    );
    return { batch, plan: endingPlan, judged: own.judged };
  });
  return { whole, plan, planned };
}

describe('a batch that is split', () => {
  it('goes on from the proven version that has this base, else from the newest that has it', () => {
    const { catalogue } = withBase(...VINAIGRETTE);
    const having = (number: number) => version(number, ['10 g parsley'], catalogue, 200);
    const without = version(5, ['10 g parsley'], catalogue);
    const standing = (state: VersionStanding['state']) => ({ state }) as VersionStanding;
    expect(endingVersion([having(1), having(2), without], undefined, baseId)?.number).toBe(2);
    expect(
      endingVersion([having(1), having(2), without], { 1: standing('proven'), 5: standing('proven') }, baseId)
        ?.number,
    ).toBe(1);
    expect(endingVersion([without], undefined, baseId)).toBeNull();
    expect(endingVersion([having(1)], undefined, madeId('base', 4))).toBeNull();
  });

  it('is one request that the server takes, each ending over no later than its base', () => {
    const base = withBase('17 g egg yolk', '160 ml sunflower oil', '20 g white wine vinegar');
    const { whole, planned, plan } = taken(base, [
      version(1, ['100 g yoghurt'], base.catalogue, 200),
      version(1, ['60 ml white wine vinegar', '10 g salt'], base.catalogue, 200),
    ]);
    const over = { day: '2026-12-02', name: 'Base' };
    const asked = withEndings(
      whole,
      planned.map(({ batch }) => batch),
      over,
    );
    const sent = newBatchSchema.parse(JSON.parse(JSON.stringify(asked)));
    expect(sent.endings).toHaveLength(2);
    for (const ending of sent.endings!) expect(ending.plan.notAfter).toEqual(over);
    expect(sent.plan.pouredOnMl).toBe(4000);
    expect(notAfterOf(plan, {})).toBeNull();
    expect(withEndings(whole, [], over)).toBe(whole);
    // What the base is not in does not go on from it.
    const foreign = { ...asked, endings: [{ ...asked.endings![0]!, plan: whole.plan }] };
    expect(newBatchSchema.safeParse(JSON.parse(JSON.stringify(foreign))).success).toBe(false);
  });

  it('keeps no longer than its base by the record of that base, and fetches for it once', () => {
    const base = withBase(...VINAIGRETTE);
    const { whole, planned } = taken(base, [version(1, ['10 g parsley'], base.catalogue, 200)]);
    const ending = planned[0]!;
    const from = {
      batchId: 'b',
      number: '20261201-01',
      formulaId: 'base' as FormulaId,
      formulaName: 'Base',
      version: 3,
      state: 'combined',
      useBy: '2026-12-01',
    } as const;
    const alone = batchRecordOf(ending.batch);
    const poured = batchRecordOf(ending.batch, { base: from });
    expect(keepUntilOf(alone).day > '2026-12-01').toBe(true);
    expect(keepUntilOf(poured)).toMatchObject({ day: '2026-12-01', capped: true });
    expect(keepUntilOf(poured).reason).toContain('20261201-01');
    const oil = (batches: Parameters<typeof pullOfBatches>[0]) =>
      pullOfBatches(batches, base.kitchen).lines.find(({ ingredient }) => ingredient.id === 'rapeseed')
        ?.neededG ?? 0;
    const first = batchRecordOf(whole);
    expect(oil([first, poured])).toBeCloseTo(oil([first]), 6);
    expect(oil([poured])).toBe(0);
    // A base that was called off is made for the ending after all.
    expect(oil([batchRecordOf(ending.batch, { base: { ...from, state: 'called-off' } })])).toBeGreaterThan(0);
  });

  it('loses nothing, and an ending has every allergen and every danger of its base', () => {
    const things = ['17 g egg yolk', '12 g dijon mustard', '20 g tahini', '1 clove garlic', '10 g honey'];
    const more = ['100 g yoghurt', '20 g parsley', '30 ml lemon juice', '15 g miso', '20 g walnuts'];
    fc.assert(
      fc.property(
        fc.subarray(things),
        fc.array(fc.subarray(more, { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 2 }),
        (inBase, endings) => {
          const base = withBase('60 ml cider vinegar', ...inBase, '180 ml rapeseed oil');
          const { plan, planned } = taken(
            base,
            endings.map((lines) => version(1, lines, base.catalogue, 220)),
          );
          const split = splitOf(
            plan,
            planned.map((one) => one.plan),
            baseId,
            new Map(),
          );
          const sum = split.takenG.reduce((all, g) => all + g, split.plainG);
          expect(sum).toBeCloseTo(plan.massG * (plan.yieldMl / plan.madeMl), 3);
          const allergens = (one: { allergens: typeof base.read.judged.allergens }) =>
            one.allergens.eu14.map(({ allergen }) => allergen);
          const codes = (one: { cautions: typeof base.read.judged.cautions }) =>
            one.cautions.map(({ code }) => code);
          for (const { judged, plan: own } of planned) {
            expect(allergens(judged)).toEqual(expect.arrayContaining(allergens(base.read.judged)));
            const hazards = own.lines.flatMap(({ ingredient }) => ingredient.hazards);
            const known = base.read.lines.flatMap(({ ingredient }) => ingredient.hazards);
            expect(hazards).toEqual(expect.arrayContaining(known));
            for (const grave of ['raw-egg', 'infants'])
              if ((codes(base.read.judged) as string[]).includes(grave))
                expect(codes(judged)).toContain(grave);
          }
        },
      ),
      { numRuns: process.env.YGRANA_TORTURE ? 200 : 16 },
    );
  }, 60_000);
});
