import { createHash } from 'node:crypto';
import { sql } from 'drizzle-orm';
import type { ShelfRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { found, type Database } from '../../db/client';

interface Kept {
  readonly mark: string;
  readonly json: string;
  readonly digest: string;
}
interface Answer {
  readonly json: string;
  readonly tag: string;
}
const digestOf = (text: string): string => createHash('sha256').update(text).digest('base64url');

/** What a formula's entry in the list depends on, without its content. */
const MARK = sql`concat_ws(' ', revision, shelf, updated_at)`;

/**
 * The shelf as JSON, one text a formula: only what has changed since the last question is read again,
 * whoever changed it, so that a thousand formulas are listed quickly.
 */
export class ShelfList {
  private kept = new Map<string, Kept>();
  private said: { readonly mark: string; readonly answer: Answer } | null = null;

  constructor(
    private readonly db: Database,
    private readonly read: (ids: readonly FormulaId[]) => Promise<readonly ShelfRecord[]>,
  ) {}

  async answer(): Promise<Answer> {
    const [whole] = await found<{ mark: string }>(
      this.db,
      sql`select coalesce(md5(string_agg(id || ' ' || ${MARK}, ',' order by created_at, id)), '') as mark from formulas`,
    );
    if (this.said?.mark !== whole!.mark) {
      await this.catchUp();
      const all = [...this.kept.values()];
      const answer = {
        json: `[${all.map(({ json }) => json).join(',')}]`,
        // By what is sent, so that every process and every release says the same of the same.
        tag: digestOf(all.map(({ digest }) => digest).join()),
      };
      this.said = { mark: whole!.mark, answer };
    }
    return this.said.answer;
  }

  private async catchUp(): Promise<void> {
    const marks = await found<{ id: FormulaId; mark: string }>(
      this.db,
      sql`select id, ${MARK} as mark from formulas order by created_at, id`,
    );
    const stale = marks.filter(({ id, mark }) => this.kept.get(id)?.mark !== mark).map(({ id }) => id);
    const read = stale.length > 0 ? await this.read(stale) : [];
    const fresh = new Map(read.map((record) => [record.id, JSON.stringify(record)]));
    const kept = new Map<string, Kept>();
    for (const { id, mark } of marks) {
      const json = fresh.get(id);
      // Read a moment after its mark it may be newer than that; then it is read again next time.
      const entry = json === undefined ? this.kept.get(id) : { mark, json, digest: digestOf(json) };
      if (entry) kept.set(id, entry);
    }
    this.kept = kept;
  }
}
