import { spawnSync } from 'node:child_process';
import {
  chmodSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import type { BackupsState, FormulaRecord, Settings, ShelfAnswer } from '#contract';
import type { Formula } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type Catalogue } from '#core/ingredient';
import { reckonFormula, withMade } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { DEMO_FORMULAS, DEMO_KITCHEN_NAME } from './demo/demoKitchen';
import { restoreFromFile } from './backup/commandLine';
import { readBackup } from './backup/read';
import { openDatabase } from './db/client';
import { demoFormula, loadDemo } from './demo/loadDemo';
import { SharedStore } from './features/changes/store';
import { FormulaStore } from './features/formulas/store';
import { StartError, type RunningKitchen } from './start';
import {
  allFormulas,
  Client,
  databaseOf,
  dropFolder,
  migrationsFolder,
  onServer,
  openKitchen,
  sampleFormula,
  tempFolder,
} from './testing/kitchen';

const folders: string[] = [];
const open: RunningKitchen[] = [];
const folder = (): string => {
  const path = tempFolder();
  folders.push(path);
  return path;
};
async function start(...args: Parameters<typeof openKitchen>): Promise<RunningKitchen> {
  const kitchen = await openKitchen(...args);
  open.push(kitchen);
  return kitchen;
}
afterEach(async () => {
  for (const kitchen of open.splice(0)) await kitchen.stop();
  for (const path of folders.splice(0)) dropFolder(path);
});

describe('a data folder', () => {
  it('holds what was typed after a restart', async () => {
    const data = folder();
    const first = await openKitchen(data);
    await new Client(first.address).post('formulas', { id: 'kept', formula: sampleFormula('Kept') });
    await first.stop();
    const second = await start(data);
    const { body } = await new Client(second.address).get<FormulaRecord>('formulas/kept');
    expect(body.formula).toEqual(sampleFormula('Kept'));
  });

  it.skipIf(onServer)('has one owner: the second start names the first', async () => {
    const data = folder();
    const first = await start(data);
    await expect(openKitchen(data)).rejects.toThrow(`process ${process.pid} at ${first.address}`);
    await expect(openKitchen(data)).rejects.toBeInstanceOf(StartError);
  });

  it.skipIf(onServer)('takes over the lock of a process that is gone', async () => {
    const data = folder();
    const gone = spawnSync(process.execPath, ['-e', '']).pid;
    mkdirSync(data, { recursive: true });
    writeFileSync(
      join(data, 'in-use.json'),
      JSON.stringify({ pid: gone, processStart: null, address: 'http://x', since: '' }),
    );
    const kitchen = await start(data);
    await kitchen.stop();
    expect(existsSync(join(data, 'in-use.json'))).toBe(false);
  });

  it('a taken port is a clear error and leaves nothing behind', async () => {
    const first = await start(folder());
    const data = folder();
    const port = Number(new URL(first.address).port);
    await expect(openKitchen(data, { port })).rejects.toThrow(`Port ${port} on 127.0.0.1 is taken`);
    expect(existsSync(join(data, 'in-use.json'))).toBe(false);
  });
});

