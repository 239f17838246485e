import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import type { ErrorBody, Restoring, Standings, TrialRecord } from '#contract';
import { restoreFromFile, saveToFile } from './backup/commandLine';
import { buildFrom } from './backup/build';
import { BACKUP_FORMAT, BackupError, NOT_SAVED, TABLES } from './backup/format';
import { inProcess } from './backup/inProcess';
import { readBackup } from './backup/read';
import { ROW_SCHEMAS } from './backup/rowSchemas';
import { found } from './db/client';
import type { RunningKitchen } from './start';
import { bundle } from './testing/bundle';
import {
  allFormulas,
  Client,
  dropFolder,
  migrationsFolder,
  onServer,
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
  // Its work is done by a process of its own, as in the program; elsewhere the tests save themselves the time.
  const runJob = inProcess([inject('backupWorker')]);
  demo = await openKitchen(folders[0]!, { demo: true, now, runJob });
  empty = await openKitchen(folders[1]!, { now, runJob });
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
/** What a file of today holds, built whole. */
interface Backup {
  readonly migrations: number;
  readonly madeAt: string;
  readonly kitchen: string;
  readonly rows: Partial<Record<string, Record<string, unknown>[]>>;
}
function opened(bytes: Buffer): Backup {
  const [first, ...lines] = gunzipSync(bytes).toString('utf8').trim().split('\n');
  const rows: Backup['rows'] = {};
  for (const line of lines.slice(0, -1)) {
    const [table, row] = JSON.parse(line) as [string, Record<string, unknown>];
    (rows[table] ??= []).push(row);
  }
  return { ...(JSON.parse(first!) as Omit<Backup, 'rows'>), rows };
}
/** A file as today's program writes one. */
function pack({ rows, ...about }: Backup, format = BACKUP_FORMAT): Buffer {
  const text = [
    JSON.stringify({ ...about, ygranaBackup: format }),
    ...Object.entries(rows).flatMap(([table, all]) => all!.map((row) => JSON.stringify([table, row]))),
    '',
  ].join('\n');
  const sha256 = createHash('sha256').update(text).digest('hex');
  return gzipSync(`${text}${JSON.stringify({ sha256 })}\n`);
}
/** A file as releases before wrote one. */
function packedAsBefore({ rows, ...about }: Backup): Buffer {
  const sha256 = createHash('sha256').update(JSON.stringify(rows)).digest('hex');
  return gzipSync(JSON.stringify({ ...about, ygranaBackup: 1, rows, sha256 }));
}
const names = async (kitchen: RunningKitchen): Promise<readonly string[]> =>
  (await allFormulas(new Client(kitchen.address))).map(({ formula }) => formula.name).sort();

/** To its markers a JPEG of eight by eight pixels. */
const leastJpeg = Buffer.from('ffd8ffc0000b080008000801011100ffda0008010100003f0012ffd9', 'hex');

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
    const { rows: saved, kitchen } = opened(await save(demo));
    expect(kitchen).toBe('Tarn House');
    // The demo has something in every table but those of its screens.
    expect(Object.keys(saved).every((table) => (TABLES as readonly string[]).includes(table))).toBe(true);
    expect(Object.keys(saved)).toEqual(
      expect.arrayContaining(['formulas', 'trial_events', 'plans', 'batches']),
    );
  });

  it('comes back whole, row for row, in another kitchen, and what was there is laid aside', async () => {
    const [jar] = (await new Client(demo.address).get<{ id: string }[]>('trials')).body;
    const corner = (x: number, y: number) => ({ x, y });
    const marks = { floor: [corner(1, 7), corner(7, 7)], surface: [corner(1, 1), corner(7, 1)] };
    const picture = {
      ...{
        id: 'p-1',
        takenAt: '2026-11-26T09:00:00.000Z',
        seconds: 600,
        by: { cookId: null, deviceId: 'tablet' },
      },
      seen: { marks, layers: [{ kind: 'mixed', from: 0, to: 1, doubt: [0, 0] }], byHand: false },
      jpeg: leastJpeg.toString('base64'),
    };
    expect((await new Client(demo.address).post(`trials/${jar!.id}/pictures`, picture)).status).toBe(201);
    const bytes = await save(demo);
    expect(opened(bytes).rows.pictures).toHaveLength(1);
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
          rows!.map((row) => JSON.stringify(row)).sort(),
        ]),
      );
    expect(byId(opened(await save(empty)))).toEqual(byId(opened(bytes)));
    // What is remembered of versions is read anew.
    const standings = async (kitchen: RunningKitchen) =>
      Promise.all(
        (await allFormulas(new Client(kitchen.address))).map(
          async ({ id }) =>
            (await new Client(kitchen.address).get<Standings>(`formulas/${id}/standings`)).body,
        ),
      );
    expect((await standings(demo)).some((one) => Object.keys(one).length > 0)).toBe(true);
    expect(await standings(empty)).toEqual(await standings(demo));
    // The kitchen works on: the next event finds a number of its own.
    const client = new Client(empty.address);
    const event = { kind: 'shook', seconds: 20 };
    const by = { cookId: null, deviceId: 'test' };
    const answer = await client.post<TrialRecord>('trials/demo-jar-1/events', { id: 'after', event, by });
    expect(answer.status).toBe(201);
    const laid = (): readonly string[] => readdirSync(join(folders[1]!, 'aside'));
    await expect.poll(laid, { timeout: 20_000 }).toEqual(['before-restore-2026-11-26T12-00-00-000Z.ygrana']);
    // And that is a backup, too.
    const back = opened(await readBytes(join(folders[1]!, 'aside', laid()[0]!)));
    expect((back.rows.formulas![0]!.content as { name: string }).name).toBe('Mine alone');
  });
});

