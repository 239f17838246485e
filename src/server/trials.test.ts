import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { TrialRecord } from '#contract';
import { found } from './db/client';
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
const by = { cookId: 'ida', deviceId: 'tablet' };
const lines = [
  { ingredientId: 'vin_cider5', form: '', massG: 30 },
  { ingredientId: 'rapeseed', form: '', massG: 82 },
];
const jar = (id: string, more: object = {}) => ({
  id,
  formulaId: 'house',
  version: 1,
  vesselId: 'swing_top_500',
  lines,
  by,
  ...more,
});
const tasting = {
  kind: 'tasted',
  on: 'leaf',
  temperatureC: 19,
  minutesAfterShake: 12,
  rows: { acid: 1 },
  bite: null,
  flat: false,
  right: false,
  note: 'a touch',
  drawnG: 2,
};

beforeAll(async () => {
  ({ kitchen, client } = await openHouse(folder));
});
afterAll(() => closeDown(kitchen, folder));

describe('jars over HTTP', () => {
  it('begins one from a version, once, however often it is sent', async () => {
    const first = await client.post<TrialRecord>('trials', jar('one'));
    const again = await client.post<TrialRecord>('trials', jar('one'));
    expect([first.status, first.body.version, first.body.by, again.body.at]).toEqual([
      201,
      1,
      by,
      first.body.at,
    ]);
    expect((await client.get<TrialRecord[]>('formulas/house/trials')).body).toHaveLength(1);
    const missing = await client.post<Refused['body']>('trials', jar('two', { version: 9 }));
    expect([missing.status, missing.body.error.message.includes('Save it as a version first')]).toEqual([
      404,
      true,
    ]);
  });

  it('records tastings and additions in order, once each, with who and where', async () => {
    const record = (id: string, event: unknown) =>
      client.post<TrialRecord & Refused['body']>('trials/one/events', { id, event, by });
    await record('t1', tasting);
    await record('t1', tasting);
    const added = { kind: 'added', lines: [{ ingredientId: 'honey', form: '', massG: 3.5 }], note: '' };
    const after = await record('a1', added);
    expect(after.body.events.map(({ event }) => event.kind)).toEqual(['tasted', 'added']);
    expect(after.body.events[0]!.by).toEqual(by);
    expect((await client.post('trials/nowhere/events', { id: 'x', event: tasting, by })).status).toBe(404);
    expect((await record('bad', { ...tasting, rows: { acid: 5 } })).status).toBe(400);
    expect((await record('bad', { ...added, lines: [] })).status).toBe(400);
  });

  it('cannot be edited away: the database itself refuses', async () => {
    await kitchen.stop();
    const { db, close } = await openTables(folder);
    const refused = async (statement: ReturnType<typeof sql>): Promise<string> => {
      try {
        await db.execute(statement);
        return 'done';
      } catch (error) {
        return String((error as { cause?: unknown }).cause ?? error);
      }
    };
    expect(await refused(sql`update trial_events set by = '{}'::jsonb`)).toContain('add a correction');
    expect(await refused(sql`delete from trial_events`)).toContain('add a correction');
    expect(await refused(sql`delete from trials`)).toContain('add a correction');
    for (const table of ['measures', 'panels', 'panel_answers', 'trials', 'trial_events']) {
      const [triggers] = await found<{ n: string }>(
        db,
        sql`select count(*) as n from pg_trigger where tgrelid = ${table}::regclass and not tgisinternal`,
      );
      expect(Number(triggers!.n), table).toBe(1);
    }
    await db.execute(sql`insert into panels values ('p', '{}'::jsonb, now())`);
    expect(await refused(sql`update panels set content = '{}'::jsonb`)).toContain('add a correction');
    await db.execute(sql`insert into measures values ('m', null, 'pinch', 'salt_table', '[]'::jsonb, now())`);
    expect(await refused(sql`delete from measures`)).toContain('add a correction');
    await close();
    kitchen = await openKitchen(folder);
    client = new Client(kitchen.address);
    expect((await client.get<TrialRecord[]>('formulas/house/trials')).body[0]!.events).toHaveLength(2);
  });
});
