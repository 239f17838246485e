/** The database's server stops in the middle of the work, in every way it can, and comes back. */
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ErrorBody } from '#contract';
import type { RunningKitchen } from './start';
import { allFormulas, Client, dropFolder, openKitchen, sampleFormula, tempFolder } from './testing/kitchen';
import { Cluster } from './testing/cluster';

/** `npm run torture` stops it in all three ways, several times each. */
const SIGNALS: readonly NodeJS.Signals[] = process.env.YGRANA_TORTURE
  ? ['SIGINT', 'SIGQUIT', 'SIGKILL', 'SIGINT', 'SIGQUIT', 'SIGKILL']
  : ['SIGINT', 'SIGKILL'];
const WRITERS = 12;
const BACK_WITHIN_MS = 5000;

let cluster: Cluster;
let kitchen: RunningKitchen;
const folder = tempFolder();
beforeAll(async () => {
  cluster = await Cluster.begin();
  const root = new pg.Client({ connectionString: `${cluster.address}/postgres` });
  await root.connect();
  await root.query('create database kitchen');
  await root.end();
  kitchen = await openKitchen(folder, { databaseUrl: `${cluster.address}/kitchen` });
}, 60_000);
afterAll(async () => {
  await kitchen.stop();
  await cluster.end();
  dropFolder(folder);
});

describe('a stop of the database’s server', () => {
  it.each(SIGNALS.map((signal, round) => [signal, round] as const))(
    '%s under load (round %i) is a state with words; it comes back by itself and has all that was acknowledged',
    async (signal, round) => {
      const client = new Client(kitchen.address, null);
      const acknowledged: string[] = [];
      const refused: { status: number; message: string }[] = [];
      let isOver = false;
      const write = async (writer: number): Promise<void> => {
        for (let n = 0; !isOver; n++) {
          const id = `r${round}-w${writer}-${n}`;
          const { status, body } = await client.post<ErrorBody>('formulas', {
            id,
            formula: sampleFormula(id),
          });
          if (status === 201) acknowledged.push(id);
          else {
            refused.push({ status, message: body.error.message });
            await pause(100);
          }
        }
      };
      const writers = Array.from({ length: WRITERS }, (_, writer) => write(writer));
      await pause(700);
      await cluster.goes(signal);
      await pause(1500);
      await cluster.comes();
      const back = Date.now();
      for (let fine = 0; fine < WRITERS && Date.now() - back < BACK_WITHIN_MS;)
        fine = (await client.get('formulas')).status === 200 ? fine + 1 : 0;
      const tookMs = Date.now() - back;
      isOver = true;
      await Promise.all(writers);
      expect(tookMs).toBeLessThan(BACK_WITHIN_MS);
      expect(acknowledged.length).toBeGreaterThan(5);
      expect(refused.length).toBeGreaterThan(0);
      // Not there, not a fault: one status, one sentence.
      expect([...new Set(refused.map(({ status }) => status))]).toEqual([503]);
      expect(refused[0]!.message).toContain('database');
      const there = new Set((await allFormulas(client)).map(({ id }) => id as string));
      expect(acknowledged.filter((id) => !there.has(id))).toEqual([]);
    },
    60_000,
  );
});

const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));
