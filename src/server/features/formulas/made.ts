/** Versions that are used as ingredients of other formulas. */
import { and, eq, sql } from 'drizzle-orm';
import type { MadeRecord } from '#contract';
import type { Formula, FormulaDiff, FormulaId } from '#core/formula';
import { readMadeId, type IngredientId } from '#core/ingredient';
import { madeWith } from '#core/reckoning';
import { found, type Database } from '../../db/client';
import { likeText } from '../../db/likeText';
import { versions } from '../../db/schema';

type Reader = Pick<Database, 'select' | 'execute'>;

/** Of the shelf's latest versions as many are at hand without being asked for by name. */
const MOST_RECENT = 60;
const MOST_FOUND = 20;

const madeIdsOf = ({ additions }: Formula): readonly IngredientId[] =>
  additions.flatMap(({ ingredientId }) => (ingredientId && readMadeId(ingredientId) ? [ingredientId] : []));

/** Every pin of any formula or version. */
async function pins(db: Reader): Promise<ReadonlySet<IngredientId>> {
  const rows = await found<{ id: IngredientId }>(
    db,
    sql`select distinct jsonb_array_elements_text(pins) as id from (
          select pins from formulas where pins <> '[]' union all select pins from versions where pins <> '[]') p`,
  );
  return new Set(rows.map(({ id }) => id));
}

export async function pinnedFormulas(db: Reader): Promise<ReadonlySet<string>> {
  return new Set([...(await pins(db))].map((id) => readMadeId(id)!.formulaId));
}

type Numbered = Pick<MadeRecord, 'formulaId' | 'number'>;

export async function madeRecords(db: Reader): Promise<readonly MadeRecord[]> {
  const recent = await found<Numbered>(
    db,
    sql`select v.formula_id as "formulaId", v.number from versions v join formulas f on f.id = v.formula_id
        where f.shelf = 'shelf'
          and v.number = (select max(w.number) from versions w where w.formula_id = v.formula_id)
        order by v.created_at desc, v.formula_id limit ${MOST_RECENT}`,
  );
  const pinned = [...(await pins(db))].map((id) => {
    const { formulaId, version } = readMadeId(id)!;
    return { formulaId: formulaId as FormulaId, number: version };
  });
  return contentsOf(db, [...recent, ...pinned]);
}

export async function madeNamed(db: Reader, q: string): Promise<readonly MadeRecord[]> {
  const words = q.split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  const named = sql.join(
    words.map((word) => sql`f.content->>'name' ilike ${`%${likeText(word)}%`}`),
    sql` and `,
  );
  const hits = await found<Numbered>(
    db,
    sql`select f.id as "formulaId", max(v.number) as number
        from formulas f join versions v on v.formula_id = f.id
        where f.shelf = 'shelf' and ${named}
        group by f.id order by length(f.content->>'name'), f.id limit ${MOST_FOUND}`,
  );
  return contentsOf(db, hits);
}

/** Those versions, and whatever lies within them. */
async function contentsOf(db: Reader, wanted: readonly Numbered[]): Promise<readonly MadeRecord[]> {
  const records = new Map<string, MadeRecord>();
  const keyOf = ({ formulaId, number }: Numbered): string => `${formulaId}/${number}`;
  let asked = wanted;
  while (asked.length > 0) {
    const rows = await found<MadeRecord>(
      db,
      sql`select v.formula_id as "formulaId", v.number, v.content as formula,
                 (select max(w.number) from versions w where w.formula_id = v.formula_id) as latest
          from versions v where (v.formula_id, v.number) in (${sql.join(
            asked.map(({ formulaId, number }) => sql`(${formulaId}, ${number}::int)`),
            sql`, `,
          )}) order by v.created_at, v.formula_id, v.number`,
    );
    for (const row of rows) records.set(keyOf(row), row);
    const inside = rows.flatMap(({ formula }) =>
      madeIdsOf(formula).map((id) => {
        const { formulaId, version } = readMadeId(id)!;
        return { formulaId: formulaId as FormulaId, number: version };
      }),
    );
    const gone = new Set(asked.map(keyOf));
    asked = [...new Map(inside.map((one) => [keyOf(one), one])).values()].filter(
      (one) => !records.has(keyOf(one)) && !gone.has(keyOf(one)),
    );
  }
  return [...records.values()];
}

async function versionContent(db: Reader, id: IngredientId): Promise<Formula | null> {
  const made = readMadeId(id)!;
  const [row] = await db
    .select({ content: versions.content })
    .from(versions)
    .where(and(eq(versions.formulaId, made.formulaId as FormulaId), eq(versions.number, made.version)));
  return row?.content ?? null;
}

/** Whether what a change puts into a formula is, somewhere below, made with that formula. */
export async function isCircle(db: Reader, id: FormulaId, diff: FormulaDiff): Promise<boolean> {
  const put = [
    ...diff.added.map(({ ingredientId }) => ingredientId),
    ...diff.updated
      .filter(({ field }) => field === 'ingredientId')
      .map(({ to }) => to as IngredientId | null),
  ];
  const first = put.filter(
    (candidate): candidate is IngredientId => candidate !== null && readMadeId(candidate) !== null,
  );
  if (first.length === 0) return false;
  const contents = new Map<IngredientId, Formula | null>();
  const load = async (ids: readonly IngredientId[]): Promise<void> => {
    for (const madeId of ids) {
      if (contents.has(madeId)) continue;
      const content = await versionContent(db, madeId);
      contents.set(madeId, content);
      if (content) await load(madeIdsOf(content));
    }
  };
  await load(first);
  const versionOf = (madeId: IngredientId): Formula | null => contents.get(madeId) ?? null;
  return first.some((madeId) => {
    if (readMadeId(madeId)!.formulaId === (id as string)) return true;
    const content = versionOf(madeId);
    return content !== null && madeWith(content, versionOf).has(id);
  });
}
