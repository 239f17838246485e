/** A kitchen that has logged for years: the first page of its log, and a search over all its notes. */
import { trialEvents, trials } from '../src/server/db/schema';
import {
  Client,
  dropFolder,
  formulaId,
  openKitchen,
  sampleFormula,
  tempFolder,
  openTables,
} from '../src/server/testing/kitchen';
import { percentile, printLine } from './measure';

const ENTRIES = 20_000;
const A_FEW = 200;
const EVENTS_A_JAR = 20;
const INSERTED_AT_ONCE = 1000;

async function kitchenWith(entries: number): Promise<{ client: Client; stop: () => Promise<void> }> {
  const folder = tempFolder();
  const { db, close } = await openTables(folder);
  const by = { cookId: 'ida', deviceId: 'bench' };
  const at = (n: number): string => new Date(Date.UTC(2020, 0, 1) + n * 3_600_000).toISOString();
  const jars = Array.from({ length: entries / EVENTS_A_JAR }, (_, n) => ({
    id: `jar-${n}`,
    formulaId: formulaId('house'),
    version: 1,
    styleId: null,
    making: null,
    by,
    vesselId: sampleFormula().vesselId,
    createdAt: at(n),
    lines: [],
  }));
  await db.insert(trials).values(jars);
  for (let from = 0; from < entries; from += INSERTED_AT_ONCE) {
    await db.insert(trialEvents).values(
      Array.from({ length: Math.min(INSERTED_AT_ONCE, entries - from) }, (_, i) => ({
        id: `event-${from + i}`,
        trialId: `jar-${Math.floor((from + i) / EVENTS_A_JAR)}`,
        by,
        createdAt: at(from + i),
        event: {
          ...({ kind: 'looked', saw: 'fine', seconds: 600, predicted: null } as const),
          note: `look ${from + i} of the years`,
        },
      })),
    );
  }
  await close();
  const kitchen = await openKitchen(folder);
  const client = new Client(kitchen.address, null);
  await client.post('formulas', { id: 'house', formula: sampleFormula('House') });
  return {
    client,
    stop: async () => {
      await kitchen.stop();
      dropFolder(folder);
    },
  };
}

async function p95(client: Client, path: string): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < 60; i++) {
    const began = performance.now();
    await client.get(path);
    times.push(performance.now() - began);
  }
  return percentile(times.slice(10), 0.95);
}

export async function benchKitchenLog(): Promise<void> {
  const [large, small] = [await kitchenWith(ENTRIES), await kitchenWith(A_FEW)];
  try {
    for (const [what, path] of [
      ['The newest page', 'log'],
      ['A page far back', 'log?before=150'],
      ['A search over the notes', 'log?q=years'],
      ['A search that finds one', `log?q=${ENTRIES - 5}`],
    ] as const) {
      printLine({
        name: `${what} of ${ENTRIES} log entries, p95 (goal: below 50 ms)`,
        oursMs: await p95(large.client, path),
        otherMs: await p95(small.client, path),
        other: `of ${A_FEW}`,
      });
    }
  } finally {
    await large.stop();
    await small.stop();
  }
}
