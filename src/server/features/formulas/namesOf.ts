import { inArray, sql } from 'drizzle-orm';
import type { FormulaId } from '#core/formula';
import type { Database } from '../../db/client';
import { formulas } from '../../db/schema';

/** What these are called now; those that are gone are left out. */
export async function namesOf(
  db: Database,
  ids: Iterable<FormulaId>,
): Promise<Readonly<Record<string, string>>> {
  const wanted = [...new Set(ids)];
  if (wanted.length === 0) return {};
  const rows = await db
    .select({ id: formulas.id, name: sql<string>`${formulas.content}->>'name'` })
    .from(formulas)
    .where(inArray(formulas.id, wanted));
  return Object.fromEntries(rows.map(({ id, name }) => [id, name]));
}
