import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type BatchRecord, type BatchList, type Standings, type TrialRecord } from '#contract';
import { loadMaking, snapshotOf } from '#core/batch';
import { exactly } from '#core/quantity';
import { judgePortions } from '#core/reckoning';
import { recordSafety } from '#core/safety';
import { saySafetyOfTheDay } from '#words/safety';
import type { Step } from '#core/trial';
import { planOf, requestOf, vesselOf } from '../core/batch/testing';
import { simulatedInstruments } from './devices/simulated';
import type { RunningKitchen } from './start';
import {
  Client,
  openKitchen,
  tempFolder,
  openTables,
  type Refused,
  closeDown,
  openHouse,
} from './testing/kitchen';

const folder = tempFolder();
let kitchen: RunningKitchen;
let client: Client;
const now = new Date('2026-11-26T06:00:00.000Z');
const by = { cookId: 'ida', deviceId: 'tablet' };

const setting = {
  target: { kind: 'volume', volumeMl: 12_000 } as const,
  school: 'hold-back' as const,
  mixingVessel: vesselOf(10_000),
  rounding: { kind: 'scale', readabilityG: 1, spoons: 'metric' } as const,
};
const request = requestOf(setting);
const plan = planOf(setting);
const snapshot = snapshotOf(plan, request, {
  target: '12 l',
  toTaste: [],
  styleId: 'classic_3_1',
  versionState: 'draft',
  found: recordSafety(
    judgePortions(
      plan.lines.map(({ ingredient, form, exactG }) => ({ ingredient, form, massG: exactly(exactG) })),
    ),
  ),
});
const makings = plan.loads.map((load) =>
  loadMaking(plan, load, { tool: 'stick-pro', roomC: 20, bottles: {}, vessel: vesselOf(10_000), unread: [] }),
);
const batch = (id: string, more: object = {}) => ({
  id,
  formulaId: 'house',
  version: 1,
  day: '2026-11-26',
  plan: snapshot,
  by,
  loads: makings.map((making, i) => ({ trialId: `${id}-load-${i + 1}`, making })),
  ...more,
});
const happened = (id: string, event: object) => ({ id, event, by });
let count = 0;
const say = <T = BatchRecord>(id: string, event: object) =>
  client.post<T>(`batches/${id}/events`, happened(`event-${(count += 1)}`, event));
async function weigh(trialId: string, steps: readonly Step[], factor = 1): Promise<void> {
  for (const step of steps) {
    const event =
      step.kind === 'weigh'
        ? {
            kind: 'took',
            stepId: step.id,
            line: { ...step.line, massG: step.line.massG * factor },
            reading: { source: 'typed', deviceId: '' },
            seen: null,
          }
        : { kind: 'did', stepId: step.id };
    await client.post(`trials/${trialId}/events`, happened(`${trialId}-${step.id}`, event));
  }
}
const weighAll = async (id: string): Promise<void> => {
  for (const [i, { steps }] of makings.entries()) await weigh(`${id}-load-${i + 1}`, steps);
};

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder, { instruments: simulatedInstruments(1), now: () => now }));
});
afterAll(() => closeDown(kitchen, folder));

