import { describe, expect, it } from 'vitest';
import { DEFAULT_SETTINGS, EMPTY_PANTRY_ENTRY, newBatchSchema, type VersionRecord } from '#contract';
import { finish } from '#core/balance';
import { planBatch } from '#core/batch';
import { emptyFormula, type AdditionId, type FormulaId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type IngredientId } from '#core/ingredient';
import { DEFAULT_VESSEL_ID, STARTING_VESSELS } from '#core/vessel';
import {
  batchRequestOf,
  newBatchOf,
  notAfterOf,
  openVessels,
  readVersion,
  stockOf,
  usualChoices,
  usualVersion,
} from './batchPlanning';
import { bareKitchen } from './testing';
import { addTyped } from '#kitchen/edits';
import type { Kitchen, Pantry } from '#kitchen/reading';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;
let ids = 0;
const version = (...lines: string[]): VersionRecord => ({
  number: 2,
  parent: 1,
  note: '',
  createdAt: '2026-11-26T09:00:00.000Z',
  by: { cookId: null, deviceId: 'test' },
  formula: lines.reduce(
    (formula, line) => addTyped(formula, line, context, () => `id-${++ids}` as AdditionId),
    emptyFormula('House', DEFAULT_VESSEL_ID, 'metric'),
  ),
});
const HOUSE = version(
  '60 ml cider vinegar',
  '180 ml rapeseed oil',
  '4 g sea salt',
  'moon dust',
  'pepper to taste',
);
const kitchenWith = (pantry: Pantry = {}): Kitchen => bareKitchen({ pantry });
const requestFor = (volumeMl: number, kitchen = kitchenWith()) =>
  batchRequestOf(
    HOUSE,
    readVersion(HOUSE, kitchen),
    usualChoices({ kind: 'volume', volumeMl }, kitchen),
    kitchen,
    stockOf(kitchen.pantry),
    null,
  );

describe('a version as a batch', () => {
  it('is read with what can be weighed, what goes by taste and what cannot be read told apart', () => {
    const read = readVersion(HOUSE, kitchenWith());
    expect(read.lines.filter(({ massG }) => massG > 0).map(({ ingredient }) => ingredient.id)).toEqual([
      'vin_cider5',
      'salt_sea_fine',
      'rapeseed',
    ]);
    expect(read.toTaste).toEqual([expect.stringMatching(/pepper.*to taste/i)]);
    expect(read.unread).toEqual([expect.stringContaining('moon dust')]);
    expect(read.judged.keeping.days).toBeGreaterThanOrEqual(1);
  });

  it('is over no later than the bottle in use that is over first', () => {
    const entry = (useBy: string) => ({
      ...EMPTY_PANTRY_ENTRY,
      bottle: { ...EMPTY_PANTRY_ENTRY.bottle, useBy },
    });
    const { lines } = readVersion(HOUSE, kitchenWith());
    const plan = { lines } as unknown as Parameters<typeof notAfterOf>[0];
    const pantry = {
      vin_cider5: entry('2027-01-10'),
      rapeseed: entry('2026-12-01'),
      honey: entry('2026-11-01'),
    };
    expect(notAfterOf(plan, pantry)).toMatchObject({ day: '2026-12-01' });
    expect(notAfterOf(plan, {})).toBeNull();
  });

  it('is mixed in the smallest open vessel that holds it with room, else in the largest', () => {
    const open = openVessels(STARTING_VESSELS);
    expect(open.every(({ closes }) => !closes)).toBe(true);
    const small = requestFor(1500).mixingVessel;
    const large = requestFor(9000).mixingVessel;
    expect(small.brimfulVolumeMl).toBeLessThan(large.brimfulVolumeMl);
    expect(small.brimfulVolumeMl).toBeGreaterThan(1500);
    expect(requestFor(500_000).mixingVessel).toEqual(open.at(-1));
  });

  it('takes tool, storage, losses and what is held back from the kitchen', () => {
    const request = requestFor(5000);
    const { lossShare, holdBack, scale, fridgeC, roomC } = DEFAULT_SETTINGS.batch;
    expect(request).toMatchObject({ lossShare, holdBack, scale, cooling: { startC: roomC, fridgeC } });
    expect(request.storage?.id).toBe('tub_5000');
    const none = { ...usualChoices({ kind: 'volume', volumeMl: 5000 }, kitchenWith()), storageId: 'none' };
    expect(
      batchRequestOf(HOUSE, readVersion(HOUSE, kitchenWith()), none, kitchenWith(), new Map(), null).storage,
    ).toBeNull();
  });

  it('is written down as the server takes it, with the bottles in use', () => {
    const bottle = { ...EMPTY_PANTRY_ENTRY.bottle, label: 'Lake 5 %' };
    const kitchen = kitchenWith({ vin_cider5: { ...EMPTY_PANTRY_ENTRY, onHandG: 900, bottle } });
    const request = requestFor(4000, kitchen);
    const plan = finish(planBatch(request));
    if (plan.status !== 'planned') throw new Error(plan.problem.code);
    const about = { id: 'b1', formulaId: 'house' as FormulaId, version: HOUSE, state: 'tried' as const };
    const batch = newBatchOf(
      { ...about, day: '2026-12-01', target: '4 l', by: { cookId: null, deviceId: 'test' } },
      plan,
      request,
      readVersion(HOUSE, kitchen),
      kitchen.pantry,
    );
    expect(newBatchSchema.safeParse(batch).error?.issues ?? []).toEqual([]);
    expect(batch.loads.map(({ trialId }) => trialId)).toEqual(plan.loads.map((_, i) => `b1-${i + 1}`));
    expect(batch.loads[0]!.making.bottles).toEqual({ vin_cider5: 'Lake 5 %' });
    expect(batch.plan).toMatchObject({ target: '4 l', versionState: 'tried' });
    expect(batch.plan.yieldMl).toBeGreaterThanOrEqual(4000 * 0.98);
    expect(request.stock.get('vin_cider5' as IngredientId)?.onHandG).toBe(900);
  });
});

describe('the version a kitchen works with', () => {
  const standing = (state: 'draft' | 'tried' | 'proven') => ({ state, right: 0, made: 0 });
  it('is the newest that is proven, else the newest there is', () => {
    expect(usualVersion(undefined, 0)).toBe(0);
    expect(usualVersion(undefined, 3)).toBe(3);
    expect(usualVersion({ 1: standing('tried'), 2: standing('draft') }, 4)).toBe(4);
    expect(usualVersion({ 1: standing('proven'), 2: standing('proven'), 3: standing('tried') }, 4)).toBe(2);
  });
});
