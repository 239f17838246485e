import { and, asc, desc, eq, gte, lte, sql } from 'drizzle-orm';
import { SHAPE } from '#contract';
import type {
  BatchList,
  BatchRecord,
  Combine,
  NewBatch,
  NewBatchEvent,
  NewEnding,
  TrialBatch,
} from '#contract';
import { isEnough, isWeighed, madeMl, type BatchEvent } from '#core/batch';
import type { FormulaId } from '#core/formula';
import { merged, stepStates, trialLines } from '#core/trial';
import { lockInside, type Database } from '../../db/client';
import { batchEvents, batches, trials, versions } from '../../db/schema';
import { refusal, type BatchOutcome } from './refusal';
import { wholeBatches } from './whole';
import { TrialStore } from '../trials/store';

const MOST_AT_ONCE = 50;
const MOST_DAYS = 8;
const PAGE = 20;

/** Batches, their loads and what happened to them: appended, never changed. Time is given, never taken. */
export class BatchStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
    private readonly jars: TrialStore,
  ) {}

  /** Newest first. */
  async latest(): Promise<BatchRecord[]> {
    return wholeBatches(
      this.db,
      this.jars,
      await this.db
        .select()
        .from(batches)
        .orderBy(desc(batches.createdAt), desc(batches.id))
        .limit(MOST_AT_ONCE),
    );
  }

  /** By day, in their order. */
  async all(): Promise<BatchRecord[]> {
    return wholeBatches(
      this.db,
      this.jars,
      await this.db.select().from(batches).orderBy(asc(batches.day), asc(batches.place)),
    );
  }

  /** By day, in their order; both days with it. */
  async between(from: string, to: string): Promise<BatchRecord[]> {
    return wholeBatches(
      this.db,
      this.jars,
      await this.db
        .select()
        .from(batches)
        .where(and(gte(batches.day, from), lte(batches.day, to)))
        .orderBy(asc(batches.day), asc(batches.place)),
    );
  }

  /** The latest days that have batches, newest first. */
  async days(): Promise<string[]> {
    const rows = await this.db
      .selectDistinct({ day: batches.day })
      .from(batches)
      .orderBy(desc(batches.day))
      .limit(MOST_DAYS);
    return rows.map(({ day }) => day);
  }

  async ofDay(day: string): Promise<BatchRecord[]> {
    return wholeBatches(
      this.db,
      this.jars,
      await this.db.select().from(batches).where(eq(batches.day, day)).orderBy(asc(batches.place)),
    );
  }

  /** What goes on from it, in its order. */
  async endingsOf(id: string): Promise<BatchRecord[]> {
    return wholeBatches(
      this.db,
      this.jars,
      await this.db.select().from(batches).where(eq(batches.baseId, id)).orderBy(asc(batches.place)),
    );
  }

  /** In short, newest first, a page at a time. */
  async ofFormula(formulaId: FormulaId, offset: number): Promise<BatchList> {
    const rows = await this.db
      .select()
      .from(batches)
      .where(eq(batches.formulaId, formulaId))
      .orderBy(desc(batches.createdAt), desc(batches.id))
      .offset(offset)
      .limit(PAGE + 1);
    const page = await wholeBatches(this.db, this.jars, rows.slice(0, PAGE));
    return {
      batches: page.map(({ id, number, version, day, plan, state }) => ({
        id,
        number,
        version,
        day,
        yieldMl: plan.yieldMl,
        state,
      })),
      more: rows.length > PAGE,
    };
  }

  async get(id: string): Promise<BatchRecord | null> {
    return (
      (
        await wholeBatches(this.db, this.jars, await this.db.select().from(batches).where(eq(batches.id, id)))
      )[0] ?? null
    );
  }

  /** The batch and its loads come to be together, or not at all. Sent again it is the same batch. */
  begin(batch: NewBatch): Promise<BatchOutcome> {
    // Two batches of one day must not take the same number.
    return this.holding(`batches of ${batch.day}`, (inside) => inside.beginInside(batch));
  }

  private async beginInside(batch: NewBatch): Promise<BatchOutcome> {
    const { id, formulaId, version, day, needMl, endings = [] } = batch;
    const known = await this.get(id);
    if (known)
      return known.formulaId === formulaId && known.version === version
        ? { status: 'recorded', batch: known }
        : { status: 'id-taken' };
    if (needMl !== undefined) {
      const there = (await this.ofDay(day)).filter(
        (other) => other.formulaId === formulaId && other.state !== 'called-off',
      );
      if (there.length > 0 && isEnough(madeMl(there), needMl))
        return { status: 'recorded', batch: there.at(-1)! };
    }
    const all = [batch, ...endings];
    const jarIds = all.flatMap(({ loads }) => loads.map(({ trialId }) => trialId));
    const ids = all.map((one) => one.id);
    if (new Set([...ids, ...jarIds]).size < ids.length + jarIds.length) return { status: 'id-taken' };
    if ((await this.jars.byIds(jarIds)).length > 0) return { status: 'id-taken' };
    for (const one of endings) if (await this.get(one.id)) return { status: 'id-taken' };
    for (const one of all)
      if (!(await this.hasVersion(one.formulaId, one.version))) return { status: 'no-version' };
    await this.insert(batch, null, { day, by: batch.by });
    for (const ending of endings) await this.insert(ending, id, { day, by: batch.by });
    return { status: 'recorded', batch: (await this.get(id))! };
  }

  private async hasVersion(formulaId: FormulaId, version: number): Promise<boolean> {
    const [found] = await this.db
      .select({ number: versions.number })
      .from(versions)
      .where(sql`${versions.formulaId} = ${formulaId} and ${versions.number} = ${version}`);
    return found !== undefined;
  }

  private async insert(
    { id, formulaId, version, plan, loads }: NewEnding,
    baseId: string | null,
    { day, by }: Pick<NewBatch, 'day' | 'by'>,
  ): Promise<void> {
    const createdAt = this.now().toISOString();
    const [last] = await this.db
      .select({ place: sql<number>`coalesce(max(${batches.place}), 0)` })
      .from(batches)
      .where(eq(batches.day, day));
    const place = Number(last!.place) + 1;
    await this.db
      .insert(batches)
      .values({ id, formulaId, version, day, place, plan, baseId, shape: SHAPE, by, createdAt });
    await this.db.insert(trials).values(
      loads.map(({ trialId, making }, i) => ({
        id: trialId,
        formulaId,
        version,
        vesselId: plan.mixingVesselId,
        styleId: plan.styleId,
        lines: [],
        making,
        shape: SHAPE,
        by,
        createdAt,
        batch: { batchId: id, role: 'load', load: i + 1, of: loads.length } satisfies TrialBatch,
      })),
    );
  }

  /** The same event sent again is no second event. */
  append(batchId: string, { id, event, by }: NewBatchEvent): Promise<BatchOutcome> {
    return this.holding(`batch ${batchId}`, async (inside) => {
      const batch = await inside.get(batchId);
      if (!batch) return { status: 'no-batch' };
      const known = batch.events.some((logged) => logged.id === id);
      if (!known) {
        const refused = refusal(batch, event);
        if (refused) return refused;
      }
      return inside.record(batchId, id, event, by);
    });
  }

  /** What all loads hold, together, becomes one jar. */
  combine(batchId: string, combine: Combine): Promise<BatchOutcome> {
    return this.holding(`batch ${batchId}`, (inside) => inside.combineInside(batchId, combine));
  }

  /** All of the work or none of it, and nobody else on what has this name meanwhile. */
  private holding<T>(name: string, work: (inside: BatchStore) => Promise<T>): Promise<T> {
    return this.db.transaction(async (tx) => {
      await lockInside(tx, name);
      return work(new BatchStore(tx, this.now, new TrialStore(tx, this.now)));
    });
  }

  private async combineInside(batchId: string, { trialId, vesselId, by }: Combine): Promise<BatchOutcome> {
    const batch = await this.get(batchId);
    if (!batch) return { status: 'no-batch' };
    if (batch.whole) return batch.whole.id === trialId ? { status: 'recorded', batch } : { status: 'closed' };
    if (batch.state === 'called-off') return { status: 'closed' };
    const weighed = batch.loads.every(({ making, events }) =>
      isWeighed(stepStates(making?.steps ?? [], events)),
    );
    if (!weighed) return { status: 'not-weighed' };
    if ((await this.jars.byIds([trialId])).length > 0) return { status: 'id-taken' };
    const { formulaId, version } = batch;
    const lines = merged(batch.loads.flatMap((load) => trialLines(load.lines, load.events)));
    if (lines.length === 0) return { status: 'not-weighed' };
    const createdAt = this.now().toISOString();
    await this.db.insert(trials).values({
      id: trialId,
      formulaId,
      version,
      vesselId,
      styleId: batch.plan.styleId,
      lines,
      making: null,
      shape: SHAPE,
      by,
      createdAt,
      batch: { batchId, role: 'whole', load: 0, of: batch.loads.length } satisfies TrialBatch,
    });
    const event: BatchEvent = { kind: 'combined', trialId };
    await this.db.insert(batchEvents).values({ id: trialId, batchId, event, shape: SHAPE, by, createdAt });
    return { status: 'recorded', batch: (await this.get(batchId))! };
  }

  private async record(
    batchId: string,
    id: string,
    event: BatchEvent,
    by: NewBatch['by'],
  ): Promise<BatchOutcome> {
    const createdAt = this.now().toISOString();
    await this.db
      .insert(batchEvents)
      .values({ id, batchId, event, shape: SHAPE, by, createdAt })
      .onConflictDoNothing();
    const [row] = await this.db.select().from(batchEvents).where(eq(batchEvents.id, id));
    if (row?.batchId !== batchId) return { status: 'id-taken' };
    return { status: 'recorded', batch: (await this.get(batchId))! };
  }
}
