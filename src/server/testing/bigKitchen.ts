/** A kitchen that has worked for years: the demo's rows many times over, each a little earlier. Invented, for tests and benches. */
import { sql } from 'drizzle-orm';
import { found, type Database } from '../db/client';

export interface BigKitchen {
  readonly formulas: number;
  readonly events: number;
  readonly batches: number;
}
export const YEARS_OF_WORK: BigKitchen = { formulas: 3000, events: 124_000, batches: 2000 };

const countOf = async (db: Database, table: string): Promise<number> =>
  (await found<{ n: number }>(db, sql`select count(*)::int as n from ${sql.identifier(table)}`))[0]!.n;

/** @param db of a demo kitchen @returns what is there afterwards */
export async function makeBig(db: Database, wanted: BigKitchen = YEARS_OF_WORK): Promise<BigKitchen> {
  const shelves = Math.ceil(wanted.formulas / (await countOf(db, 'formulas')));
  const days = Math.ceil(wanted.batches / (await countOf(db, 'batches')));
  const rounds = Math.ceil(wanted.events / (await countOf(db, 'trial_events')));
  await db.transaction(async (tx) => {
    await tx.execute(sql`
      insert into formulas (id, revision, content, shelf, created_at, updated_at)
      select f.id || '-' || n, f.revision, jsonb_set(f.content, '{name}', to_jsonb((f.content->>'name') || ' ' || n)),
             'shelf', f.created_at - n * interval '5 hours', f.updated_at - n * interval '5 hours'
      from formulas f, generate_series(1, ${shelves - 1}::int) n`);
    await tx.execute(sql`
      insert into versions (formula_id, number, content, parent, note, by, created_at)
      select v.formula_id || '-' || n, v.number, jsonb_set(v.content, '{name}', to_jsonb((v.content->>'name') || ' ' || n)),
             v.parent, v.note, v.by, v.created_at - n * interval '5 hours'
      from versions v, generate_series(1, ${shelves - 1}::int) n`);
    await tx.execute(sql`
      insert into batches (id, formula_id, version, day, place, plan, shape, by, created_at)
      select b.id || '-' || n, b.formula_id || '-' || (n % ${shelves - 1}::int + 1), b.version,
             to_char(b.day::date - n * 10, 'YYYY-MM-DD'), b.place, b.plan, b.shape, b.by, b.created_at - n * interval '1 day'
      from batches b, generate_series(1, ${days - 1}::int) n`);
    await tx.execute(sql`
      insert into batch_events (id, batch_id, event, shape, by, created_at)
      select e.id || '-' || n, e.batch_id || '-' || n, e.event, e.shape, e.by, e.created_at - n * interval '1 day'
      from batch_events e, generate_series(1, ${days - 1}::int) n`);
    await tx.execute(sql`
      insert into trials (id, formula_id, version, vessel_id, style_id, lines, making, shape, batch, by, created_at)
      select t.id || '-' || n, t.formula_id || '-' || (n % ${shelves - 1}::int + 1), t.version, t.vessel_id, t.style_id,
             t.lines, t.making, t.shape,
             case when t.batch is null or n >= ${days}::int then null
                  else jsonb_set(t.batch, '{batchId}', to_jsonb((t.batch->>'batchId') || '-' || n)) end,
             t.by, t.created_at - n * interval '7 hours'
      from trials t, generate_series(1, ${rounds - 1}::int) n`);
    await tx.execute(sql`
      insert into trial_events (id, trial_id, event, shape, by, happened_at, created_at)
      select e.id || '-' || n, e.trial_id || '-' || n, e.event, e.shape, e.by,
             e.happened_at - n * interval '7 hours', e.created_at - n * interval '7 hours'
      from trial_events e, generate_series(1, ${rounds - 1}::int) n
      order by n desc, e.place`);
  });
  return {
    formulas: await countOf(db, 'formulas'),
    events: await countOf(db, 'trial_events'),
    batches: await countOf(db, 'batches'),
  };
}
