import { and, desc, eq, gte, ilike, inArray, lt, or, sql, type SQL } from 'drizzle-orm';
import type { z } from 'zod';
import type { JarsAnswer, jarsQuerySchema, JarTimes } from '#contract';
import { found, type Database } from '../../db/client';
import { likeText } from '../../db/likeText';
import { formulas, trialEvents, trials } from '../../db/schema';
import { namesOf } from '../formulas/namesOf';
import type { TrialStore } from './store';

export type JarsQuery = z.output<typeof jarsQuerySchema>;

const PAGE = 30;
/** Years of a busy kitchen; a month's strip needs no more. */
const MOST_TIMES = 5000;
const MOST_CHOICES = 300;
/** A jar that was made already names none. */
const NAMED_BOTTLES = sql`jsonb_each_text(case when jsonb_typeof(${trials.making}->'bottles') = 'object'
  then ${trials.making}->'bottles' else '{}'::jsonb end)`;

/** The jars of the whole kitchen as a diary: a page at a time, chosen by words, cook, bottle, formula and days. */
export class DiaryStore {
  constructor(
    private readonly db: Database,
    private readonly jars: TrialStore,
  ) {}

  async page({ before, ...query }: JarsQuery): Promise<JarsAnswer> {
    const older =
      before === undefined
        ? undefined
        : sql`(${trials.createdAt}, ${trials.id}) < (select t.created_at, t.id from trials t where t.id = ${before})`;
    const rows = await this.db
      .select()
      .from(trials)
      .where(and(older, this.chosen(query)))
      .orderBy(desc(trials.createdAt), desc(trials.id))
      .limit(PAGE + 1);
    const page = await this.jars.withEvents(rows.slice(0, PAGE));
    return {
      jars: page,
      names: await namesOf(
        this.db,
        page.map(({ formulaId }) => formulaId),
      ),
      next: rows.length > PAGE ? page.at(-1)!.id : null,
    };
  }

  async times(query: Omit<JarsQuery, 'before'>): Promise<JarTimes> {
    const rows = await this.db
      .select({ at: trials.createdAt })
      .from(trials)
      .where(this.chosen(query))
      .orderBy(desc(trials.createdAt))
      .limit(MOST_TIMES);
    const bottles = await found<{ bottle: string }>(
      this.db,
      sql`select distinct named.value as bottle from ${trials}, ${NAMED_BOTTLES} as named
          order by 1 limit ${MOST_CHOICES}`,
    );
    const of = await this.db
      .selectDistinct({ id: formulas.id, name: sql<string>`${formulas.content}->>'name'` })
      .from(formulas)
      .innerJoin(trials, eq(trials.formulaId, formulas.id))
      .orderBy(sql`2`)
      .limit(MOST_CHOICES);
    return {
      formulas: of,
      times: rows.map(({ at }) => new Date(at).toISOString()),
      bottles: bottles.map(({ bottle }) => bottle),
    };
  }

  /** The loads of a batch are told by the batch; together they are one jar. */
  private chosen({ q, cook, bottle, formula, from, to }: Omit<JarsQuery, 'before'>): SQL | undefined {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    const bottlesText = sql`coalesce(${trials.making}->>'bottles', '')`;
    return and(
      sql`coalesce(${trials.batch}->>'role', '') <> 'load'`,
      formula === undefined ? undefined : eq(trials.formulaId, formula),
      from === undefined ? undefined : gte(trials.createdAt, from),
      to === undefined ? undefined : lt(trials.createdAt, to),
      cook
        ? or(
            eq(sql`${trials.by}->>'cookId'`, cook),
            inArray(
              trials.id,
              this.db
                .select({ id: trialEvents.trialId })
                .from(trialEvents)
                .where(eq(sql`${trialEvents.by}->>'cookId'`, cook)),
            ),
          )
        : undefined,
      bottle
        ? sql`exists (select 1 from ${NAMED_BOTTLES} as named where named.value = ${bottle})`
        : undefined,
      ...words.map((word) => {
        const like = `%${likeText(word)}%`;
        return or(
          ilike(bottlesText, like),
          inArray(
            trials.id,
            this.db
              .select({ id: trialEvents.trialId })
              .from(trialEvents)
              .where(ilike(trialEvents.note, like)),
          ),
          inArray(
            trials.formulaId,
            this.db
              .select({ id: formulas.id })
              .from(formulas)
              .where(ilike(sql`${formulas.content}->>'name'`, like)),
          ),
        );
      }),
    );
  }
}