describe('batches over HTTP', () => {
  it('come to be with their loads, once, numbered within their day', async () => {
    const { status, body } = await client.post<BatchRecord>('batches', batch('one'));
    expect(status).toBe(201);
    expect(body).toMatchObject({ number: '20261126-01', state: 'planned', version: 1, formulaName: 'House' });
    expect(body.loads.map(({ batch: of }) => of)).toEqual([
      { batchId: 'one', role: 'load', load: 1, of: 2 },
      { batchId: 'one', role: 'load', load: 2, of: 2 },
    ]);
    expect((await client.post<BatchRecord>('batches', batch('one'))).body.number).toBe('20261126-01');
    expect((await client.post<BatchRecord>('batches', batch('second'))).body.number).toBe('20261126-02');
    expect(
      (await client.post<BatchRecord>('batches', batch('later', { day: '2026-11-27' }))).body.number,
    ).toBe('20261127-01');
    const day = await client.get<BatchRecord[]>('batches?day=2026-11-26');
    expect(day.body.map(({ id }) => id)).toEqual(['one', 'second']);
    expect((await client.get<BatchList>('formulas/house/batches')).body.batches).toHaveLength(3);
  });

  it('refuse what is no batch, and a version that is not there', async () => {
    expect((await client.post('batches', batch('x', { version: 9 }))).status).toBe(404);
    expect((await client.post('batches', batch('x', { loads: [] }))).status).toBe(400);
    expect((await client.post('batches', batch('x', { day: '2026-13-40' }))).status).toBe(400);
    const { body } = await client.post<Refused['body']>(
      'batches',
      batch('x', { plan: { ...snapshot, madeMl: -1 } }),
    );
    expect(body.error).toMatchObject({ code: 'invalid' });
    expect((await client.get('batches?day=yesterday')).status).toBe(400);
    expect((await client.get('batches/nobody')).status).toBe(404);
    // Nothing of a refused batch stays behind: not even a load.
    const jars = (await client.get<TrialRecord[]>('formulas/house/trials')).body;
    expect(jars.filter(({ id }) => id.startsWith('x-'))).toEqual([]);
  });

  it('come to be with what goes on from them, all or none, and end no later than their base', async () => {
    const line = { ...snapshot.lines[0]!, ingredientId: 'made-house-1', name: 'House v1' };
    const ending = (id: string, more: object = {}) => ({
      id,
      formulaId: 'house',
      version: 1,
      plan: { ...snapshot, lines: [line, ...snapshot.lines.slice(1)] },
      loads: [{ trialId: `${id}-load-1`, making: makings[0]! }],
      ...more,
    });
    const day = '2026-12-20';
    const refused = async (endings: readonly object[], status: number): Promise<void> => {
      const asked = batch('base', { day, endings });
      expect((await client.post('batches', asked)).status).toBe(status);
      expect((await client.get('batches/base')).status).toBe(404);
      expect((await client.get<BatchRecord[]>(`batches?day=${day}`)).body).toEqual([]);
    };
    // The base is not in it; there is no such version; two of one id; a load that is taken.
    await refused([ending('e1', { plan: snapshot })], 400);
    await refused([ending('e1'), ending('e2', { version: 9 })], 404);
    await refused([ending('e1'), ending('e1')], 409);
    await refused([ending('e1', { loads: [{ trialId: 'one-load-1', making: makings[0]! }] })], 409);
    await refused(
      Array.from({ length: 13 }, (_, i) => ending(`e${i}`)),
      400,
    );

    const asked = batch('base', { day, endings: [ending('e1'), ending('e2')] });
    for (let again = 0; again < 2; again++)
      expect((await client.post<BatchRecord>('batches', asked)).body).toMatchObject({
        number: '20261220-01',
        base: null,
      });
    const all = (await client.get<BatchRecord[]>(`batches?day=${day}`)).body;
    expect(all.map(({ id }) => id)).toEqual(['base', 'e1', 'e2']);
    expect(all[1]!.base).toMatchObject({
      batchId: 'base',
      number: '20261220-01',
      version: 1,
      state: 'planned',
    });
    expect(all[1]!.loads).toHaveLength(1);
    // What the base's record says of its days is what its endings go by.
    await client.post('batches/base/events', happened('shorter', { kind: 'use-by', days: 1, reason: '' }));
    const { base } = (await client.get<BatchRecord>('batches/e1')).body;
    expect(base).toMatchObject({ useBy: day });
    await client.post('batches/base/events', happened('off', { kind: 'called-off', reason: 'snow' }));
    expect((await client.get<BatchRecord>('batches/e2')).body.base).toMatchObject({ state: 'called-off' });
    for (const id of ['e1', 'e2'])
      await client.post(
        `batches/${id}/events`,
        happened(`off-${id}`, { kind: 'called-off', reason: 'snow' }),
      );
  });

  it('are weighed load by load, combined, judged and signed, in that order', async () => {
    const signed = { kind: 'signed', name: 'Ida Fell' };
    expect((await say<Refused['body']>('one', signed)).status).toBe(409);
    const combine = { trialId: 'whole-one', vesselId: 'bucket_20000', by };
    const early = await client.post<Refused['body']>('batches/one/combine', combine);
    expect([early.status, early.body.error.message]).toEqual([409, expect.stringContaining('weighed out')]);
    await weigh('one-load-1', makings[0]!.steps);
    expect((await client.get<BatchRecord>('batches/one')).body.state).toBe('weighing');
    await weigh('one-load-2', makings[1]!.steps);
    expect((await client.get<BatchRecord>('batches/one')).body.state).toBe('weighed');
    const { body } = await client.post<BatchRecord>('batches/one/combine', combine);
    expect(body.state).toBe('combined');
    // Everything that was weighed, and nothing that was held back.
    const salt = (lines: readonly { ingredientId: string; massG: number }[]) =>
      lines.find(({ ingredientId }) => ingredientId === 'salt_sea_fine')!.massG;
    const planned = plan.lines.find(({ id }) => id === 'salt_sea_fine')!;
    expect(salt(body.whole!.lines)).toBeCloseTo(planned.plannedG, 6);
    expect(planned.asideG / planned.exactG).toBeCloseTo(0.15, 6);
    expect((await client.post<BatchRecord>('batches/one/combine', combine)).body.whole!.id).toBe('whole-one');
    expect((await client.post('batches/one/combine', { ...combine, trialId: 'another' })).status).toBe(409);
    const unjudged = await say<Refused['body']>('one', signed);
    expect(unjudged.body.error.message).toContain('whether it is right');
    await say('one', { kind: 'verdict', right: true, note: '' });
    expect((await say('one', signed)).body).toMatchObject({ state: 'signed' });
    expect((await say('one', { kind: 'verdict', right: false, note: '' })).status).toBe(409);
    expect((await say('one', { kind: 'noted', note: 'the second bucket stood an hour' })).status).toBe(201);
  });

  it('keep a temperature with its source, and vouch for it', async () => {
    const temperature = (source: string) => ({
      kind: 'temperature',
      where: 'mixed',
      value: 18.5,
      reading: { source, deviceId: 'simulated-thermometer' },
    });
    await say('second', temperature('device'));
    const { body } = await say('second', temperature('typed'));
    const sources = body.events.map(({ event }) =>
      event.kind === 'temperature' ? event.reading.source : '',
    );
    expect(sources).toEqual(['simulated', 'typed']);
    expect((await say('second', { ...temperature('typed'), value: 900 })).status).toBe(400);
  });

  it('are used by the cautions’ day; longer only with a reason', async () => {
    const longer = { kind: 'use-by', days: snapshot.keeping.days + 3, reason: '' };
    const { status, body } = await say<Refused['body']>('second', longer);
    expect([status, body.error.message]).toEqual([400, expect.stringContaining('type the reason')]);
    expect((await say('second', { ...longer, reason: 'pH 3.1, checked by the county' })).status).toBe(201);
    expect((await say('second', { kind: 'use-by', days: 1, reason: '' })).status).toBe(201);
    expect((await say('second', { kind: 'use-by', days: 1.5, reason: '' })).status).toBe(400);
  });

  it('can be called off, and then are neither combined nor signed', async () => {
    expect((await say('second', { kind: 'called-off', reason: 'fog, nobody comes' })).body).toMatchObject({
      state: 'called-off',
    });
    const combine = { trialId: 'whole-second', vesselId: 'bucket_20000', by };
    expect((await client.post('batches/second/combine', combine)).status).toBe(409);
  });

  it('count once towards proving their version, however many loads they had', async () => {
    const before = (await client.get<Standings>('formulas/house/standings')).body[1]!;
    await client.post('batches', batch('third'));
    await weighAll('third');
    await client.post('batches/third/combine', { trialId: 'whole-third', vesselId: 'bucket_20000', by });
    const tasted = {
      kind: 'tasted',
      on: 'leaf',
      temperatureC: null,
      minutesAfterShake: 3,
      rows: {},
      bite: null,
      flat: false,
      right: true,
      note: '',
      drawnG: 2,
    };
    await client.post('trials/whole-third/events', happened('taste-third', tasted));
    const after = (await client.get<Standings>('formulas/house/standings')).body[1]!;
    expect([after.made - before.made, after.right - before.right]).toEqual([1, 1]);
    expect(
      (await client.get<TrialRecord[]>('trials')).body.some(({ batch: of }) => of?.role === 'load'),
    ).toBe(false);
  });

  it('say what the cautions say', () => {
    const judged = judgePortions(
      plan.lines.map(({ ingredient, form, exactG }) => ({ ingredient, form, massG: exactly(exactG) })),
    );
    expect(snapshot.keeping).toMatchObject({
      days: judged.keeping.days,
      cold: true,
    });
    const said = saySafetyOfTheDay(snapshot.safety);
    expect(said.because).toBe('garlic, herbs or vegetables under oil');
    expect(said.allergens).toContain('mustard');
  });
});