describe('the demo kitchen', () => {
  it('is loaded once', async () => {
    const data = folder();
    const first = await openKitchen(data, { demo: true });
    const client = new Client(first.address);
    expect((await client.get<ShelfAnswer>('formulas')).body.records).toHaveLength(DEMO_FORMULAS.length);
    expect((await client.get<Settings>('settings')).body.kitchenName).toBe(DEMO_KITCHEN_NAME);
    await client.post('formulas', { id: 'mine', formula: sampleFormula('Mine') });
    await first.stop();
    const second = await start(data, { demo: true });
    const body = (await new Client(second.address).get<ShelfAnswer>('formulas')).body.records;
    expect(body).toHaveLength(DEMO_FORMULAS.length + 1);
  });

  it.each(DEMO_FORMULAS.map((demo) => [demo.name, demo] as const))(
    '%s can be read whole and fits its vessel',
    (_name, demo) => {
      const { working } = demoFormula(demo);
      const vessel = STARTING_VESSELS.find(({ id }) => id === working.vesselId)!;
      const contextFor = ({ spoons }: Formula, catalogue: Catalogue) =>
        ({ catalogue, decimalSign: 'point', measuring: measuringWith(spoons) }) as const;
      const versions = DEMO_FORMULAS.flatMap((other) =>
        demoFormula(other).versions.map((formula, index, all) => {
          return { formulaId: other.id, number: index + 1, latest: all.length, formula };
        }),
      );
      const catalogue = withMade(REFERENCE_CATALOGUE, versions, contextFor);
      const reckoning = reckonFormula(working, vessel, contextFor(working, catalogue));
      expect(reckoning.additions.filter(({ reading }) => reading.status === 'unread')).toEqual([]);
      expect(reckoning.headspace).not.toBe('overflows');
      expect(reckoning.totals.mixedVolumeMl).toBeGreaterThan(150);
      expect(reckoning.servings).toBeGreaterThan(4);
    },
  );
});

