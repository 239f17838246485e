/** Versions that are used as ingredients of other formulas. */
import { and, desc, eq, sql } from 'drizzle-orm';
import type { MadeRecord } from '#contract';
import type { Formula, FormulaDiff, FormulaId } from '#core/formula';
import { readMadeId, type IngredientId } from '#core/ingredient';
import { madeWith } from '#core/reckoning';
import type { Database } from '../../db/client';
import { formulas, versions } from '../../db/schema';

type Reader = Pick<Database, 'select' | 'selectDistinctOn'>;

const HAS_MADE = '%"made-%';

const madeIdsOf = ({ additions }: Formula): readonly IngredientId[] =>
  additions.flatMap(({ ingredientId }) => (ingredientId && readMadeId(ingredientId) ? [ingredientId] : []));

/** Every pin of any formula or version. */
async function pins(db: Reader): Promise<ReadonlySet<IngredientId>> {
  const inFormulas = await db
    .select({ content: formulas.content })
    .from(formulas)
    .where(sql`${formulas.content}::text like ${HAS_MADE}`);
  const inVersions = await db
    .select({ content: versions.content })
    .from(versions)
    .where(sql`${versions.content}::text like ${HAS_MADE}`);
  return new Set([...inFormulas, ...inVersions].flatMap(({ content }) => madeIdsOf(content)));
}

export async function pinnedFormulas(db: Reader): Promise<ReadonlySet<string>> {
  return new Set([...(await pins(db))].map((id) => readMadeId(id)!.formulaId));
}

export async function madeRecords(db: Reader): Promise<readonly MadeRecord[]> {
  const latest = await db
    .selectDistinctOn([versions.formulaId], {
      formulaId: versions.formulaId,
      number: versions.number,
      formula: versions.content,
      shelf: formulas.shelf,
    })
    .from(versions)
    .innerJoin(formulas, eq(formulas.id, versions.formulaId))
    .orderBy(versions.formulaId, desc(versions.number));
  const latestOf = new Map(latest.map(({ formulaId, number }) => [formulaId as string, number]));
  const found = new Map<string, MadeRecord>();
  for (const { shelf, ...version } of latest) {
    if (shelf === 'shelf')
      found.set(`${version.formulaId}/${version.number}`, { ...version, latest: version.number });
  }
  for (const id of await pins(db)) {
    const { formulaId, version } = readMadeId(id)!;
    if (found.has(`${formulaId}/${version}`)) continue;
    const formula = await versionContent(db, id);
    const number = latestOf.get(formulaId);
    if (formula && number !== undefined) {
      found.set(`${formulaId}/${version}`, {
        formulaId: formulaId as FormulaId,
        number: version,
        latest: number,
        formula,
      });
    }
  }
  return [...found.values()];
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
