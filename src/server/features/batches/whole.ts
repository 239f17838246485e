import { asc, inArray, sql } from 'drizzle-orm';
import type { BaseOfBatch, BatchEventRecord, BatchRecord, TrialBatch, TrialRecord } from '#contract';
import { planOfRow } from '#contract';
import { batchNumber, batchStateOf } from '#core/batch';
import { keepUntilOf } from '#kitchen/paper';
import type { Database } from '../../db/client';
import { batchEvents, batches, formulas, trials } from '../../db/schema';
import type { TrialStore } from '../trials/store';

type BatchRow = typeof batches.$inferSelect;
const isoTime = (value: string): string => new Date(value).toISOString();

/** Batches with their loads, their events and how they stand. */
export async function wholeBatches(
  db: Database,
  jarStore: TrialStore,
  rows: readonly BatchRow[],
): Promise<BatchRecord[]> {
  if (rows.length === 0) return [];
  const ids = rows.map(({ id }) => id);
  const events = await db
    .select()
    .from(batchEvents)
    .where(inArray(batchEvents.batchId, ids))
    .orderBy(asc(batchEvents.place));
  const jarIds = await db
    .select({ id: trials.id })
    .from(trials)
    .where(inArray(sql`${trials.batch}->>'batchId'`, ids));
  const jars = await jarStore.byIds(jarIds.map(({ id }) => id));
  const names = await db
    .select({ id: formulas.id, name: sql<string>`${formulas.content}->>'name'` })
    .from(formulas)
    .where(inArray(formulas.id, [...new Set(rows.map(({ formulaId }) => formulaId))]));
  const nameOf = new Map(names.map(({ id, name }) => [id, name]));
  const bases = await basesOf(db, jarStore, rows);
  return rows.map(({ place, createdAt, shape, baseId, ...row }): BatchRecord => {
    const own = jars.filter(({ batch }) => batch?.batchId === row.id);
    const loads = own.filter(isLoad).sort((a, b) => a.batch.load - b.batch.load);
    const log = events
      .filter(({ batchId }) => batchId === row.id)
      .map(({ id, event, by, createdAt: at }): BatchEventRecord => ({ id, event, by, at: isoTime(at) }));
    const making = loads.flatMap((load) =>
      load.making ? [{ trialId: load.id, making: load.making, events: load.events }] : [],
    );
    return {
      ...row,
      plan: planOfRow({ shape, plan: row.plan }),
      number: batchNumber(row.day, place),
      formulaName: nameOf.get(row.formulaId) ?? null,
      base: baseId === null ? null : (bases.get(baseId) ?? null),
      at: isoTime(createdAt),
      state: batchStateOf(making, log),
      loads,
      whole: own.find(({ batch }) => batch?.role === 'whole') ?? null,
      events: log,
    };
  });
}

/** What they go on from, each as it stands by its own record. A base was there before what goes on from it. */
async function basesOf(
  db: Database,
  jarStore: TrialStore,
  rows: readonly BatchRow[],
): Promise<ReadonlyMap<string, BaseOfBatch>> {
  const ids = [...new Set(rows.flatMap(({ baseId }) => (baseId === null ? [] : [baseId])))];
  if (ids.length === 0) return new Map();
  const found = await wholeBatches(
    db,
    jarStore,
    await db.select().from(batches).where(inArray(batches.id, ids)),
  );
  return new Map(
    found.map((base) => [
      base.id,
      {
        batchId: base.id,
        number: base.number,
        formulaId: base.formulaId,
        formulaName: base.formulaName,
        version: base.version,
        state: base.state,
        useBy: keepUntilOf(base).day,
      },
    ]),
  );
}

const isLoad = (trial: TrialRecord): trial is TrialRecord & { batch: TrialBatch } =>
  trial.batch?.role === 'load';