describe('letting others in', () => {
  it('refuses to listen beyond this machine without a passcode, and says why', async () => {
    const data = folder();
    await expect(openKitchen(data, { host: '0.0.0.0' })).rejects.toThrow('YGRANA_PASSCODE');
    await expect(openKitchen(data, { host: '0.0.0.0', passcode: 'short' })).rejects.toThrow('too short');
    expect(existsSync(join(data, 'in-use.json'))).toBe(false);
  });

  it('asks for the passcode, lets in with a strict cookie, and remembers it over a restart', async () => {
    const data = folder();
    const options = { host: '0.0.0.0', passcode: 'tarn at dusk' };
    const first = await openKitchen(data, options);
    const port = Number(new URL(first.address).port);
    const address = `http://127.0.0.1:${port}`;
    const client = new Client(address);
    expect((await client.get('formulas')).status).toBe(401);
    expect((await client.get('session')).body).toEqual({ needed: true, signedIn: false });
    expect((await client.post('session', { passcode: 'tarn at dawn' })).status).toBe(403);
    const answer = await fetch(`${address}/api/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', Origin: address },
      body: JSON.stringify({ passcode: 'tarn at dusk' }),
    });
    const cookie = answer.headers.get('set-cookie')!;
    expect(cookie).toMatch(/HttpOnly/i);
    expect(cookie).toMatch(/SameSite=Strict/i);
    const headers = { Cookie: cookie.split(';')[0]! };
    expect((await client.send('GET', 'formulas', undefined, headers)).status).toBe(200);
    const forged = { Cookie: headers.Cookie.replace(/=\d/, '=9') };
    expect((await client.send('GET', 'formulas', undefined, forged)).status).toBe(401);
    await first.stop();
    const second = await start(data, { ...options, port });
    expect((await client.send('GET', 'formulas', undefined, headers)).status).toBe(200);
    await second.stop();
    await start(data, { ...options, port, passcode: 'another one now' });
    expect((await client.send('GET', 'formulas', undefined, headers)).status).toBe(401);
  });

  it('a cookie is good for nothing once it was signed out, wherever a copy of it lies', async () => {
    const options = { passcode: 'tarn at dusk' };
    const data = folder();
    const first = await start(data, options);
    const signIn = async (): Promise<{ Cookie: string }> => {
      const answer = await fetch(`${first.address}/api/session`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Origin: first.address },
        body: JSON.stringify(options),
      });
      return { Cookie: answer.headers.get('set-cookie')!.split(';')[0]! };
    };
    const [mine, another] = [await signIn(), await signIn()];
    const client = new Client(first.address);
    const status = async (headers: { Cookie: string }) =>
      (await client.send('GET', 'formulas', undefined, headers)).status;
    expect([await status(mine), await status(another)]).toEqual([200, 200]);
    expect((await client.send('DELETE', 'session', '{}', mine)).status).toBe(200);
    expect([await status(mine), await status(another)]).toEqual([401, 200]);
    await first.stop();
    open.pop();
    const again = new Client((await start(data, options)).address);
    expect((await again.send('GET', 'formulas', undefined, mine)).status).toBe(401);
    expect((await again.send('GET', 'formulas', undefined, another)).status).toBe(200);
  });

  it('behind a proxy guesses count for each caller, and the cookie is for HTTPS alone', async () => {
    const kitchen = await start(folder(), {
      passcode: 'tarn at dusk',
      proxies: 1,
      extraHosts: ['kitchen.example'],
    });
    const from = (caller: string, passcode: string): Promise<Response> =>
      fetch(`${kitchen.address}/api/session`, {
        method: 'POST',
        headers: {
          'Content-Type': 'application/json',
          Origin: 'https://kitchen.example',
          'X-Forwarded-For': caller,
          'X-Forwarded-Proto': 'https',
          'X-Forwarded-Host': 'kitchen.example',
        },
        body: JSON.stringify({ passcode }),
      });
    for (let i = 0; i < 10; i++) expect((await from('192.0.2.7', `guess ${i}`)).status).toBe(403);
    expect((await from('192.0.2.7', 'another')).status).toBe(429);
    const right = await from('192.0.2.8', 'tarn at dusk');
    expect(right.status).toBe(200);
    expect(right.headers.get('set-cookie')).toMatch(/; Secure/);
    // Without one, what a caller says of itself is not believed.
    const alone = await start(folder(), { passcode: 'tarn at dusk' });
    const forged = await fetch(`${alone.address}/api/session`, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/json',
        Origin: alone.address,
        'X-Forwarded-Proto': 'https',
      },
      body: JSON.stringify({ passcode: 'tarn at dusk' }),
    });
    expect(forged.headers.get('set-cookie')).not.toMatch(/; Secure/);
  });

  it('slows down guessing', async () => {
    const kitchen = await start(folder(), { passcode: 'tarn at dusk' });
    const client = new Client(kitchen.address);
    const statuses: number[] = [];
    for (let i = 0; i < 12; i++) {
      statuses.push((await client.post('session', { passcode: `guess ${i}` })).status);
    }
    expect(statuses.slice(0, 10)).toEqual(Array.from({ length: 10 }, () => 403));
    expect(statuses.slice(10)).toEqual([429, 429]);
  });
});

describe('the bin', () => {
  it('is emptied of what has lain in it for thirty days, once that lies in a backup and the clock is believed', async () => {
    const data = folder();
    let at = Date.parse('2026-05-01T08:00:00Z');
    const kitchen = await start(data, { now: () => new Date(at), daily: {} });
    const client = new Client(kitchen.address);
    await client.post('formulas', { id: 'gone', formula: sampleFormula('Gone') });
    await client.post('formulas', { id: 'kept', formula: sampleFormula('Kept') });
    await client.post('formulas/gone/shelf', { shelf: 'bin' });
    const names = async () => (await allFormulas(client)).map(({ id }) => id).sort();
    // The clock goes forty days ahead: a backup is made, nothing is thrown away.
    at += 40 * 86_400_000;
    await kitchen.tend!();
    expect(await names()).toEqual(['gone', 'kept']);
    const state = (await client.get<BackupsState>('backups')).body;
    expect(state).toMatchObject({ newest: { day: '2026-06-10' }, trouble: null, clockJumpedDays: 40 });
    await kitchen.stop();
    open.pop();
    // It was right after all, and the kitchen has run with it for a day.
    const clock = join(data, 'clock.json');
    const seen = JSON.parse(readFileSync(clock, 'utf8')) as object;
    writeFileSync(clock, JSON.stringify({ ...seen, steadyMs: 86_400_000 }));
    at += 86_400_000;
    const second = await start(data, { now: () => new Date(at), daily: {} });
    await second.tend!();
    const there = (await new Client(second.address).get<ShelfAnswer>('formulas')).body;
    expect(there.records.map(({ id }) => id)).toEqual(['kept']);
    // And it is in the backup of that day.
    const rows: string[] = [];
    await readBackup(join(data, 'backups', 'kitchen-2026-06-11.ygrana'), {
      onRow: ({ table, text }) => {
        if (table === 'formulas') rows.push(text);
      },
    });
    expect(rows.some((text) => text.includes('"Gone"'))).toBe(true);
  });
});

describe('what is in a folder', () => {
  it.skipIf(onServer)('is for its own user alone', async () => {
    const data = folder();
    chmodSync(data, 0o755);
    const kitchen = await start(data);
    await new Client(kitchen.address).post('formulas', { id: 'one', formula: sampleFormula('One') });
    await kitchen.stop();
    await start(data);
    const modes = readdirSync(data, { recursive: true, withFileTypes: true }).map(
      (entry) => statSync(join(entry.parentPath, entry.name)).mode & 0o077,
    );
    expect(modes.length).toBeGreaterThan(500);
    expect(modes.filter((mode) => mode !== 0)).toEqual([]);
    expect(statSync(data).mode & 0o777).toBe(0o700);
  });

  it.skipIf(onServer)(
    'damaged, it is said in a sentence, with the newest good backup and how to bring it back',
    async () => {
      const data = folder();
      const kitchen = await start(data, { daily: {} });
      await new Client(kitchen.address).post('formulas', { id: 'one', formula: sampleFormula('One') });
      await kitchen.stop();
      const control = join(data, 'db', 'global', 'pg_control');
      const whole = readFileSync(control);
      writeFileSync(control, whole.subarray(0, 100));
      await expect(openKitchen(data)).rejects.toThrow(
        /damaged and cannot be opened.*npm run backup -- .*--salvage/s,
      );
      writeFileSync(control, whole);
      const again = await start(data, { daily: {} });
      await again.tend!();
      await again.stop();
      writeFileSync(control, Buffer.alloc(whole.length));
      // One that is damaged itself is no good backup.
      mkdirSync(join(data, 'backups'), { recursive: true });
      writeFileSync(join(data, 'backups', 'kitchen-2099-01-01.ygrana'), 'no');
      const file = join(data, 'backups', `kitchen-${new Date().toISOString().slice(0, 10)}.ygrana`);
      await expect(openKitchen(data)).rejects.toThrow(`npm run restore -- ${file}`);
      await expect(openKitchen(data)).rejects.toBeInstanceOf(StartError);
      // And that command does.
      const at = { dataFolder: data, migrationsFolder, now: () => new Date() };
      expect(await restoreFromFile(file, at)).toContain('it lies as it was in');
      const back = await start(data);
      expect((await new Client(back.address).get<ShelfAnswer>('formulas')).body.records).toHaveLength(1);
    },
  );
});

it('a demo that was killed while it was filled is filled whole at the next start', async () => {
  const data = folder();
  const { databaseUrl } = await databaseOf(data);
  const place = databaseUrl === undefined ? { folder: join(data, 'db') } : { url: databaseUrl };
  const { db, close } = await openDatabase(place, migrationsFolder);
  const half = db.transaction(async (tx) => {
    await loadDemo(new FormulaStore(tx, () => new Date()), new SharedStore(tx, () => new Date()));
    throw new Error('killed');
  });
  await expect(half).rejects.toThrow('killed');
  await close();
  const kitchen = await start(data, { demo: true });
  const client = new Client(kitchen.address);
  expect((await client.get<ShelfAnswer>('formulas')).body.records).toHaveLength(DEMO_FORMULAS.length);
  expect((await client.get<unknown[]>('batches')).body.length).toBeGreaterThan(0);
});
