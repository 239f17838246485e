import { and, asc, desc, eq, ilike, inArray, lt, sql } from 'drizzle-orm';
import type { z } from 'zod';
import { SHAPE } from '#contract';
import type {
  LogAnswer,
  logQuerySchema,
  NewEvent,
  newTrialSchema,
  TrialEventRecord,
  TrialRecord,
} from '#contract';
import type { FormulaId } from '#core/formula';
import type { Database } from '../../db/client';
import { likeText } from '../../db/likeText';
import { formulas, trialEvents, trials, versions } from '../../db/schema';
import { KeptStandings } from './standings';

export type TrialOutcome =
  | { readonly status: 'recorded'; readonly trial: TrialRecord }
  | { readonly status: 'no-version' | 'no-trial' | 'id-taken' };

export type TrialRow = typeof trials.$inferSelect;
type EventRow = typeof trialEvents.$inferSelect;

/** As the schema leaves it: with its defaults filled in. */
export type CheckedTrial = Omit<z.output<typeof newTrialSchema>, 'version' | 'freeze'> & {
  readonly version: number;
};

export type LogQuery = z.output<typeof logQuerySchema>;
const LOG_PAGE = 50;
/** Jars of the whole kitchen that are read at once. */
const MOST_AT_ONCE = 300;

const isoTime = (value: string): string => new Date(value).toISOString();

/** Jars and their events: appended, never changed. Time is given, never taken. */
export class TrialStore {
  private readonly standings: KeptStandings;

  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {
    this.standings = new KeptStandings(db);
  }

  /** Newest first; the latest of them. */
  async ofFormula(formulaId: FormulaId): Promise<TrialRecord[]> {
    const rows = await this.db
      .select()
      .from(trials)
      .where(eq(trials.formulaId, formulaId))
      .orderBy(desc(trials.createdAt), desc(trials.id))
      .limit(MOST_AT_ONCE);
    return this.withEvents(rows);
  }

  /** How the versions of formulas stand. @param untilMs of the process' clock; the rest is left out */
  standingsOf(
    ids: readonly FormulaId[],
    provenAfter: number,
    untilMs?: number,
  ): ReturnType<KeptStandings['of']> {
    return this.standings.of(ids, provenAfter, untilMs);
  }

  /** What happened in the whole kitchen, newest first, a page at a time. Words are looked for in the notes. */
  async log({ before, q, cook }: LogQuery): Promise<LogAnswer> {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    // The page first, then what it is about: joining everything that fits would cost more than finding it.
    const found = this.db
      .select()
      .from(trialEvents)
      .where(
        and(
          before === undefined ? undefined : lt(trialEvents.place, before),
          cook ? eq(sql`${trialEvents.by}->>'cookId'`, cook) : undefined,
          ...words.map((word) => ilike(trialEvents.note, `%${likeText(word)}%`)),
          // What was only done, not weighed or said, would drown the rest.
          sql`${trialEvents.event}->>'kind' <> 'did'`,
        ),
      )
      .orderBy(desc(trialEvents.place))
      .limit(LOG_PAGE + 1)
      .as('found');
    const rows = await this.db
      .select({
        place: found.place,
        id: found.id,
        trialId: found.trialId,
        event: found.event,
        by: found.by,
        happenedAt: found.happenedAt,
        createdAt: found.createdAt,
        formulaId: trials.formulaId,
        version: trials.version,
        formulaName: sql<string | null>`${formulas.content}->>'name'`,
      })
      .from(found)
      .innerJoin(trials, eq(trials.id, found.trialId))
      .leftJoin(formulas, eq(formulas.id, trials.formulaId))
      .orderBy(desc(found.place));
    const page = rows.slice(0, LOG_PAGE);
    return {
      entries: page.map(({ happenedAt, createdAt, ...row }) => ({
        ...row,
        at: isoTime(happenedAt ?? createdAt),
      })),
      next: rows.length > LOG_PAGE ? page.at(-1)!.place : null,
    };
  }

  /** The kitchen's latest, newest first. */
  async latest(limit = MOST_AT_ONCE): Promise<TrialRecord[]> {
    return this.withEvents(
      await this.db
        .select()
        .from(trials)
        .where(sql`coalesce(${trials.batch}->>'role', '') <> 'load'`)
        .orderBy(desc(trials.createdAt), desc(trials.id))
        .limit(limit),
    );
  }

  /** The same jar sent again is no second jar. */
  async begin(checked: CheckedTrial): Promise<TrialOutcome> {
    const { id, formulaId, version } = checked;
    const [found] = await this.db
      .select({ number: versions.number })
      .from(versions)
      .where(and(eq(versions.formulaId, formulaId), eq(versions.number, version)));
    if (!found) return { status: 'no-version' };
    const createdAt = this.now().toISOString();
    await this.db
      .insert(trials)
      .values({ ...checked, shape: SHAPE, createdAt })
      .onConflictDoNothing();
    const trial = await this.get(id);
    return trial && trial.formulaId === formulaId && trial.version === version
      ? { status: 'recorded', trial }
      : { status: 'id-taken' };
  }

  /** The same event sent again is no second event. */
  async append(trialId: string, { id, event, by, happenedAt }: NewEvent): Promise<TrialOutcome> {
    if (!(await this.get(trialId))) return { status: 'no-trial' };
    const now = this.now().toISOString();
    // A tablet whose clock is ahead does not write of the future.
    const happened = happenedAt !== undefined && happenedAt < now ? happenedAt : now;
    await this.db
      .insert(trialEvents)
      .values({ id, trialId, event, shape: SHAPE, by, happenedAt: happened, createdAt: now })
      .onConflictDoNothing();
    const [row] = await this.db.select().from(trialEvents).where(eq(trialEvents.id, id));
    if (row?.trialId !== trialId) return { status: 'id-taken' };
    return { status: 'recorded', trial: (await this.get(trialId))! };
  }

  /** Oldest first. */
  async all(): Promise<TrialRecord[]> {
    return this.withEvents(
      await this.db.select().from(trials).orderBy(asc(trials.createdAt), asc(trials.id)),
    );
  }

  /** Those of the given ids that are known here. */
  async byIds(ids: readonly string[]): Promise<TrialRecord[]> {
    if (ids.length === 0) return [];
    return this.withEvents(
      await this.db
        .select()
        .from(trials)
        .where(inArray(trials.id, [...ids])),
    );
  }

  async get(id: string): Promise<TrialRecord | null> {
    const rows = await this.db.select().from(trials).where(eq(trials.id, id));
    return (await this.withEvents(rows))[0] ?? null;
  }

  /** In the order given. */
  async withEvents(rows: readonly TrialRow[]): Promise<TrialRecord[]> {
    if (rows.length === 0) return [];
    const events = await this.db
      .select()
      .from(trialEvents)
      .where(
        inArray(
          trialEvents.trialId,
          rows.map(({ id }) => id),
        ),
      )
      .orderBy(asc(trialEvents.place));
    const byTrial = new Map<string, EventRow[]>();
    for (const event of events) byTrial.set(event.trialId, [...(byTrial.get(event.trialId) ?? []), event]);
    return rows.map(({ createdAt, shape: _shape, ...row }) => ({
      ...row,
      at: isoTime(createdAt),
      events: (byTrial.get(row.id) ?? []).map(
        ({ id, event, by, happenedAt, createdAt: recorded }): TrialEventRecord => ({
          id,
          event,
          by,
          at: isoTime(happenedAt ?? recorded),
        }),
      ),
    }));
  }
}
