import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FormulaRecord, FreezeAnswer, KinAnswer, MadeRecord } from '#contract';
import type { AdditionId } from '#core/formula';
import { madeId } from '#core/ingredient';
import { FormulaStore } from './features/formulas/store';
import type { RunningKitchen } from './start';
import {
  addition,
  Client,
  openKitchen,
  openTables,
  sampleFormula,
  tempFolder,
  type Refused,
  closeDown,
} from './testing/kitchen';

const folder = tempFolder();
const DAY_MS = 86_400_000;
let now = Date.parse('2026-05-01T08:00:00Z');
let kitchen: RunningKitchen;
let client: Client;

beforeAll(async () => {
  kitchen = await openKitchen(folder, { now: () => new Date(now) });
  client = new Client(kitchen.address);
});
afterAll(() => closeDown(kitchen, folder));

const create = (id: string) => client.post<FormulaRecord>('formulas', { id, formula: sampleFormula(id) });
const freeze = async (id: string): Promise<number> => {
  const { revision } = (await client.get<FormulaRecord>(`formulas/${id}`)).body;
  return (await client.post<FreezeAnswer>(`formulas/${id}/versions`, { revision })).body.version.number;
};
let keys = 0;
const putIn = (into: string, ingredientId: string) =>
  client.post<FormulaRecord & Refused['body']>(`formulas/${into}/changes`, {
    baseRevision: 0,
    idempotencyKey: `made-key-${++keys}`,
    diff: { added: [addition(`line-${keys}`, '50 g', ingredientId, 9)], removed: [], updated: [] },
  });
const made = async () =>
  (await client.get<MadeRecord[]>('formulas/made')).body.map(
    ({ formulaId, number, latest }) => `${formulaId} ${number}/${latest}`,
  );

describe('a formula inside a formula, over HTTP', () => {
  it('offers the latest version of each, and keeps every version that is pinned', async () => {
    await create('base');
    await create('outer');
    expect(await made()).toEqual([]);
    await freeze('base');
    expect(await made()).toEqual(['base 1/1']);
    expect((await putIn('outer', madeId('base', 1))).status).toBe(200);
    await client.post('formulas/base/changes', {
      baseRevision: 1,
      idempotencyKey: 'another-amount',
      diff: {
        added: [],
        removed: [],
        updated: [{ additionId: 'one' as AdditionId, field: 'amountText', from: '30 ml', to: '35 ml' }],
      },
    });
    await freeze('base');
    expect((await made()).sort()).toEqual(['base 1/2', 'base 2/2']);
  });

  it('refuses a circle, direct or through others, and changes nothing', async () => {
    const itself = await putIn('base', madeId('base', 1));
    expect([itself.status, itself.body.error.code]).toEqual([422, 'circle']);
    await freeze('outer');
    await create('third');
    await putIn('third', madeId('outer', 1));
    await freeze('third');
    const before = (await client.get<FormulaRecord>('formulas/base')).body.revision;
    expect((await putIn('base', madeId('third', 1))).status).toBe(422);
    expect((await client.get<FormulaRecord>('formulas/base')).body.revision).toBe(before);
    expect((await putIn('third', madeId('base', 2))).status).toBe(200);
  });

  it('does not throw away with the bin what others are made with', async () => {
    await client.post('formulas/base/shelf', { shelf: 'bin' });
    await create('alone');
    await client.post('formulas/alone/shelf', { shelf: 'bin' });
    now += 40 * DAY_MS;
    await kitchen.stop();
    const { db, close } = await openTables(folder);
    await new FormulaStore(db, () => new Date(now)).emptyBin(new Date(now));
    await close();
    kitchen = await openKitchen(folder, { now: () => new Date(now) });
    client = new Client(kitchen.address);
    expect((await client.get('formulas/base')).status).toBe(200);
    expect((await client.get('formulas/alone')).status).toBe(404);
    // Off the shelf it is no longer offered by itself; pinned versions stay.
    expect(await made()).toContain('base 1/2');
  });
});

describe('the kin of a formula, over HTTP', () => {
  const kin = async (id: string) => (await client.get<KinAnswer>(`formulas/${id}/kin`)).body;

  it('names what it is made with and what goes on from it, with the version that is pinned', async () => {
    for (const id of ['lean', 'lean-2', 'green', 'creamy', 'gone']) await create(id);
    await freeze('lean');
    for (const id of ['green', 'creamy', 'gone']) await putIn(id, madeId('lean', 1));
    // Its id begins as that of another, which is no kin of it.
    await freeze('lean-2');
    await putIn('lean', madeId('lean-2', 1));
    expect(await kin('green')).toEqual({
      bases: [{ formulaId: 'lean', name: 'lean', number: 1, latest: 1 }],
      endings: [],
    });
    await freeze('lean');
    await client.post('formulas/gone/shelf', { shelf: 'bin' });
    expect(await kin('lean')).toEqual({
      bases: [{ formulaId: 'lean-2', name: 'lean-2', number: 1, latest: 1 }],
      endings: [
        { formulaId: 'creamy', name: 'creamy', number: 1, latest: 2 },
        { formulaId: 'green', name: 'green', number: 1, latest: 2 },
      ],
    });
    expect((await kin('lean-2')).endings.map(({ formulaId }) => formulaId)).toEqual(['lean']);
    expect((await client.get('formulas/nobody/kin')).status).toBe(404);
  });
});
