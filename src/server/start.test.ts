import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, describe, expect, it } from 'vitest';
import type { FormulaRecord, Settings } from '#contract';
import type { Formula } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE, type Catalogue } from '#core/ingredient';
import { reckonFormula, withMade } from '#core/reckoning';
import { STARTING_VESSELS } from '#core/vessel';
import { DEMO_FORMULAS, DEMO_KITCHEN_NAME } from './demo/demoKitchen';
import { demoFormula } from './demo/loadDemo';
import { StartError, type RunningKitchen } from './start';
import { Client, dropFolder, onServer, openKitchen, sampleFormula, tempFolder } from './testing/kitchen';

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
    expect((await client.get<FormulaRecord[]>('formulas')).body).toHaveLength(DEMO_FORMULAS.length);
    expect((await client.get<Settings>('settings')).body.kitchenName).toBe(DEMO_KITCHEN_NAME);
    await client.post('formulas', { id: 'mine', formula: sampleFormula('Mine') });
    await first.stop();
    const second = await start(data, { demo: true });
    const { body } = await new Client(second.address).get<FormulaRecord[]>('formulas');
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
  it('is emptied of what has lain in it for thirty days, at a start', async () => {
    const data = folder();
    const [before, later] = ['2026-05-01T08:00:00Z', '2026-06-02T08:00:00Z'].map((at) => () => new Date(at));
    const first = await openKitchen(data, { now: before! });
    const client = new Client(first.address);
    await client.post('formulas', { id: 'gone', formula: sampleFormula('Gone') });
    await client.post('formulas', { id: 'kept', formula: sampleFormula('Kept') });
    await client.post('formulas/gone/shelf', { shelf: 'bin' });
    await first.stop();
    const second = await start(data, { now: later! });
    const { body } = await new Client(second.address).get<FormulaRecord[]>('formulas');
    expect(body.map(({ id }) => id)).toEqual(['kept']);
  });
});
