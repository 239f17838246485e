import { existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ErrorBody, ShelfRecord, Standings, TrialRecord } from '#contract';
import { restoreFromFile, saveToFile } from './backup/commandLine';
import { BackupError, NOT_SAVED, TABLES, unpack, type Backup } from './backup/format';
import { found } from './db/client';
import type { RunningKitchen } from './start';
import {
  Client,
  dropFolder,
  migrationsFolder,
  openKitchen,
  sampleFormula,
  tempFolder,
  openTables,
  databaseOf,
} from './testing/kitchen';

const folders = [tempFolder(), tempFolder()];
let demo: RunningKitchen;
let empty: RunningKitchen;
const now = (): Date => new Date('2026-11-26T12:00:00.000Z');

beforeAll(async () => {
  demo = await openKitchen(folders[0]!, { demo: true, now });
  empty = await openKitchen(folders[1]!, { now });
});
afterAll(async () => {
  await demo.stop();
  await empty.stop();
  folders.forEach(dropFolder);
});

const save = async (kitchen: RunningKitchen): Promise<Buffer> => {
  const response = await fetch(`${kitchen.address}/api/backup`);
  expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/gzip']);
  expect(response.headers.get('content-disposition')).toContain('kitchen-2026-11-26.ygrana');
  return Buffer.from(await response.arrayBuffer());
};
const restore = async (kitchen: RunningKitchen, bytes: Uint8Array, type = 'application/gzip') => {
  const response = await fetch(`${kitchen.address}/api/restore`, {
    method: 'POST',
    headers: { 'content-type': type, origin: kitchen.address },
    body: bytes as BodyInit,
  });
  return { status: response.status, body: (await response.json()) as ErrorBody & Record<string, unknown> };
};
const opened = (bytes: Buffer): Backup => JSON.parse(gunzipSync(bytes).toString('utf8')) as Backup;
const names = async (kitchen: RunningKitchen): Promise<readonly string[]> =>
  (await new Client(kitchen.address).get<ShelfRecord[]>('formulas')).body
    .map(({ formula }) => formula.name)
    .sort();

describe('a backup', () => {
  it('holds every table there is', async () => {
    await demo.stop();
    const { db, close } = await openTables(folders[0]!);
    const rows = await found<{ name: string }>(
      db,
      sql`select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'`,
    );
    await close();
    demo = await openKitchen(folders[0]!, { demo: true, now });
    expect(rows.map(({ name }) => name).sort()).toEqual([...TABLES, ...NOT_SAVED].sort());
    const { rows: saved, kitchen } = unpack(await save(demo));
    expect(kitchen).toBe('Tarn House');
    expect(Object.keys(saved).sort()).toEqual([...TABLES].sort());
  });

  it('comes back whole, row for row, in another kitchen, and what was there is laid aside', async () => {
    const bytes = await save(demo);
    await new Client(empty.address).post('formulas', { id: 'mine', formula: sampleFormula('Mine alone') });
    expect(await names(empty)).toEqual(['Mine alone']);
    const { status, body } = await restore(empty, bytes);
    expect(status).toBe(200);
    expect(body).toMatchObject({ kitchen: 'Tarn House', formulas: 10, batches: 3 });
    expect(await names(empty)).toEqual(await names(demo));
    const byId = (backup: Backup): Record<string, unknown> =>
      Object.fromEntries(
        Object.entries(backup.rows).map(([table, rows]) => [
          table,
          rows.map((row) => JSON.stringify(row)).sort(),
        ]),
      );
    expect(byId(opened(await save(empty)))).toEqual(byId(opened(bytes)));
    // What is remembered of versions is read anew.
    const standings = async (kitchen: RunningKitchen) =>
      (await new Client(kitchen.address).get<Standings>('standings')).body;
    expect(await standings(empty)).toEqual(await standings(demo));
    // The kitchen works on: the next event finds a number of its own.
    const client = new Client(empty.address);
    const event = { kind: 'shook', seconds: 20 };
    const by = { cookId: null, deviceId: 'test' };
    const answer = await client.post<TrialRecord>('trials/demo-jar-1/events', { id: 'after', event, by });
    expect(answer.status).toBe(201);
    const aside = readdirSync(join(folders[1]!, 'aside'));
    expect(aside).toEqual(['before-restore-2026-11-26T12-00-00-000Z.ygrana']);
    // And that is a backup, too.
    const back = opened(await readBytes(join(folders[1]!, 'aside', aside[0]!)));
    expect((back.rows.formulas![0]!.content as { name: string }).name).toBe('Mine alone');
  });
});

const readBytes = async (file: string): Promise<Buffer> => (await import('node:fs/promises')).readFile(file);

