/** Some rounds in every run; `npm run torture` asks for two hundred. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { expect, inject, it } from 'vitest';
import { SeededRandom } from '#core/numeric';
import { saveToFile } from './backup/commandLine';
import { bundled, killRounds, runAndKill } from './testing/killRounds';
import {
  allFormulas,
  Client,
  dropFolder,
  migrationsFolder,
  openKitchen,
  sampleFormula,
  tempFolder,
} from './testing/kitchen';

const ROUNDS = Number(process.env.KILL_ROUNDS ?? 6);
const SEED = Number(process.env.KILL_SEED ?? Date.now() % 1_000_000);

it(
  `loses nothing acknowledged over ${ROUNDS} kills at random points (seed ${SEED})`,
  { timeout: 2_400_000 },
  async () => {
    const { acknowledged, lost } = await killRounds(ROUNDS, SEED);
    expect(lost).toEqual([]);
    expect(acknowledged).toBeGreaterThan(ROUNDS);
  },
);

/** `npm run torture` kills twenty restores. */
const RESTORES = process.env.YGRANA_TORTURE ? 20 : 1;
const LONGEST_RESTORE_MS = 4500;

it(
  `opens exactly the old or the new kitchen after ${RESTORES} restores killed at random points (seed ${SEED})`,
  { timeout: 600_000 },
  async () => {
    const [folder, other] = [tempFolder(), tempFolder()];
    const file = join(other, 'other.ygrana');
    const random = new SeededRandom(SEED);
    const restorer = await bundled('restorer', SEED);
    const namesIn = async (dataFolder: string): Promise<string> => {
      const kitchen = await openKitchen(dataFolder);
      const body = await allFormulas(new Client(kitchen.address, null));
      await kitchen.stop();
      return body
        .map(({ id }) => id)
        .sort()
        .join();
    };
    const fill = async (dataFolder: string, ids: readonly string[]): Promise<void> => {
      const kitchen = await openKitchen(dataFolder);
      const client = new Client(kitchen.address, null);
      for (const id of ids) await client.post('formulas', { id, formula: sampleFormula(id) });
      await kitchen.stop();
    };
    try {
      await fill(other, ['new-1', 'new-2', 'new-3']);
      await saveToFile(file, { dataFolder: other, migrationsFolder, now: () => new Date() });
      const found: string[] = [];
      for (let round = 0; round < RESTORES; round++) {
        const old = `old-${round}`;
        if ((await namesIn(folder)) !== '') dropFolder(folder);
        await fill(folder, [old]);
        const args = [restorer, folder, file, migrationsFolder, inject('backupWorker')];
        await runAndKill(args, random.next() * LONGEST_RESTORE_MS);
        const names = await namesIn(folder);
        expect([old, 'new-1,new-2,new-3']).toContain(names);
        found.push(names);
        // Nothing of the work lies about once it was opened.
        expect(existsSync(join(folder, 'work'))).toBe(false);
        expect(existsSync(join(folder, 'exchange.json'))).toBe(false);
      }
      console.log(
        `${found.filter((names) => names.startsWith('new')).length} of ${RESTORES} were the new one`,
      );
    } finally {
      rmSync(restorer, { force: true });
      [folder, other].forEach(dropFolder);
    }
  },
);

/** As two containers on one volume are: each counts its processes from 1. */
const APART = ['--pid', '--fork', '--mount-proc'];
const canSeparate = spawnSync('unshare', [...APART, 'true']).status === 0;

it.skipIf(!canSeparate)(
  'a second kitchen in another namespace of processes does not open the folder',
  async () => {
    const folder = tempFolder();
    const writer = await bundled('writer', SEED + 1);
    const ledger = join(folder, 'ledger.txt');
    const args = [writer, join(folder, 'kitchen'), ledger, 'one', migrationsFolder];
    const first = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'inherit'] });
    try {
      await new Promise((resolve) => first.stdout.once('data', resolve));
      const second = spawnSync('unshare', [...APART, process.execPath, ...args], {
        encoding: 'utf8',
        timeout: 30_000,
      });
      expect(second.status).not.toBe(0);
      expect(second.stderr).toContain('is already open');
      const lines = readFileSync(ledger, 'utf8').split('\n').length;
      expect(lines).toBeGreaterThan(1);
    } finally {
      first.kill('SIGKILL');
      rmSync(writer, { force: true });
      dropFolder(folder);
    }
  },
);
