import { and, desc, eq, ilike, sql } from 'drizzle-orm';
import type { FindAnswer } from '#contract';
import { batchNumber } from '#core/batch';
import { normaliseName } from '#core/ingredient';
import type { Database } from '../../db/client';
import { likeText } from '../../db/likeText';
import { batches, formulas, trialEvents, trials } from '../../db/schema';
import type { ShelfBoard } from '../formulas/shelf';
import type { ShelfText } from '../formulas/shelfKnown';

/** Of each kind: more would be a page of its own. */
const MOST = 6;

/** What the kitchen has, whatever it is, by a few words. */
export class FindStore {
  constructor(
    private readonly db: Database,
    private readonly shelf: Pick<ShelfBoard, 'texts'>,
  ) {}

  async find(q: string): Promise<FindAnswer> {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    const [shelf, jars, made] = await Promise.all([this.shelf.texts(), this.jars(words), this.batches(q)]);
    return { formulas: named(shelf.texts, q), pending: shelf.pending, jars, batches: made };
  }

  /** By what was written of them; the latest note of each. */
  private async jars(words: readonly string[]): Promise<FindAnswer['jars']> {
    const rows = await this.db
      .select({
        id: trials.id,
        formulaId: trials.formulaId,
        formulaName: sql<string | null>`${formulas.content}->>'name'`,
        version: trials.version,
        at: trials.createdAt,
        note: trialEvents.note,
      })
      .from(trialEvents)
      .innerJoin(trials, eq(trials.id, trialEvents.trialId))
      .leftJoin(formulas, eq(formulas.id, trials.formulaId))
      .where(and(...words.map((word) => ilike(trialEvents.note, `%${likeText(word)}%`))))
      .orderBy(desc(trialEvents.place))
      .limit(MOST);
    return rows.map(({ at, note, ...row }) => ({
      ...row,
      at: new Date(at).toISOString(),
      note: note ?? '',
    }));
  }

  /** By their number or a part of it, with or without its dash. */
  private async batches(q: string): Promise<FindAnswer['batches']> {
    const digits = q.replace(/[\s-]/g, '');
    if (!/^\d{2,}$/.test(digits)) return [];
    const rows = await this.db
      .select({
        id: batches.id,
        formulaId: batches.formulaId,
        formulaName: sql<string | null>`${formulas.content}->>'name'`,
        day: batches.day,
        place: batches.place,
      })
      .from(batches)
      .leftJoin(formulas, eq(formulas.id, batches.formulaId))
      .where(
        sql`replace(${batches.day}, '-', '') || lpad(${batches.place}::text, 2, '0') like ${`%${digits}%`}`,
      )
      .orderBy(desc(batches.day), desc(batches.place))
      .limit(MOST);
    return rows.map(({ day, place, ...row }) => ({ ...row, number: batchNumber(day, place) }));
  }
}

/** Those whose name begins with it, then those whose name has it, then those in which it is found. */
function named(texts: readonly ShelfText[], q: string): FindAnswer['formulas'] {
  const words = normaliseName(q).split(' ').filter(Boolean);
  const has = (text: string): boolean => words.every((word) => text.includes(word));
  const rank = (name: string): number => {
    const plain = normaliseName(name);
    return plain.startsWith(words.join(' ')) ? 0 : has(plain) ? 1 : 2;
  };
  if (words.length === 0) return [];
  return texts
    .filter(({ text }) => has(text))
    .map(({ id, name }) => ({ id, name, rank: rank(name) }))
    .sort((a, b) => a.rank - b.rank || a.name.localeCompare(b.name))
    .slice(0, MOST)
    .map(({ id, name }) => ({ id, name }));
}