describe('paper over HTTP', () => {
  const send = (path: string, body: object) =>
    fetch(`${kitchen.address}/api/print/${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', origin: kitchen.address },
      body: JSON.stringify(body),
    });

  it('is a PDF, or says what is missing', async () => {
    await client.post('batches', batch('paper'));
    const held = (path: string): Promise<Response> => fetch(`${kitchen.address}/api/print/${path}`);
    for (const path of [
      'batches/paper/sheet?language=de-DE&timeZone=Europe/Berlin',
      'batches/paper/labels?size=a4-8&copies=2',
      'batches/paper/pull-list',
      'days/2026-11-26/pull-list',
    ]) {
      const answer = await held(path);
      expect([answer.status, answer.headers.get('content-type')], path).toEqual([200, 'application/pdf']);
      const bytes = Buffer.from(await answer.arrayBuffer());
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    }
    expect((await held('batches/nobody/sheet')).status).toBe(404);
    for (const wrong of [
      'batches/paper/labels?size=a3',
      'batches/paper/labels?size=a4-8&copies=0',
      'batches/paper/sheet?timeZone=Middle/Earth',
      'batches/paper/sheet?language=1',
      'days/yesterday/pull-list',
    ])
      expect((await held(wrong)).status, wrong).toBe(400);
    const table = {
      title: 'x',
      note: '',
      ticks: false,
      columns: [{ title: 'a', share: 1, align: 'left' }],
      rows: [['a', 'b']],
    };
    const sheet = { title: 'x', subtitle: '', facts: [], tables: [table], notes: [], signatures: [] };
    expect((await send('sheet', sheet)).status).toBe(400);
    expect((await send('sheet', { ...sheet, tables: [] })).status).toBe(200);
    const line = { name: 'oil', said: '', volumeMl: 10, heightMm: 10, alongMm: 90, bySpoon: false };
    const strip = { status: 'strip', lines: [line], floorMm: 4, brimMm: 80, slopes: false };
    const asked = { strip, words: { name: 'x', version: 'v1', vessel: 'jar', lines: ['oil'] } };
    expect((await send('strip', asked)).status).toBe(400);
    expect((await send('strip', { ...asked, strip: { ...strip, brimMm: 100 } })).status).toBe(200);
  });
});

it('a batch cannot be edited away: the database itself refuses', async () => {
  await kitchen.stop();
  const { db, close } = await openTables(folder);
  for (const statement of [
    sql`update batches set version = 2`,
    sql`delete from batches`,
    sql`update batch_events set event = '{}'::jsonb`,
    sql`delete from batch_events`,
  ]) {
    const refused = await db.execute(statement).then(
      () => 'done',
      (error: unknown) => String((error as { cause?: unknown }).cause ?? error),
    );
    expect(refused).toContain('add a correction');
  }
  await close();
  kitchen = await openKitchen(folder);
  client = new Client(kitchen.address);
  expect((await client.get<BatchRecord>('batches/one')).body.state).toBe('signed');
});

describe('what several take on at once', () => {
  it('is taken on once: the kitchen looks whether there is enough of it that day', async () => {
    const day = '2026-11-30';
    const need = { day, needMl: snapshot.yieldMl };
    const taken = await Promise.all(
      ['left', 'right'].map((id) => client.post<BatchRecord>('batches', batch(`tablet-${id}`, need))),
    );
    expect(taken.map(({ status }) => status)).toEqual([201, 201]);
    expect(new Set(taken.map(({ body }) => body.number))).toEqual(new Set(['20261130-01']));
    // What is wanted beyond it is another batch.
    const more = await client.post<BatchRecord>(
      'batches',
      batch('more', { day, needMl: snapshot.yieldMl * 2 }),
    );
    expect(more.body.number).toBe('20261130-02');
  });
});
