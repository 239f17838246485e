import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  DEFAULT_SETTINGS,
  EMPTY_PANTRY_ENTRY,
  EMPTY_PLAN,
  type SharedKind,
  type SharedRecord,
  type TrialRecord,
  type VersionRecord,
} from '#contract';
import type { FormulaId } from '#core/formula';
import type { RunningKitchen } from './start';
import { Client, openKitchen, sampleFormula, tempFolder, closeDown } from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
const now = new Date('2026-11-26T06:00:00.000Z');
const by = { cookId: 'ida', deviceId: 'tablet' };
let serial = 0;
const newKey = (): string => `key-of-test-${(serial += 1)}`;

beforeAll(async () => {
  kitchen = await openKitchen(folder, { now: () => now });
  client = new Client(kitchen.address);
});
afterAll(() => closeDown(kitchen, folder));

const change = (kind: SharedKind, id: string, changes: readonly object[], key = newKey()) =>
  client.post(`shared/${kind}/${id}/changes`, { idempotencyKey: key, changes });
const read = async (kind: SharedKind, id: string): Promise<SharedRecord> =>
  (await client.get(`shared/${kind}/${id}`)).body as SharedRecord;

describe('what a kitchen shares', () => {
  it('starts as nobody has changed it, and counts its changes', async () => {
    expect(await read('pantry', 'salt_table')).toEqual({
      kind: 'pantry',
      id: 'salt_table',
      revision: 0,
      doc: EMPTY_PANTRY_ENTRY,
    });
    const answer = await change('pantry', 'salt_table', [{ path: ['onHandG'], from: null, to: 750 }]);
    expect(answer).toMatchObject({ status: 200, body: { revision: 1, doc: { onHandG: 750 } } });
    expect(await client.get('pantry')).toMatchObject({ body: { salt_table: { onHandG: 750 } } });
  });

  it('takes a change once, however often it is sent', async () => {
    const key = newKey();
    const changes = [{ path: ['done', 's1.mix'], to: now.toISOString() }];
    await change('plan', '2026-12-01', changes, key);
    await change('plan', '2026-12-01', [{ path: ['done', 's1.mix'], from: now.toISOString() }]);
    const again = await change('plan', '2026-12-01', changes, key);
    expect(again).toMatchObject({ status: 200, body: { revision: 2, doc: { done: {} } } });
  });

  it('keeps what two change in different places, and asks where they change the same', async () => {
    const at = ['kitchenName'];
    await change('settings', 'kitchen', [{ path: at, from: DEFAULT_SETTINGS.kitchenName, to: 'Lake house' }]);
    const other = await change('settings', 'kitchen', [{ path: ['batch', 'roomC'], from: 20, to: 24 }]);
    expect(other).toMatchObject({ status: 200, body: { doc: { kitchenName: 'Lake house' } } });
    const clash = await change('settings', 'kitchen', [
      { path: at, from: DEFAULT_SETTINGS.kitchenName, to: 'Tarn' },
    ]);
    expect(clash.status).toBe(409);
    expect(clash.body).toMatchObject({
      error: { code: 'conflict', details: { record: { revision: 2, doc: { kitchenName: 'Lake house' } } } },
    });
  });

  it('comes to be, changes and goes, each with a change that can be taken back', async () => {
    const style = { id: 'own_lake', name: 'Lake', says: '', windows: { acid: { low: 0.2, high: 0.5 } } };
    expect((await change('style', 'own_lake', [{ path: [], from: null, to: style }])).status).toBe(200);
    expect((await client.get('styles')).body).toContainEqual(style);
    expect((await change('style', 'own_lake', [{ path: [], from: style, to: null }])).status).toBe(200);
    expect((await client.get('styles')).body).not.toContainEqual(style);
    expect((await change('style', 'own_lake', [{ path: [], from: null, to: style }])).status).toBe(200);
  });

  it('never becomes what a whole one could not be, and says where', async () => {
    const wrong = await change('settings', 'kitchen', [
      { path: ['provenAfter'], from: DEFAULT_SETTINGS.provenAfter, to: 'many' },
    ]);
    expect(wrong).toMatchObject({ status: 400, body: { error: { code: 'invalid' } } });
    expect(JSON.stringify(wrong.body)).toContain('provenAfter');
    const gone = await change('settings', 'kitchen', [{ path: ['batch'], from: undefined }]);
    expect(gone.status).toBe(409);
    expect((await change('pantry', 'salt_table', [])).status).toBe(400);
    expect((await client.get('shared/pan/salt_table')).status).toBe(400);
    expect((await client.get('shared/plan/tomorrow')).status).toBe(400);
    const cook = { id: 'tove', name: 'Tove', initials: 'TB' };
    await change('cook', 'tove', [{ path: [], from: null, to: cook }]);
    expect((await change('cook', 'tove', [{ path: [], from: cook, to: null }])).status).toBe(400);
  });

  it('is put in place whole only by who saw the latest', async () => {
    const day = '2026-12-02';
    const put = (revision: number, cooks: number) =>
      client.put(`plans/${day}`, { day, revision, content: { ...EMPTY_PLAN, cooks } });
    expect((await put(0, 2)).status).toBe(200);
    expect((await put(0, 3)).status).toBe(409);
    expect(await read('plan', day)).toMatchObject({ revision: 1, doc: { cooks: 2 } });
  });
});

describe('which kitchen answers', () => {
  it('is said with every answer, and what was meant for another is not taken', async () => {
    const said = (await fetch(`${kitchen.address}/api/session`)).headers.get('ygrana-kitchen');
    expect(said).toMatch(/^[\w-]{20,}$/);
    const send = (meant: string) =>
      fetch(`${kitchen.address}/api/shared/pantry/salt_table/changes`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', origin: kitchen.address, 'ygrana-kitchen': meant },
        body: JSON.stringify({ idempotencyKey: newKey(), changes: [{ path: ['price'], from: null, to: 1 }] }),
      });
    const refused = await send('another');
    expect(refused.status).toBe(409);
    expect(await refused.json()).toMatchObject({ error: { code: 'other-kitchen' } });
    expect((await send(said!)).status).toBe(200);
  });
});

describe('a jar that was begun while the kitchen was away', () => {
  it('freezes what it was begun from, once, whatever the formula has become since', async () => {
    const id = 'lake' as FormulaId;
    const formula = sampleFormula('Lake');
    await client.post('formulas', { id, formula });
    const begun = { ...formula, additions: formula.additions.slice(0, 1) };
    const jar = {
      id: 'jar-away',
      formulaId: id,
      freeze: { formula: begun, note: 'for a jar' },
      vesselId: formula.vesselId,
      styleId: null,
      lines: [{ ingredientId: 'salt_table', form: '', massG: 3 }],
      by,
    };
    const first = (await client.post('trials', jar)).body as TrialRecord;
    const again = (await client.post('trials', jar)).body as TrialRecord;
    expect([first.version, again.version, again.id]).toEqual([1, 1, first.id]);
    const versions = (await client.get(`formulas/${id}/versions`)).body as VersionRecord[];
    expect(versions).toHaveLength(1);
    expect(versions[0]!.formula.additions).toHaveLength(1);
    // What is worked on goes on from where it came from.
    expect((await client.get(`formulas/${id}`)).body).toMatchObject({ formula: { basedOnVersion: null } });
    expect((await client.post('trials', { ...jar, id: 'jar-b', formulaId: 'nobody' })).status).toBe(404);
  });
});
