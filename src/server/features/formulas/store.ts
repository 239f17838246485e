import { and, desc, eq, inArray, lt, sql } from 'drizzle-orm';
import type {
  By,
  ChangeRequest,
  FormulaRecord,
  FreezeAnswer,
  MadeRecord,
  NewFormula,
  Shelf,
  VersionRecord,
  KinAnswer,
} from '#contract';
import {
  applyDiff,
  diffFormulas,
  isEmptyDiff,
  sameContent,
  type Conflict,
  type Formula,
  type FormulaId,
} from '#core/formula';
import type { Database } from '../../db/client';
import { appliedChanges, formulas, versions } from '../../db/schema';
import { kinOf } from './kin';
import { isCircle, madeNamed, madeRecords, pinnedFormulas } from './made';

export type ChangeOutcome =
  | { readonly status: 'applied'; readonly record: FormulaRecord }
  | { readonly status: 'not-found' }
  /** It would be made with itself. */
  | { readonly status: 'circle' }
  | {
      readonly status: 'conflict';
      readonly conflicts: readonly Conflict[];
      readonly record: FormulaRecord;
    };

export type FreezeOutcome =
  | ({ readonly status: 'frozen' | 'unchanged' } & FreezeAnswer)
  | { readonly status: 'not-found' }
  | { readonly status: 'moved-on'; readonly record: FormulaRecord };

type FormulaRow = typeof formulas.$inferSelect;
type VersionRow = typeof versions.$inferSelect;

/** What lies in the bin longer than this is gone at the next start. */
const BIN_DAYS = 30;

