import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { BatchRecord, KitchenRecords, RecordsReport, TrialRecord } from '#contract';
import { anyJars } from '../contract/testing/anyKitchen';
import type { RunningKitchen } from './start';
import { Client, dropFolder, openKitchen, tempFolder, type Refused } from './testing/kitchen';

const folders = [tempFolder(), tempFolder()];
const now = (): Date => new Date('2026-11-26T12:00:00.000Z');
let kitchens: RunningKitchen[] = [];
let [from, to]: Client[] = [];

beforeAll(async () => {
  kitchens = [await openKitchen(folders[0]!, { demo: true, now }), await openKitchen(folders[1]!, { now })];
  [from, to] = kitchens.map(({ address }) => new Client(address));
});
afterAll(async () => {
  for (const kitchen of kitchens) await kitchen.stop();
  folders.forEach(dropFolder);
});

const sorted = (jars: readonly TrialRecord[]) => [...jars].sort((a, b) => a.id.localeCompare(b.id));
/** Another kitchen need not have the formula, and then has no name for it. */
const nameless = (batches: readonly BatchRecord[]) =>
  batches.map((batch) => ({ ...batch, formulaName: null }));

describe('what was made', () => {
  it('goes to another kitchen whole: jars, batches, loads, times', async () => {
    const out = (await from!.get<KitchenRecords>('records')).body;
    expect([out.jars.length > 0, out.batches.length]).toEqual([true, 3]);
    const { status, body } = await to!.post<RecordsReport>('records', out);
    expect(status).toBe(201);
    const loads = out.batches.flatMap(({ loads: all, whole }) => [...all, ...(whole ? [whole] : [])]);
    expect(body).toMatchObject({
      jarsAdded: out.jars.length + loads.length,
      eventsAdded: [...out.jars, ...loads].reduce((sum, { events }) => sum + events.length, 0),
      batchesAdded: 3,
      same: 0,
      refused: [],
    });
    const back = (await to!.get<KitchenRecords>('records')).body;
    expect(sorted(back.jars)).toEqual(sorted(out.jars));
    expect(nameless(back.batches)).toEqual(nameless(out.batches));
    // Brought in twice it is there once.
    const again = (await to!.post<RecordsReport>('records', out)).body;
    expect([again.jarsAdded, again.eventsAdded, again.batchesAdded]).toEqual([0, 0, 0]);
    expect((await to!.get<KitchenRecords>('records')).body).toEqual(back);
  });

  it('as a property of any jars', async () => {
    let run = 0;
    await fc.assert(
      fc.asyncProperty(anyJars, async (any) => {
        const tag = `${run++}x`;
        const jars = any.map((jar) => ({
          ...jar,
          id: `${tag}${jar.id}`,
          events: jar.events.map((event) => ({ ...event, id: `${tag}${event.id}` })),
        }));
        await to!.post<RecordsReport>('records', { jars, batches: [] });
        const { body } = await to!.get<KitchenRecords>('records');
        expect(sorted(body.jars.filter(({ id }) => id.startsWith(tag)))).toEqual(sorted(jars));
      }),
      { numRuns: 20 },
    );
  });

  it('never changes what is here, and says what it leaves out', async () => {
    const { jars, batches } = (await to!.get<KitchenRecords>('records')).body;
    const stranger = { ...jars[0]!, version: 99 };
    const rival = { ...batches[0]!, id: 'rival', loads: [], events: [] };
    const { body } = await to!.post<RecordsReport>('records', { jars: [stranger], batches: [rival] });
    expect(body).toMatchObject({ jarsAdded: 0, batchesAdded: 0 });
    expect(body.refused).toEqual([
      `Batch ${rival.number}: another one has this number here.`,
      `Jar ${stranger.id}: another one has this id here.`,
    ]);
    expect((await to!.get<KitchenRecords>('records')).body.jars).toEqual(jars);
    const nonsense = await to!.post<Refused['body']>('records', { jars: [{ id: 'x' }], batches: [] });
    expect([nonsense.status, nonsense.body.error.message]).toEqual([400, expect.stringContaining('jars.0')]);
  });
});
