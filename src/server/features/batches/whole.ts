import { asc, inArray, sql } from 'drizzle-orm';
import type { BatchEventRecord, BatchRecord, TrialBatch, TrialRecord } from '#contract';
import { planOfRow } from '#contract';
import { batchNumber, batchStateOf } from '#core/batch';
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
  return rows.map(({ place, createdAt, shape, ...row }): BatchRecord => {
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
      at: isoTime(createdAt),
      state: batchStateOf(making, log),
      loads,
      whole: own.find(({ batch }) => batch?.role === 'whole') ?? null,
      events: log,
    };
  });
}

const isLoad = (trial: TrialRecord): trial is TrialRecord & { batch: TrialBatch } =>
  trial.batch?.role === 'load';
