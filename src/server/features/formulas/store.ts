import { and, desc, eq, sql } from 'drizzle-orm';
import type { ChangeRequest, FormulaRecord, NewFormula, VersionRecord } from '#contract';
import { applyDiff, isEmptyDiff, diffFormulas, type Conflict, type FormulaId } from '#core/formula';
import type { Database } from '../../db/client';
import { appliedChanges, formulas, versions } from '../../db/schema';

export type ChangeOutcome =
  | { readonly status: 'applied'; readonly record: FormulaRecord }
  | { readonly status: 'not-found' }
  | {
      readonly status: 'conflict';
      readonly conflicts: readonly Conflict[];
      readonly record: FormulaRecord;
    };

export type FreezeOutcome =
  | { readonly status: 'frozen'; readonly version: VersionRecord }
  | { readonly status: 'not-found' }
  | { readonly status: 'moved-on'; readonly record: FormulaRecord }
  | { readonly status: 'unchanged'; readonly version: VersionRecord };

type Transaction = Parameters<Parameters<Database['transaction']>[0]>[0];

/** Formulas and their versions. Time is given, never taken. */
export class FormulaStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  async list(): Promise<FormulaRecord[]> {
    const rows = await this.db.select().from(formulas).orderBy(formulas.createdAt, formulas.id);
    const latest = await this.db
      .selectDistinctOn([versions.formulaId])
      .from(versions)
      .orderBy(versions.formulaId, desc(versions.number));
    const latestOf = new Map(latest.map((row) => [row.formulaId, row]));
    return rows.map((row) => toRecord(row, latestOf.get(row.id)));
  }

  get(id: FormulaId): Promise<FormulaRecord | null> {
    return readRecord(this.db, id);
  }

  /** Null where the id is taken by another formula; the same formula sent again is no error. */
  async create({ id, formula }: NewFormula): Promise<FormulaRecord | null> {
    const at = this.now().toISOString();
    await this.db
      .insert(formulas)
      .values({ id, revision: 0, content: formula, createdAt: at, updatedAt: at })
      .onConflictDoNothing();
    const record = await readRecord(this.db, id);
    const same = record && isEmptyDiff(diffFormulas(record.formula, formula));
    return same ? record : null;
  }

  change(id: FormulaId, { idempotencyKey, diff }: ChangeRequest): Promise<ChangeOutcome> {
    return this.db.transaction(async (tx): Promise<ChangeOutcome> => {
      const record = await readRecord(tx, id);
      if (!record) return { status: 'not-found' };
      const seen = await tx
        .select()
        .from(appliedChanges)
        .where(and(eq(appliedChanges.key, idempotencyKey), eq(appliedChanges.formulaId, id)));
      if (seen.length > 0) return { status: 'applied', record };
      const result = applyDiff(record.formula, diff);
      if (result.status === 'conflict') {
        return { status: 'conflict', conflicts: result.conflicts, record };
      }
      const at = this.now().toISOString();
      const revision = record.revision + 1;
      await tx
        .update(formulas)
        .set({ content: result.formula, revision, updatedAt: at })
        .where(eq(formulas.id, id));
      await tx.insert(appliedChanges).values({ key: idempotencyKey, formulaId: id, revision, createdAt: at });
      return {
        status: 'applied',
        record: { ...record, formula: result.formula, revision, updatedAt: at },
      };
    });
  }

  async versions(id: FormulaId): Promise<VersionRecord[]> {
    const rows = await this.db
      .select()
      .from(versions)
      .where(eq(versions.formulaId, id))
      .orderBy(desc(versions.number));
    return rows.map(toVersion);
  }

  freeze(id: FormulaId, revision: number, note: string): Promise<FreezeOutcome> {
    return this.db.transaction(async (tx): Promise<FreezeOutcome> => {
      const record = await readRecord(tx, id);
      if (!record) return { status: 'not-found' };
      if (record.revision !== revision) return { status: 'moved-on', record };
      const latest = record.latestVersion;
      if (latest && isEmptyDiff(diffFormulas(latest.formula, record.formula))) {
        return { status: 'unchanged', version: latest };
      }
      const row = {
        formulaId: id,
        number: (latest?.number ?? 0) + 1,
        content: record.formula,
        note,
        createdAt: this.now().toISOString(),
      };
      await tx.insert(versions).values(row);
      return { status: 'frozen', version: toVersion(row) };
    });
  }

  async isEmpty(): Promise<boolean> {
    const [row] = await this.db.select({ count: sql<number>`count(*)::int` }).from(formulas);
    return row!.count === 0;
  }
}

async function readRecord(db: Database | Transaction, id: FormulaId): Promise<FormulaRecord | null> {
  const [row] = await db.select().from(formulas).where(eq(formulas.id, id));
  if (!row) return null;
  const [latest] = await db
    .select()
    .from(versions)
    .where(eq(versions.formulaId, id))
    .orderBy(desc(versions.number))
    .limit(1);
  return toRecord(row, latest);
}

const isoTime = (value: string): string => new Date(value).toISOString();

function toVersion(row: typeof versions.$inferSelect): VersionRecord {
  return {
    number: row.number,
    note: row.note,
    formula: row.content,
    createdAt: isoTime(row.createdAt),
  };
}

function toRecord(
  row: typeof formulas.$inferSelect,
  latest: typeof versions.$inferSelect | undefined,
): FormulaRecord {
  return {
    id: row.id,
    revision: row.revision,
    formula: row.content,
    latestVersion: latest ? toVersion(latest) : null,
    createdAt: isoTime(row.createdAt),
    updatedAt: isoTime(row.updatedAt),
  };
}
