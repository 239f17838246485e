import { randomBytes } from 'node:crypto';
import { asc, inArray } from 'drizzle-orm';
import { DOCUMENT_FORMAT, type ImportReport, type KitchenDocument } from '#contract';
import { diffFormulas, isEmptyDiff, type FormulaId } from '#core/formula';
import { lockInside, type Database } from '../../db/client';
import { formulas, ingredients, versions } from '../../db/schema';

type Entry = KitchenDocument['formulas'][number];
const iso = (value: string): string => new Date(value).toISOString();

/** Formulas and their versions out of the kitchen and into it, whole. */
export class DocumentStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  /** @param ids null: all of them, with the kitchen's own ingredients */
  async write(ids: readonly FormulaId[] | null): Promise<KitchenDocument> {
    const rows = await this.db
      .select()
      .from(formulas)
      .where(ids ? inArray(formulas.id, [...ids]) : undefined)
      .orderBy(asc(formulas.createdAt), asc(formulas.id));
    const frozen = await this.db
      .select()
      .from(versions)
      .where(ids ? inArray(versions.formulaId, [...ids]) : undefined)
      .orderBy(asc(versions.number));
    const own = ids ? [] : await this.db.select().from(ingredients).orderBy(asc(ingredients.id));
    return {
      ygranaDocument: DOCUMENT_FORMAT,
      madeAt: this.now().toISOString(),
      formulas: rows.map(({ id, shelf, createdAt, content }) => ({
        id,
        shelf,
        createdAt: iso(createdAt),
        formula: content,
        versions: frozen
          .filter(({ formulaId }) => formulaId === id)
          .map(({ formulaId: _id, pins: _pins, content: formula, createdAt: at, ...version }) => ({
            ...version,
            formula,
            createdAt: iso(at),
          })),
      })),
      ingredients: own.map(({ row }) => row),
    };
  }

  /** All of it or nothing; brought in twice it is there once. */
  read(document: KitchenDocument): Promise<ImportReport> {
    return this.db.transaction(async (tx) => {
      await lockInside(tx, 'documents brought in');
      const ids = document.formulas.map(({ id }) => id);
      const known = ids.length > 0 ? await tx.select().from(formulas).where(inArray(formulas.id, ids)) : [];
      const frozen =
        ids.length > 0 ? await tx.select().from(versions).where(inArray(versions.formulaId, ids)) : [];
      const report = { added: [] as string[], same: [] as string[], beside: [] as string[] };
      for (const entry of document.formulas) {
        const there = known.find(({ id }) => id === entry.id);
        if (
          there &&
          isSame(
            entry,
            there,
            frozen.filter(({ formulaId }) => formulaId === entry.id),
          )
        ) {
          report.same.push(entry.formula.name);
          continue;
        }
        const id = there ? (randomBytes(12).toString('hex') as FormulaId) : entry.id;
        (there ? report.beside : report.added).push(entry.formula.name);
        await tx.insert(formulas).values({
          id,
          revision: 0,
          content: entry.formula,
          shelf: entry.shelf,
          createdAt: entry.createdAt,
          shelfSince: entry.shelf === 'shelf' ? null : this.now().toISOString(),
          updatedAt: this.now().toISOString(),
        });
        for (const { formula: content, ...version } of entry.versions)
          await tx.insert(versions).values({ ...version, formulaId: id, content });
      }
      const own = new Map((await tx.select().from(ingredients)).map(({ id, row }) => [id, row]));
      const kept: string[] = [];
      let added = 0;
      for (const row of document.ingredients) {
        const mine = own.get(row.id);
        if (mine) {
          if (JSON.stringify(sorted(mine)) !== JSON.stringify(sorted(row))) kept.push(row.name);
          continue;
        }
        await tx.insert(ingredients).values({ id: row.id, row, updatedAt: this.now().toISOString() });
        added += 1;
      }
      return { ...report, ingredientsAdded: added, ingredientsKept: kept };
    });
  }
}

function isSame(
  entry: Entry,
  there: typeof formulas.$inferSelect,
  frozen: readonly (typeof versions.$inferSelect)[],
): boolean {
  if (!isEmptyDiff(diffFormulas(entry.formula, there.content))) return false;
  return (
    frozen.length === entry.versions.length &&
    entry.versions.every((version) => {
      const mine = frozen.find(({ number }) => number === version.number);
      return mine !== undefined && isEmptyDiff(diffFormulas(version.formula, mine.content));
    })
  );
}

/** The database orders keys as it likes. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([key, inside]) => [key, sorted(inside)]),
  );
}