const readBytes = async (file: string): Promise<Buffer> => (await import('node:fs/promises')).readFile(file);

describe('what is refused', () => {
  let good: Buffer;
  let value: Backup;
  beforeAll(async () => {
    good = await save(demo);
    value = opened(good);
  });
  const fileOf = (bytes: Buffer): string => {
    const file = join(folders[1]!, 'tried.ygrana');
    writeFileSync(file, bytes);
    return file;
  };
  const built = async (bytes: Buffer): Promise<unknown> => {
    const folder = tempFolder();
    try {
      return await buildFrom(fileOf(bytes), folder, migrationsFolder);
    } finally {
      dropFolder(folder);
    }
  };

  it('a damaged, cut, foreign or newer file', async () => {
    const text = gunzipSync(good).toString('utf8');
    const before = { ...value, rows: { ...value.rows, cooks: [] } };
    for (const [bytes, says] of [
      [good.subarray(0, good.length / 2), 'cannot be unpacked'],
      [Buffer.from('not a backup at all'), 'cannot be unpacked'],
      [Buffer.alloc(0), 'cannot be unpacked'],
      [gzipSync('{"half": '), 'no backup of a kitchen'],
      [gzipSync('{"recipes": []}'), 'no backup of a kitchen'],
      [gzipSync(text.replace('Tarn House', 'Barn House')), 'its rows are not what was saved'],
      [gzipSync(text.split('\n').slice(0, -40).join('\n')), 'its rows are not what was saved'],
      [gzipSync(`${text}${text}`), 'its rows are not what was saved'],
      [pack({ ...value, rows: { ...value.rows, etc_passwd: [{}] } }), 'no kitchen has such a table'],
      [packedAsBefore({ ...value, rows: { etc_passwd: [] } }), 'no kitchen has such a table'],
      [
        gzipSync(gunzipSync(packedAsBefore(before)).toString().replace('"cooks":[]', '"cooks":[{}]')),
        'its rows',
      ],
      [pack({ ...value, madeAt: 'noon' }), 'understood here'],
      [pack(value, 3), 'newer Ygrana'],
    ] as const) {
      const said = await readBackup(fileOf(bytes)).then(String, (error: Error) => error.message);
      expect(said).toContain(says);
      await expect(readBackup(fileOf(bytes))).rejects.toBeInstanceOf(BackupError);
    }
    // As it was written, it is read; and so is one of a release before.
    expect(await readBackup(fileOf(good))).toMatchObject({ kitchen: 'Tarn House' });
    expect(await readBackup(fileOf(packedAsBefore(before)))).toMatchObject({ kitchen: 'Tarn House' });
  });

  it('over HTTP, with nothing lost', async () => {
    const shelf = await names(demo);
    const { status, body } = await restore(demo, good.subarray(0, good.length / 2));
    expect([status, body.error.message]).toEqual([400, expect.stringContaining('cannot be unpacked')]);
    expect((await restore(demo, good, 'text/plain')).status).toBe(415);
    expect((await restore(demo, new Uint8Array())).status).toBe(400);
    expect(await names(demo)).toEqual(shelf);
    expect(existsSync(join(folders[0]!, 'aside'))).toBe(false);
    expect((await new Client(demo.address).get<Restoring>('restore')).body).toEqual({
      stage: 'none',
      rows: 0,
    });
  });

  it('one whose rows its own tables would not take', async () => {
    await expect(built(pack({ ...value, migrations: value.migrations + 5 }))).rejects.toThrow('newer Ygrana');
    const torn = { ...value, rows: { ...value.rows, formulas: [] } };
    await expect(built(pack(torn))).rejects.toThrow('does not fit its own tables');
  });

  it('one whose rows the kitchen would not understand, whatever the table', () => {
    const nonsense: Readonly<Record<string, object>> = {
      formulas: { content: { name: 'No formula' } },
      versions: { number: 2 ** 40 },
      ingredients: { row: { id: 'x' } },
      vessels: { content: 7 },
      settings: { content: { kitchenName: 7 } },
      pantry: { content: { onHandG: 'much' } },
      cooks: { content: {} },
      styles: { content: [] },
      trials: { lines: [{ massG: -3 }] },
      trial_events: { event: { kind: 'danced' } },
      measures: { unit: 'ladle' },
      panels: { content: { kind: 'duel' } },
      panel_answers: { content: { taster: 0 } },
      batches: { plan: { target: 'everything' } },
      batch_events: { event: { kind: 'danced' } },
      dressings: { content: { ml: -1 } },
      plans: { content: { fromMin: 'noon' } },
      formula_dishes: { content: { dishes: [{ name: '' }] } },
      pictures: { jpeg: '<svg>' },
      practice: { content: { answers: [{ id: '' }] } },
      timers: { seconds: -5 },
      applied_changes: { formula_id: '../x' },
    };
    expect(Object.keys(nonsense).sort()).toEqual([...TABLES].sort());
    let tried = 0;
    for (const table of TABLES) {
      const row = value.rows[table]?.[0];
      if (row) expect([table, ROW_SCHEMAS[table].safeParse(row).success]).toEqual([table, true]);
      expect([table, ROW_SCHEMAS[table].safeParse({ ...row, ...nonsense[table] }).success]).toEqual([
        table,
        false,
      ]);
      tried += row ? 1 : 0;
    }
    expect(tried).toBeGreaterThanOrEqual(11);
  });

  it('and says which row of which table it is', async () => {
    const [first, ...rest] = value.rows.trial_events!;
    const bent = { ...first!, event: { kind: 'danced' } };
    const rows = { ...value.rows, trial_events: [bent, ...rest] };
    await expect(built(pack({ ...value, rows }))).rejects.toThrow(/not understood: trial_events, at event/);
  });

  it('one that unpacks to more than any kitchen, before anything is built of it', async () => {
    const header = JSON.stringify({
      ygranaBackup: 2,
      migrations: 1,
      madeAt: now().toISOString(),
      kitchen: '',
    });
    const bombs = [
      gzipSync(`{"ygranaBackup":1,"rows":{"formulas":[${'0,'.repeat(20_000_000)}0]}}`),
      gzipSync(
        `{"ygranaBackup":1,"migrations":1,"madeAt":"${now().toISOString()}","kitchen":"","rows":{"formulas":[${'['.repeat(1_000_000)}`,
      ),
      gzipSync(`${header}\n["formulas","${'x'.repeat(12_000_000)}"]\n`),
      gzipSync(`${header}\n["formulas",${'['.repeat(5000)}${']'.repeat(5000)}]\n`),
    ];
    // In a process of its own: what else this one holds has no say. Built as text and numbers the first takes 600 MB.
    const reader = await bundle('src/server/testing/reader.ts', `reader-${process.pid}`);
    try {
      for (const bomb of bombs) {
        const { stdout } = spawnSync(process.execPath, [reader, fileOf(bomb)], { encoding: 'utf8' });
        const { said, mostKb } = JSON.parse(stdout) as { said: string; mostKb: number };
        expect(said).toBe('refused');
        expect(mostKb).toBeLessThan(250_000);
      }
    } finally {
      rmSync(reader, { force: true });
    }
  });
});

