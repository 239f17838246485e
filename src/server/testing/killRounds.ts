/** Kills a writing kitchen at random points and counts what was acknowledged and is not there afterwards. */
import { spawn } from 'node:child_process';
import { cpSync, existsSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { SeededRandom } from '#core/numeric';
import type { TrialRecord } from '#contract';
import { inject } from 'vitest';
import { bundle } from './bundle';
import { allFormulas, Client, dropFolder, migrationsFolder, openKitchen, tempFolder } from './kitchen';

const LONGEST_WRITING_MS = 900;

export interface KillReport {
  readonly acknowledged: number;
  readonly lost: readonly string[];
}

/** @param seed printed by the test, so that a failure can be played again */
export async function killRounds(rounds: number, seed: number): Promise<KillReport> {
  const folder = tempFolder();
  const ledger = join(folder, 'ledger.txt');
  const seeded = new SeededRandom(seed);
  const random = (): number => seeded.next();
  const writer = await bundled('writer', seed);
  cpSync(inject('databaseTemplate'), join(folder, 'kitchen', 'db'), { recursive: true });
  try {
    for (let round = 0; round < rounds; round++) {
      const args = [writer, join(folder, 'kitchen'), ledger, String(round), migrationsFolder];
      await runAndKill(args, random() * LONGEST_WRITING_MS);
    }
    return await checkLedger(join(folder, 'kitchen'), ledger);
  } finally {
    rmSync(writer, { force: true });
    dropFolder(folder);
  }
}

export const bundled = (name: 'writer' | 'restorer', seed: number): Promise<string> =>
  bundle(`src/server/testing/${name}.ts`, `${name}-${process.pid}-${seed}`);

/** @param afterMs since it first said something */
export function runAndKill(args: readonly string[], afterMs: number): Promise<void> {
  const child = spawn(process.execPath, args, { stdio: ['ignore', 'pipe', 'pipe'] });
  return new Promise((resolve, reject) => {
    let killed = false;
    let words = '';
    child.stderr.on('data', (chunk: Buffer) => {
      words += chunk.toString();
    });
    child.stdout.once('data', () => {
      setTimeout(() => {
        killed = true;
        child.kill('SIGKILL');
      }, afterMs);
    });
    child.once('exit', () => {
      if (killed) resolve();
      else reject(new Error(`It ended by itself: ${words}`));
    });
  });
}

async function checkLedger(dataFolder: string, ledger: string): Promise<KillReport> {
  const lines = existsSync(ledger) ? readFileSync(ledger, 'utf8').split('\n').filter(Boolean) : [];
  const last = new Map<string, number>();
  for (const line of lines) {
    const [id = '', change = ''] = line.split(' ');
    last.set(id, change === 'made' ? 0 : Number(change));
  }
  const kitchen = await openKitchen(dataFolder);
  try {
    const client = new Client(kitchen.address);
    const body = await allFormulas(client);
    const found = new Map(body.map(({ id, revision }) => [id as string, revision]));
    for (const { id } of body) {
      const jars = (await client.get<TrialRecord[]>(`formulas/${id}/trials`)).body;
      // The steps of its making, in the order they were acknowledged.
      const inOrder = jars
        .flatMap(({ events }) => events)
        .every(({ id: event }, i) => event.endsWith(`-${i + 1}`));
      found.set(`${id}/jar`, inOrder ? jars.reduce((sum, { events }) => sum + events.length, 0) : -1);
    }
    const lost = [...last].flatMap(([id, change]) =>
      (found.get(id) ?? -1) >= change
        ? []
        : [`${id}: ${change} acknowledged, ${found.get(id) ?? 'nothing'} there`],
    );
    return { acknowledged: lines.length, lost };
  } finally {
    await kitchen.stop();
  }
}
