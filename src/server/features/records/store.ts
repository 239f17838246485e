import { inArray } from 'drizzle-orm';
import { SHAPE } from '#contract';
import type { BatchRecord, KitchenRecords, RecordsReport, TrialRecord } from '#contract';
import { answersWords } from '#words/screens/answers';
import { lockInside, type Database } from '../../db/client';
import { batchEvents, batches, trialEvents, trials } from '../../db/schema';
import type { BatchStore } from '../batches/store';
import type { TrialStore } from '../trials/store';

const CHUNK = 400;

/** What was made, out of the kitchen and into it with its own times. Nothing that is there is changed. */
export class RecordStore {
  constructor(
    private readonly db: Database,
    private readonly jars: TrialStore,
    private readonly batches: BatchStore,
  ) {}

  /** Oldest first; loads and wholes stand with their batch. */
  async all(): Promise<KitchenRecords> {
    const jars = await this.jars.all();
    return { jars: jars.filter(({ batch }) => batch === null), batches: await this.batches.all() };
  }

  /** All that fits, in one go; brought in twice it is there once. */
  add({ jars, batches: given }: KitchenRecords): Promise<RecordsReport> {
    return this.db.transaction(async (tx) => {
      await lockInside(tx, 'records brought in');
      const report = { jarsAdded: 0, eventsAdded: 0, batchesAdded: 0, same: 0, refused: [] as string[] };
      const brought = await this.addBatches(tx, given, report);
      await addJars(
        tx,
        [...jars, ...brought.flatMap(({ loads, whole }) => [...loads, ...(whole ? [whole] : [])])],
        report,
      );
      return report;
    });
  }

  /** @returns those that are here now, whose jars may come in */
  private async addBatches(
    tx: Database,
    given: readonly BatchRecord[],
    report: { batchesAdded: number; same: number; refused: string[] },
  ): Promise<readonly BatchRecord[]> {
    const here = await tx.select({ id: batches.id, day: batches.day, place: batches.place }).from(batches);
    const ids = new Set(here.map(({ id }) => id));
    const places = new Map(here.map(({ id, day, place }) => [`${day} ${place}`, id]));
    const brought: BatchRecord[] = [];
    for (const batch of given) {
      const { id, formulaId, version, day, plan, by, at } = batch;
      const place = Number(/-(\d+)$/.exec(batch.number)?.[1] ?? 0);
      if (!ids.has(id)) {
        if (place < 1 || places.has(`${day} ${place}`)) {
          report.refused.push(answersWords.batchNumberAnotherOneHas(batch.number));
          continue;
        }
        await tx.insert(batches).values({
          ...{ id, formulaId, version, day, place, plan, by },
          baseId: batch.base?.batchId ?? null,
          shape: SHAPE,
          createdAt: at,
        });
        ids.add(id);
        places.set(`${day} ${place}`, id);
        report.batchesAdded += 1;
      } else report.same += 1;
      brought.push(batch);
      for (const logged of batch.events)
        await tx
          .insert(batchEvents)
          .values({
            id: logged.id,
            batchId: id,
            event: logged.event,
            shape: SHAPE,
            by: logged.by,
            createdAt: logged.at,
          })
          .onConflictDoNothing();
    }
    return brought;
  }
}

async function addJars(
  tx: Database,
  jars: readonly TrialRecord[],
  report: { jarsAdded: number; eventsAdded: number; same: number; refused: string[] },
): Promise<void> {
  for (let i = 0; i < jars.length; i += CHUNK) {
    const some = jars.slice(i, i + CHUNK);
    const ids = some.map(({ id }) => id);
    const here = new Map(
      (
        await tx
          .select({ id: trials.id, formulaId: trials.formulaId, version: trials.version })
          .from(trials)
          .where(inArray(trials.id, ids))
      ).map((row) => [row.id, row]),
    );
    for (const { events, at, ...jar } of some) {
      const there = here.get(jar.id);
      if (there && (there.formulaId !== jar.formulaId || there.version !== jar.version)) {
        report.refused.push(answersWords.jarIdAnotherOneHas(jar.id));
        continue;
      }
      if (there) report.same += 1;
      else {
        await tx.insert(trials).values({ ...jar, shape: SHAPE, createdAt: at });
        report.jarsAdded += 1;
      }
      if (events.length === 0) continue;
      const added = await tx
        .insert(trialEvents)
        .values(
          events.map(({ id, event, by, at: happenedAt }) => ({
            id,
            trialId: jar.id,
            event,
            shape: SHAPE,
            by,
            happenedAt,
            createdAt: happenedAt,
          })),
        )
        .onConflictDoNothing()
        .returning({ id: trialEvents.id });
      report.eventsAdded += added.length;
    }
  }
}