/** Formulas and their versions. Time is given, never taken. */
export class FormulaStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  get(id: FormulaId): Promise<FormulaRecord | null> {
    return readRecord(this.db, id);
  }

  /** Null where the id is taken by another formula; the same formula sent again is no error. */
  async create({ id, formula }: NewFormula): Promise<FormulaRecord | null> {
    const at = this.now().toISOString();
    // Versions are born here, not brought along.
    const content: Formula = { ...formula, basedOnVersion: null };
    await this.db
      .insert(formulas)
      .values({ id, revision: 0, content, createdAt: at, updatedAt: at })
      .onConflictDoNothing();
    const record = await readRecord(this.db, id);
    return record && isEmptyDiff(diffFormulas(record.formula, content)) ? record : null;
  }

  async change(id: FormulaId, { idempotencyKey, diff }: ChangeRequest): Promise<ChangeOutcome> {
    return this.db.transaction(async (tx): Promise<ChangeOutcome> => {
      await hold(tx, id);
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
      if (await isCircle(tx, id, diff)) return { status: 'circle' };
      const revision = await this.write(tx, record, result.formula);
      await tx
        .insert(appliedChanges)
        .values({ key: idempotencyKey, formulaId: id, revision, createdAt: this.now().toISOString() });
      return { status: 'applied', record: (await readRecord(tx, id))! };
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

  /** Every version that something is made with, and those of the shelf that were frozen last. */
  made(): Promise<readonly MadeRecord[]> {
    return madeRecords(this.db);
  }

  /** The latest versions of what stands on the shelf under such a name, with all they are made with. */
  madeNamed(q: string): Promise<readonly MadeRecord[]> {
    return madeNamed(this.db, q);
  }

  /** Null where there is no such formula. */
  kin(id: FormulaId): Promise<KinAnswer | null> {
    return kinOf(this.db, id);
  }

  /** Makes the next version of what the cook saw; the working formula then grows from it. */
  async freeze(id: FormulaId, revision: number, note: string, by: By): Promise<FreezeOutcome> {
    return this.db.transaction(async (tx): Promise<FreezeOutcome> => {
      await hold(tx, id);
      const record = await readRecord(tx, id);
      if (!record) return { status: 'not-found' };
      if (record.revision !== revision) return { status: 'moved-on', record };
      const base = record.baseVersion;
      if (base && sameContent(base.formula, record.formula)) {
        return { status: 'unchanged', version: base, record };
      }
      const row = {
        formulaId: id,
        number: record.latestNumber + 1,
        parent: record.formula.basedOnVersion,
        content: record.formula,
        note,
        by,
        createdAt: this.now().toISOString(),
      };
      await tx.insert(versions).values(row);
      await this.write(tx, record, { ...record.formula, basedOnVersion: row.number });
      return { status: 'frozen', version: toVersion(row), record: (await readRecord(tx, id))! };
    });
  }

  /**
   * The number of a version with this content, made if there is none. The working formula grows from it where
   * it still is the same; where it has moved on it goes on from where it came from.
   * @returns null: there is no such formula
   */
  async freezeContent(id: FormulaId, formula: Formula, note: string, by: By): Promise<number | null> {
    return this.db.transaction(async (tx) => {
      await hold(tx, id);
      const record = await readRecord(tx, id);
      if (!record) return null;
      const all = await tx.select().from(versions).where(eq(versions.formulaId, id));
      const known = all.filter(({ content }) => sameContent(content, formula));
      if (known.length > 0) return Math.max(...known.map(({ number }) => number));
      const number = record.latestNumber + 1;
      const parent = formula.basedOnVersion;
      const createdAt = this.now().toISOString();
      await tx
        .insert(versions)
        .values({ formulaId: id, number, parent, content: formula, note, by, createdAt });
      if (sameContent(record.formula, formula))
        await this.write(tx, record, { ...record.formula, basedOnVersion: number });
      return number;
    });
  }

  /** Puts a formula on the shelf, into the archive or into the bin. Nothing is destroyed by it. */
  async move(id: FormulaId, shelf: Shelf): Promise<FormulaRecord | null> {
    const at = this.now().toISOString();
    await this.db.update(formulas).set({ shelf, shelfSince: at }).where(eq(formulas.id, id));
    return readRecord(this.db, id);
  }

  /**
   * Empties what has lain in the bin for {@link BIN_DAYS} days.
   * @param savedAt only what was there before then: it lies in a backup
   */
  async emptyBin(savedAt: Date): Promise<void> {
    const due = new Date(this.now().getTime() - BIN_DAYS * 86_400_000);
    const before = (due < savedAt ? due : savedAt).toISOString();
    const old = await this.db
      .select({ id: formulas.id })
      .from(formulas)
      .where(and(eq(formulas.shelf, 'bin'), lt(formulas.shelfSince, before)));
    if (old.length === 0) return;
    // What other formulas are made with stays, or they could no longer be reckoned.
    const used = await pinnedFormulas(this.db);
    const gone = old.map(({ id }) => id).filter((id) => !used.has(id));
    if (gone.length > 0) await this.db.delete(formulas).where(inArray(formulas.id, gone));
  }

  async isEmpty(): Promise<boolean> {
    const [row] = await this.db.select({ count: sql<number>`count(*)::int` }).from(formulas);
    return row!.count === 0;
  }

  private async write(tx: Database, record: FormulaRecord, content: Formula): Promise<number> {
    const revision = record.revision + 1;
    const updatedAt = this.now().toISOString();
    await tx.update(formulas).set({ content, revision, updatedAt }).where(eq(formulas.id, record.id));
    return revision;
  }
}

/** Until the transaction ends, nobody else changes this formula: what is read is what is written over. */
const hold = (tx: Database, id: FormulaId): Promise<unknown> =>
  tx.select({ id: formulas.id }).from(formulas).where(eq(formulas.id, id)).for('update');

async function readRecord(db: Database, id: FormulaId): Promise<FormulaRecord | null> {
  const [row] = await db.select().from(formulas).where(eq(formulas.id, id));
  if (!row) return null;
  const [latest] = await db
    .select({ number: versions.number })
    .from(versions)
    .where(eq(versions.formulaId, id))
    .orderBy(desc(versions.number))
    .limit(1);
  const base = row.content.basedOnVersion;
  const found =
    base === null
      ? []
      : await db
          .select()
          .from(versions)
          .where(and(eq(versions.formulaId, id), inArray(versions.number, [base])));
  return {
    ...common(row, latest?.number ?? 0),
    baseVersion: found[0] ? toVersion(found[0]) : null,
  };
}

const isoTime = (value: string): string => new Date(value).toISOString();

function toVersion(row: Omit<VersionRow, 'pins'>): VersionRecord {
  return {
    number: row.number,
    parent: row.parent,
    note: row.note,
    formula: row.content,
    by: row.by,
    createdAt: isoTime(row.createdAt),
  };
}

function common(row: FormulaRow, latestNumber: number): Omit<FormulaRecord, 'baseVersion'> {
  return {
    id: row.id,
    revision: row.revision,
    formula: row.content,
    shelf: row.shelf,
    latestNumber,
    createdAt: isoTime(row.createdAt),
    updatedAt: isoTime(row.updatedAt),
  };
}