it('a backup of the first day is brought up to date', async () => {
  const content = { ...sampleFormula('First day'), additions: [] };
  const { styleId: _s, targetRatio: _r, tool: _t, mixSeconds: _m, basedOnVersion: _b, ...young } = content;
  const at = '2026-01-05T09:00:00.000Z';
  const bytes = packedAsBefore({
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
      expect(await restoreFromFile(closed, await at(third))).toContain('Nothing was there before.');
      const kitchen = await openKitchen(third, { now });
      expect(await names(kitchen)).toHaveLength(10);
      await kitchen.stop();
    } finally {
      dropFolder(third);
      empty = await openKitchen(folders[1]!, { now });
    }
  });
  it.skipIf(onServer)('takes a copy of an open kitchen’s folder for what it is', async () => {
    const shelf = await names(demo);
    const file = join(folders[1]!, 'saved.ygrana');
    const copy = `${folders[0]!}-copy`;
    cpSync(folders[0]!, copy, { recursive: true });
    const bytes = await save(empty);
    writeFileSync(file, bytes);
    expect(await restoreFromFile(file, await at(copy))).toContain('is restored');
    expect(await names(demo)).toEqual(shelf);
    const kitchen = await openKitchen(copy, { now });
    expect(await names(kitchen)).toEqual(await names(empty));
    await kitchen.stop();
    dropFolder(copy);
  });
  it('says what is wrong', async () => {
    await expect(restoreFromFile('/nowhere/at.all', await at(folders[0]!))).rejects.toThrow(/cannot be read/);
    const file = join(folders[0]!, 'broken.ygrana');
    writeFileSync(file, 'no');
    await expect(restoreFromFile(file, await at(folders[0]!))).rejects.toThrow(/cannot be unpacked/);
  });
});
