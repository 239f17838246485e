import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, printSheetSchema, type BatchRecord } from '#contract';
import { finish } from '#core/balance';
import { planBatch } from '#core/batch';
import { emptyFormula, type AdditionId, type FormulaId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { DEFAULT_VESSEL_ID } from '#core/vessel';
import { batchRequestOf, newBatchOf, readVersion, usualChoices } from '#kitchen/batch';
import { addTyped } from '#kitchen/edits';
import { draftFrom, sayTarget, targetOf } from './draft';
import { keepUntilOf, labelOf, madeOn, pullSheetOf, sheetOf } from '#kitchen/paper';
import { pullOfBatches } from '#kitchen/batch';
import { bareKitchen, batchRecordOf } from '../../../kitchen/batch/testing';

const draft = (query: string) => draftFrom(new URLSearchParams(query));
const target = (query: string) => targetOf(draft(query), 30);

describe('what is asked for, from the address', () => {
  it('is the usual where nothing is said, and where nonsense is', () => {
    expect(draft('')).toMatchObject({
      version: null,
      kind: 'volume',
      amount: '10',
      school: 'hold-back',
      tool: null,
    });
    expect(draft('v=-1&by=barrels&tool=axe&round=up&school=old')).toMatchObject({
      version: null,
      kind: 'volume',
      tool: null,
      rounding: 'mixed',
      school: 'hold-back',
    });
    expect(draft('v=3&by=jars&amount=24&size=250&fill=95&tool=blender')).toMatchObject({
      version: 3,
      kind: 'jars',
      amount: '24',
      sizeMl: '250',
      fillPercent: '95',
      tool: 'blender',
    });
  });

  it('becomes a target in the units of the core', () => {
    expect(target('by=volume&amount=12').target).toEqual({ kind: 'volume', volumeMl: 12_000 });
    expect(target('by=mass&amount=2,5').target).toEqual({ kind: 'mass', massG: 2500 });
    expect(target('by=portions&amount=60').target).toEqual({ kind: 'portions', portions: 60, portionMl: 30 });
    expect(target('by=jars&amount=24&size=250&fill=90').target).toEqual({
      kind: 'jars',
      jars: 24,
      jarMl: 250,
      fillShare: 0.9,
    });
    expect(target('by=on-hand&of=vin_cider5').target).toEqual({
      kind: 'on-hand',
      ingredientId: 'vin_cider5',
    });
    expect(target('by=on-hand').target).toEqual({ kind: 'on-hand', ingredientId: null });
  });

  it.each([
    ['by=volume&amount=', 'amount', 'above nothing'],
    ['by=volume&amount=0', 'amount', 'above nothing'],
    ['by=volume&amount=lots', 'amount', 'above nothing'],
    ['by=mass&amount=100001', 'amount', 'Too many'],
    ['by=portions&amount=2.5', 'amount', 'whole number'],
    ['by=jars&amount=4&size=0', 'sizeMl', '1 to 20,000'],
    ['by=jars&amount=4&size=250&fill=5', 'fillPercent', '10 to 100'],
  ] as const)('%s is refused at its field', (query, field, says) => {
    const { target: none, problems } = target(query);
    expect(none).toBeNull();
    expect(problems[field]).toContain(says);
  });

  it('stands in the record as a cook says it', () => {
    expect(
      [
        'by=volume&amount=12',
        'by=mass&amount=3',
        'by=portions&amount=60',
        'by=jars&amount=4&size=250&fill=95',
        'by=on-hand&of=vin_cider5',
        'by=on-hand',
      ].map((query) => sayTarget(draft(query), 30)),
    ).toEqual([
      '12 l',
      '3 kg',
      '60 portions of 30 ml',
      '4 jars of 250 ml, 95 % full',
      'all the vin cider5 there is',
      'all there is',
    ]);
  });
});

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
let ids = 0;
const kitchen = bareKitchen({
  settings: { ...DEFAULT_SETTINGS, kitchenName: 'Tarn House' },
  pantry: { vin_cider5: { ...EMPTY_PANTRY_ENTRY, onHandG: 200, price: 4, packMassG: 1000 } },
});

function batchOf(volumeMl: number): BatchRecord {
  const at = '2026-11-26T09:00:00.000Z';
  const version = {
    number: 2,
    parent: 1,
    note: '',
    createdAt: at,
    by: { cookId: null, deviceId: 'test' },
    formula: [
      '60 ml cider vinegar',
      '20 g Dijon mustard',
      '180 ml rapeseed oil',
      '1 clove garlic, grated',
      '4 g sea salt',
    ].reduce(
      (formula, line) => addTyped(formula, line, context, () => `id-${++ids}` as AdditionId),
      emptyFormula('House', DEFAULT_VESSEL_ID, 'metric'),
    ),
  };
  const read = readVersion(version, kitchen);
  const request = batchRequestOf(
    version,
    read,
    usualChoices({ kind: 'volume', volumeMl }, kitchen),
    kitchen,
    new Map(),
    null,
  );
  const plan = finish(planBatch(request));
  if (plan.status !== 'planned') throw new Error(plan.problem.code);
  const about = { id: 'b1', formulaId: 'house' as FormulaId, version, state: 'draft' as const };
  const batch = newBatchOf(
    { ...about, day: '2026-12-01', target: '12 l', by: { cookId: null, deviceId: 'test' } },
    plan,
    request,
    read,
    kitchen.pantry,
  );
  return batchRecordOf(batch);
}

describe('a batch on paper', () => {
  const batch = batchOf(12_000);
  const around = {
    batch,
    catalogue: kitchen.catalogue,
    settings: kitchen.settings,
    vessels: kitchen.vessels,
  };

  it('is what the printer takes, a table a load, every weight with a line for what was weighed', () => {
    const sheet = sheetOf(around);
    expect(printSheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([]);
    expect(sheet.title).toBe('House, batch 20261201-01');
    const loads = sheet.tables.filter(({ title }) => /^(?:Load|Weigh)/.test(title));
    expect(loads).toHaveLength(batch.loads.length);
    for (const { rows, ticks } of loads) {
      expect(ticks).toBe(true);
      expect(rows.map(([what, amount]) => `${what}: ${amount}`)).toContainEqual(
        expect.stringMatching(/rapeseed.*: .*\d/i),
      );
    }
    // Salt and raw garlic wait for the tongue.
    const aside = sheet.tables.find(({ title }) => title === 'Kept aside')!;
    expect(aside.rows.map(([name]) => name)).toEqual(
      expect.arrayContaining([expect.stringMatching(/garlic/i), expect.stringMatching(/salt/i)]),
    );
    expect(sheet.notes.join('\n')).toContain('Allergens: mustard');
  });

  it('has a label with its use by, the reason and the allergens', () => {
    const words = labelOf(around);
    expect(words).toMatchObject({
      name: 'House',
      version: 'v2',
      batchNumber: '20261201-01',
      kitchen: 'Tarn House',
    });
    expect(words.madeAt).toContain('planned');
    expect(words.cautions.length).toBeLessThanOrEqual(2);
    expect(words.allergens).toContain('mustard');
  });

  it('keeps from the day it was mixed, or from another that a cook gave with a reason', () => {
    expect(madeOn(batch)).toBe('2026-12-01');
    const { days } = batch.plan.keeping;
    const plain = keepUntilOf(batch);
    expect(Date.parse(plain.day)).toBe(Date.parse('2026-12-01') + (days - 1) * 86_400_000);
    const by = batch.by;
    const sooner = {
      id: 'u',
      event: { kind: 'use-by' as const, days: 1, reason: 'for the picnic' },
      by,
      at: batch.at,
    };
    expect(keepUntilOf({ ...batch, events: [sooner] })).toMatchObject({
      day: '2026-12-01',
      reason: 'for the picnic',
    });
  });

  it('is fetched by a list that knows what is there and what it costs', () => {
    const list = pullOfBatches([batch, batch], kitchen);
    const vinegar = list.lines.find(({ ingredient }) => ingredient.id === 'vin_cider5')!;
    expect(vinegar.onHandG).toBe(200);
    const planned = batch.plan.lines.find(({ ingredientId }) => ingredientId === 'vin_cider5')!;
    expect(vinegar.neededG).toBeCloseTo(2 * (planned.plannedG + planned.asideG), 6);
    const sheet = pullSheetOf(list, 'Pull list', '', kitchen.settings);
    expect(printSheetSchema.safeParse(sheet).success).toBe(true);
    expect(sheet.facts[0]![1]).toContain('not all has a price');
    const rows = Object.fromEntries(sheet.tables[0]!.rows.map(([name, ...rest]) => [name, rest]));
    expect(rows['Cider vinegar'] ?? Object.values(rows)[0]).toBeDefined();
    expect(sheet.tables[0]!.rows.some(([, , onHand]) => onHand === 'not known')).toBe(true);
  });
});
