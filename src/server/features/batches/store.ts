import { and, asc, desc, eq, gte, lte, sql } from 'drizzle-orm';
import { SHAPE } from '#contract';
import type { BatchList, BatchRecord, Combine, NewBatch, NewBatchEvent, TrialBatch } from '#contract';
import {
  isEnough,
  isWeighed,
  madeMl,
  signProblem,
  keepUntilProblem,
  type BatchEvent,
  type SignProblem,
  type UseByProblem,
} from '#core/batch';
import type { FormulaId } from '#core/formula';
import { merged, stepStates, trialLines } from '#core/trial';
import { lockInside, type Database } from '../../db/client';
import { batchEvents, batches, trials, versions } from '../../db/schema';
import { wholeBatches } from './whole';
import { TrialStore } from '../trials/store';

export type BatchOutcome =
  | { readonly status: 'recorded'; readonly batch: BatchRecord }
  | { readonly status: 'no-version' | 'no-batch' | 'id-taken' | 'not-weighed' | 'closed' }
  | { readonly status: 'unsigned'; readonly problem: SignProblem }
  | { readonly status: 'use-by'; readonly problem: UseByProblem };

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
    const { id, formulaId, version, day, plan, loads, needMl, by } = batch;
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
    const [found] = await this.db
      .select({ number: versions.number })
      .from(versions)
      .where(sql`${versions.formulaId} = ${formulaId} and ${versions.number} = ${version}`);
    if (!found) return { status: 'no-version' };
    if ((await this.jars.byIds(loads.map(({ trialId }) => trialId))).length > 0)
      return { status: 'id-taken' };
    const createdAt = this.now().toISOString();
    const [last] = await this.db
      .select({ place: sql<number>`coalesce(max(${batches.place}), 0)` })
      .from(batches)
      .where(eq(batches.day, day));
    const place = Number(last!.place) + 1;
    await this.db
      .insert(batches)
      .values({ id, formulaId, version, day, place, plan, shape: SHAPE, by, createdAt });
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
    return { status: 'recorded', batch: (await this.get(id))! };
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

/** Why an event may not be recorded; null: it may. */
function refusal({ plan, events, state }: BatchRecord, event: NewBatchEvent['event']): BatchOutcome | null {
  switch (event.kind) {
    case 'signed': {
      const problem = signProblem(state, events, event.name);
      return problem ? { status: 'unsigned', problem } : null;
    }
    case 'use-by': {
      const problem = keepUntilProblem(plan.keeping, event);
      return problem ? { status: 'use-by', problem } : null;
    }
    case 'called-off':
      return state === 'signed' ? { status: 'closed' } : null;
    // A record that was signed is only ever added to in words, or corrected as a whole.
    case 'verdict':
      return state === 'signed' || state === 'called-off' ? { status: 'closed' } : null;
    case 'lot':
    case 'temperature':
    case 'hand-work':
    case 'noted':
    case 'corrected':
      return null;
  }
}
