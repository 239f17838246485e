/** Formulas as they stand on the shelf, by id. */
import { sql } from 'drizzle-orm';
import type { Shelf, ShelfRecord } from '#contract';
import { sameContent, type Formula, type FormulaId } from '#core/formula';
import { found, type Database } from '../../db/client';

/** All of a shelf's record but how its version stands, which its jars decide. */
export type Shelved = Omit<ShelfRecord, 'state'>;

interface Row {
  readonly id: FormulaId;
  readonly revision: number;
  readonly content: Formula;
  readonly shelf: Shelf;
  readonly created_at: string;
  readonly updated_at: string;
  readonly latest: number | null;
  readonly base: Formula | null;
}
const isoTime = (value: string): string => new Date(value).toISOString();

export async function readShelved(db: Database, ids: readonly FormulaId[]): Promise<readonly Shelved[]> {
  if (ids.length === 0) return [];
  const rows = await found<Row>(
    db,
    sql`select f.id, f.revision, f.content, f.shelf, f.created_at, f.updated_at,
               (select max(v.number) from versions v where v.formula_id = f.id) as latest,
               (select v.content from versions v
                 where v.formula_id = f.id and v.number = (f.content->>'basedOnVersion')::int) as base
        from formulas f where f.id in ${[...ids]}`,
  );
  return rows.map(({ id, revision, content, shelf, created_at, updated_at, latest, base }) => ({
    id,
    revision,
    formula: content,
    shelf,
    latestNumber: latest ?? 0,
    createdAt: isoTime(created_at),
    updatedAt: isoTime(updated_at),
    changed: base !== null && !sameContent(base, content),
  }));
}