describe('what is refused, with nothing lost', () => {
  it('a damaged, cut, foreign or oversized file', async () => {
    const good = await save(demo);
    const before = await names(demo);
    const value = opened(good);
    const packed = (patch: object): Buffer => gzipSync(JSON.stringify({ ...value, ...patch }));
    const bent = { ...value.rows, cooks: [] };
    for (const [bytes, says] of [
      [good.subarray(0, good.length / 2), 'cannot be unpacked'],
      [Buffer.from('not a backup at all'), 'cannot be unpacked'],
      [gzipSync('{"half": '), 'no backup of a kitchen'],
      [gzipSync('{"recipes": []}'), 'understood here'],
      [packed({ rows: bent }), 'its rows are not what was saved'],
      [packed({ rows: { ...value.rows, '../../etc/passwd': [] } }), 'understood here'],
      [packed({ ygranaBackup: 2 }), 'understood here'],
    ] as const) {
      const { status, body } = await restore(demo, bytes);
      expect([status, body.error.message]).toEqual([400, expect.stringContaining(says)]);
    }
    expect((await restore(demo, good, 'text/plain')).status).toBe(415);
    expect(await names(demo)).toEqual(before);
    expect(existsSync(join(folders[0]!, 'aside'))).toBe(false);
  });

  it('one of a newer Ygrana, and one whose rows the kitchen would not understand', async () => {
    const { pack } = await import('./backup/format');
    const { rows, migrations, madeAt, kitchen } = opened(await save(demo));
    const about = { migrations, madeAt, kitchen };
    const newer = await restore(demo, pack({ ...about, migrations: migrations + 5, rows }));
    expect(newer.body.error.message).toContain('newer Ygrana');
    const [first, ...rest] = rows.formulas!;
    const bent = { ...first!, content: { name: 'No formula' } };
    const nonsense = await restore(demo, pack({ ...about, rows: { ...rows, formulas: [bent, ...rest] } }));
    expect(nonsense.body.error.message).toContain('not understood');
    const torn = await restore(
      demo,
      pack({ ...about, rows: { ...rows, versions: rows.versions!, formulas: [] } }),
    );
    expect(torn.body.error.message).toContain('does not fit its own tables');
    expect(await names(demo)).toHaveLength(10);
  });

  it('is said before anything is unpacked beyond its size', () => {
    expect(() => unpack(Buffer.alloc(129 * 1024 * 1024))).toThrow(BackupError);
  });
});

it('a backup of the first day is brought up to date', async () => {
  const { pack } = await import('./backup/format');
  const content = { ...sampleFormula('First day'), additions: [] };
  const { styleId: _s, targetRatio: _r, tool: _t, mixSeconds: _m, basedOnVersion: _b, ...young } = content;
  const at = '2026-01-05T09:00:00.000Z';
  const bytes = pack({
    migrations: 1,
    madeAt: at,
    kitchen: 'Old house',
    rows: { formulas: [{ id: 'old', revision: 3, content: young, created_at: at, updated_at: at }] },
  });
  const { status, body } = await restore(empty, bytes);
  expect([status, body.formulas]).toEqual([200, 1]);
  expect(await names(empty)).toEqual(['First day']);
});

describe('from the command line', () => {
  const at = async (folder: string) => ({
    ...(await databaseOf(folder)),
    dataFolder: folder,
    migrationsFolder,
    now,
  });
  it('asks the running server, and works on the folder where none runs', async () => {
    const file = join(folders[1]!, 'saved.ygrana');
    expect(await saveToFile(file, await at(folders[0]!))).toContain('is saved in');
    expect(await restoreFromFile(file, await at(folders[1]!))).toContain('10 formulas');
    expect(await names(empty)).toHaveLength(10);
    await empty.stop();
    const closed = join(folders[1]!, 'closed.ygrana');
    expect(await saveToFile(closed, await at(folders[1]!))).toContain('closed.ygrana');
    const third = tempFolder();
    try {
      expect(await restoreFromFile(closed, await at(third))).toContain('What was there before lies in');
      const kitchen = await openKitchen(third, { now });
      expect(await names(kitchen)).toHaveLength(10);
      await kitchen.stop();
    } finally {
      dropFolder(third);
      empty = await openKitchen(folders[1]!, { now });
    }
  });
  it('says what is wrong', async () => {
    await expect(restoreFromFile('/nowhere/at.all', await at(folders[0]!))).rejects.toThrow(/cannot be read/);
    const file = join(folders[0]!, 'broken.ygrana');
    writeFileSync(file, 'no');
    await expect(restoreFromFile(file, await at(folders[0]!))).rejects.toThrow(/cannot be unpacked/);
  });
});
