import { request } from 'node:http';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type {
  Cook,
  FormulaRecord,
  FreezeAnswer,
  PantryEntry,
  Settings,
  ShelfAnswer,
  VersionRecord,
} from '#contract';
import { EMPTY_PANTRY_ENTRY } from '#contract';
import { STARTING_VESSELS } from '#core/vessel';
import type { AdditionId, FieldChange, FormulaDiff } from '#core/formula';
import type { Conflict } from '#core/formula';
import type { RunningKitchen } from './start';
import {
  allFormulas,
  addition,
  Client,
  openKitchen,
  sampleFormula,
  tempFolder,
  type Refused,
  closeDown,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;

beforeAll(async () => {
  kitchen = await openKitchen(folder);
  client = new Client(kitchen.address);
});
afterAll(() => closeDown(kitchen, folder));

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

/** Without what `fetch` adds of its own. */
function plainGet(path: string, headers: Record<string, string>): Promise<number> {
  const { port } = new URL(kitchen.address);
  return new Promise((resolve, reject) => {
    request({ host: '127.0.0.1', port, path, headers }, (response) => {
      resolve(response.statusCode ?? 0);
      response.resume();
    })
      .on('error', reject)
      .end();
  });
}

describe('formulas over HTTP', () => {
  it('makes one, lists it, gives it back', async () => {
    expect((await create('first')).status).toBe(201);
    expect((await create('first')).status).toBe(201);
    const other = await client.post<Refused['body']>('formulas', {
      id: 'first',
      formula: sampleFormula('another'),
    });
    expect([other.status, other.body.error.code]).toEqual([409, 'exists']);
    const list = (await client.get<ShelfAnswer>('formulas')).body;
    expect(list.records.map(({ id }) => id)).toContain('first');
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

  it('freezes what the cook saw, and nothing newer; versions know what they grew from', async () => {
    await create('frozen');
    const freeze = (revision: number) =>
      client.post<FreezeAnswer & Refused['body']>('formulas/frozen/versions', {
        revision,
        note: 'tasted',
        by: { cookId: 'ida', deviceId: 'tablet' },
      });
    const v1 = await freeze(0);
    expect([v1.status, v1.body.version.number, v1.body.version.parent]).toEqual([201, 1, null]);
    expect(v1.body.record).toMatchObject({ revision: 1, latestNumber: 1, formula: { basedOnVersion: 1 } });
    expect(v1.body.version.by).toEqual({ cookId: 'ida', deviceId: 'tablet' });
    expect((await freeze(1)).status).toBe(200);
    await send('frozen', diff(change('amountText', '30 ml', '35 ml', 'one')));
    expect((await freeze(1)).status).toBe(409);
    expect((await freeze(2)).body.version).toMatchObject({ number: 2, parent: 1 });
    // Back to v1, changed and frozen: a branch.
    await send(
      'frozen',
      diff(change('basedOnVersion', 2, 1, null), change('amountText', '35 ml', '25 ml', 'one')),
    );
    expect((await freeze(4)).body.version).toMatchObject({ number: 3, parent: 1 });
    const all = await client.get<VersionRecord[]>('formulas/frozen/versions');
    expect(all.body.map(({ number }) => number)).toEqual([3, 2, 1]);
    expect(all.body[2]!.formula.additions[0]!.amountText).toBe('30 ml');
  });

  it('archives, bins and brings back; the list says so, and is not sent again while nothing changed', async () => {
    await create('moved');
    const placeOf = async () => (await allFormulas(client)).find(({ id }) => id === 'moved')!.shelf;
    for (const shelf of ['archive', 'bin', 'shelf'] as const) {
      expect((await client.post('formulas/moved/shelf', { shelf })).status).toBe(200);
      expect(await placeOf()).toBe(shelf);
    }
    expect((await client.post('formulas/moved/shelf', { shelf: 'attic' })).status).toBe(400);
    expect((await client.post('formulas/nobody/shelf', { shelf: 'bin' })).status).toBe(404);
    const first = await fetch(`${kitchen.address}/api/formulas`);
    const tag = first.headers.get('etag')!;
    expect(await plainGet('/api/formulas', { 'If-None-Match': tag })).toBe(304);
    await send('moved', diff(change('name', 'moved', 'Moved', null)));
    expect(await plainGet('/api/formulas', { 'If-None-Match': tag })).toBe(200);
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

  it('text that no database can keep is kept without what it cannot keep', async () => {
    const name = 'Poison\u0000ed \uD83E dressing';
    const made = await client.post<FormulaRecord>('formulas', {
      id: 'poisoned',
      formula: { ...sampleFormula(), name },
    });
    expect(made.status).toBe(201);
    expect(made.body.formula.name).toBe('Poisoned \uFFFD dressing');
    const changed = await send('poisoned', diff(change('name', name, 'Cut \uDED2 in two', null)));
    expect(changed.status).toBe(200);
    expect((await send('poisoned', diff(change('name', 'Cut \uFFFD in two', 'a\u0000b', null)))).status).toBe(
      200,
    );
    expect((await client.get<FormulaRecord>('formulas/poisoned')).body.formula.name).toBe('ab');
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
    const status = await plainGet('/api/formulas', { Host: 'elsewhere.example' });
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
  it('keeps cooks, stock and vessels, and says what is wrong with them', async () => {
    await client.put('cooks/runa', { id: 'runa', name: 'Runa', initials: 'RU' });
    expect((await client.get<Cook[]>('cooks')).body).toEqual([{ id: 'runa', name: 'Runa', initials: 'RU' }]);
    expect((await client.put('cooks/runa', { id: 'runa', name: ' ', initials: 'RU' })).status).toBe(400);
    const entry: PantryEntry = { ...EMPTY_PANTRY_ENTRY, onHandG: 750 };
    await client.put('pantry/honey', entry);
    expect((await client.get<Record<string, PantryEntry>>('pantry')).body.honey).toEqual(entry);
    for (const wrong of [
      { ...entry, onHandG: -1 },
      { ...entry, bottle: { ...entry.bottle, acidityGPer100Ml: 80 } },
      { ...entry, bottle: { ...entry.bottle, useBy: '2026-02-31x' } },
    ]) {
      expect((await client.put('pantry/honey', wrong)).status).toBe(400);
    }
    const jar = { ...STARTING_VESSELS[0]!, id: 'own_jar', name: 'Honey jar' };
    expect((await client.put('vessels/own_jar', jar)).status).toBe(200);
    const upsideDown = { ...jar, outline: [...jar.outline].reverse() };
    expect((await client.put('vessels/own_jar', upsideDown)).status).toBe(400);
    expect((await client.put('vessels/other', jar)).status).toBe(400);
  });

  it('keeps windows the kitchen moved, and gives them back', async () => {
    const style = {
      id: 'classic_3_1',
      name: 'Classic',
      says: 'ours',
      windows: { salt: { low: 0.01, high: 0.02 } },
    };
    expect((await client.put('styles/classic_3_1', style)).status).toBe(200);
    expect((await client.get<unknown[]>('styles')).body).toEqual([style]);
    const upsideDown = { ...style, windows: { salt: { low: 0.03, high: 0.02 } } };
    expect((await client.put('styles/classic_3_1', upsideDown)).status).toBe(400);
    expect(
      (await client.put('styles/classic_3_1', { ...style, windows: { luck: style.windows.salt } })).status,
    ).toBe(400);
    expect((await client.delete('styles/classic_3_1')).status).toBe(200);
    expect((await client.get<unknown[]>('styles')).body).toEqual([]);
  });

  it('starts with vessels', async () => {
    const { body } = await client.get<{ id: string }[]>('vessels');
    expect(body.length).toBeGreaterThan(5);
  });
});
