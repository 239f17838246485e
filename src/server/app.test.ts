import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { FormulaRecord, Settings, VersionRecord } from '#contract';
import type { AdditionId, FieldChange, FormulaDiff } from '#core/formula';
import type { Conflict } from '#core/formula';
import type { RunningKitchen } from './start';
import {
  addition,
  Client,
  dropFolder,
  openKitchen,
  sampleFormula,
  tempFolder,
  type Refused,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;

beforeAll(async () => {
  kitchen = await openKitchen(folder);
  client = new Client(kitchen.address);
});
afterAll(async () => {
  await kitchen.stop();
  dropFolder(folder);
});

const change = (field: FieldChange['field'], from: unknown, to: unknown, id: string | null): FieldChange =>
  ({ additionId: id as AdditionId | null, field, from, to }) as FieldChange;
const diff = (...updated: FieldChange[]): FormulaDiff => ({ added: [], removed: [], updated });

let keys = 0;
const send = (id: string, patch: FormulaDiff, idempotencyKey = `test-key-${++keys}`) =>
  client.post<FormulaRecord & Refused['body']>(`formulas/${id}/changes`, {
    baseRevision: 0,
    idempotencyKey,
    diff: patch,
  });
const create = (id: string) => client.post<FormulaRecord>('formulas', { id, formula: sampleFormula(id) });

describe('formulas over HTTP', () => {
  it('makes one, lists it, gives it back', async () => {
    expect((await create('first')).status).toBe(201);
    expect((await create('first')).status).toBe(201);
    const other = await client.post<Refused['body']>('formulas', {
      id: 'first',
      formula: sampleFormula('another'),
    });
    expect([other.status, other.body.error.code]).toEqual([409, 'exists']);
    const list = await client.get<FormulaRecord[]>('formulas');
    expect(list.body.map(({ id }) => id)).toContain('first');
    expect((await client.get<FormulaRecord>('formulas/first')).body.formula).toEqual(sampleFormula('first'));
  });

  it('takes a change once, however often it is sent', async () => {
    await create('once');
    const patch = { ...diff(), added: [addition('four', 'a pinch', 'black_pepper', 5)] };
    const first = await send('once', patch, 'the-same-key');
    const again = await send('once', patch, 'the-same-key');
    expect([first.status, first.body.revision, again.body.revision]).toEqual([200, 1, 1]);
    expect(again.body.formula.additions).toHaveLength(4);
  });

  it('merges changes of different additions, and refuses a field changed twice with both values', async () => {
    await create('merge');
    await send('merge', diff(change('amountText', '30 ml', '40 ml', 'one')));
    const merged = await send('merge', diff(change('amountText', '90 ml', '100 ml', 'three')));
    expect(merged.body.formula.additions.map((a) => a.amountText).sort()).toEqual([
      '1 tsp',
      '100 ml',
      '40 ml',
    ]);
    const clash = await send('merge', diff(change('amountText', '30 ml', '50 ml', 'one')));
    expect([clash.status, clash.body.error.code]).toEqual([409, 'conflict']);
    const { conflicts } = clash.body.error.details as { conflicts: Conflict[] };
    expect(conflicts[0]).toMatchObject({ kind: 'field', current: '40 ml', change: { to: '50 ml' } });
  });

  it('freezes what the cook saw, and nothing newer', async () => {
    await create('frozen');
    const v1 = await client.post<VersionRecord>('formulas/frozen/versions', { revision: 0, note: 'first' });
    expect([v1.status, v1.body.number]).toEqual([201, 1]);
    const same = await client.post<VersionRecord>('formulas/frozen/versions', { revision: 0 });
    expect([same.status, same.body.number]).toEqual([200, 1]);
    await send('frozen', diff(change('amountText', '30 ml', '35 ml', 'one')));
    const stale = await client.post<Refused['body']>('formulas/frozen/versions', { revision: 0 });
    expect(stale.status).toBe(409);
    const v2 = await client.post<VersionRecord>('formulas/frozen/versions', { revision: 1 });
    expect(v2.body.number).toBe(2);
    const all = await client.get<VersionRecord[]>('formulas/frozen/versions');
    expect(all.body.map(({ number }) => number)).toEqual([2, 1]);
    expect(all.body[1]!.formula.additions[0]!.amountText).toBe('30 ml');
  });
});

describe('bad input is answered, never a 500', () => {
  const json = 'application/json';
  it.each([
    ['broken JSON', 'POST', 'formulas', '{"id":', {}, 400, 'bad-json'],
    ['not JSON', 'POST', 'formulas', 'id=1', { 'Content-Type': 'text/plain' }, 415, 'not-json'],
    ['an empty body', 'POST', 'formulas', '{}', {}, 400, 'invalid'],
    ['null', 'POST', 'formulas', 'null', {}, 400, 'bad-json'],
    ['a foreign page', 'POST', 'formulas', '{}', { Origin: 'http://elsewhere.example' }, 403, 'wrong-origin'],
    ['no page at all', 'POST', 'formulas', '{}', { Origin: '' }, 403, 'wrong-origin'],
    ['an id with a slash', 'GET', 'formulas/a%2Fb', undefined, {}, 400, 'invalid'],
    ['a broken escape', 'GET', 'formulas/%E0%A4%A', undefined, {}, 400, 'invalid'],
    ['an unknown formula', 'GET', 'formulas/nobody', undefined, {}, 404, 'not-found'],
    ['an unknown address', 'GET', 'nothing', undefined, {}, 404, 'not-found'],
    ['half a megabyte', 'POST', 'formulas', `"${'x'.repeat(600_000)}"`, {}, 413, 'too-large'],
    [
      'settings with a hole',
      'PUT',
      'settings',
      '{"kitchenName":"x"}',
      { 'Content-Type': json },
      400,
      'invalid',
    ],
  ])('%s', async (_what, method, path, body, headers, status, code) => {
    const answer = await client.send<Refused['body']>(method, path, body, headers);
    expect([answer.status, answer.body.error.code]).toEqual([status, code]);
    expect(answer.body.error.message.length).toBeGreaterThan(10);
  });

  it('says which field is wrong', async () => {
    const formula = { ...sampleFormula(), servingVolumeMl: -5 };
    const answer = await client.post<Refused['body']>('formulas', { id: 'bad', formula });
    expect(answer.body.error.message).toContain('formula.servingVolumeMl');
    await create('guarded');
    const smuggled = await send('guarded', diff(change('phase', 'base', 'nowhere', 'one')));
    expect(smuggled.status).toBe(400);
    const unknownField = await send('guarded', diff(change('rank' as never, 0, 'NaN', 'one')));
    expect(unknownField.status).toBe(400);
  });

  it('refuses a Host it was not started with, and says so to nobody else', async () => {
    const { port } = new URL(kitchen.address);
    const status = await new Promise<number>((resolve, reject) => {
      request(
        { host: '127.0.0.1', port, path: '/api/formulas', headers: { Host: 'elsewhere.example' } },
        (response) => {
          resolve(response.statusCode ?? 0);
          response.resume();
        },
      )
        .on('error', reject)
        .end();
    });
    expect(status).toBe(403);
  });

  it('sends sensible headers', async () => {
    const response = await fetch(`${kitchen.address}/api/health`);
    expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
    expect(response.headers.get('x-powered-by')).toBeNull();
    expect(response.headers.get('cache-control')).toBe('no-store');
  });
});

describe('settings and vessels', () => {
  it('keeps settings', async () => {
    const { body } = await client.get<Settings>('settings');
    await client.put('settings', { ...body, kitchenName: 'Boathouse', decimalSign: 'comma' });
    expect((await client.get<Settings>('settings')).body).toMatchObject({
      kitchenName: 'Boathouse',
      decimalSign: 'comma',
    });
  });
  it('starts with vessels', async () => {
    const { body } = await client.get<{ id: string }[]>('vessels');
    expect(body.length).toBeGreaterThan(5);
  });
});
