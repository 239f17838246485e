import { asc, eq } from 'drizzle-orm';
import type { MeasureRecord, NewMeasure } from '#contract';
import type { Database } from '../../db/client';
import { measures } from '../../db/schema';

/** A cook's own measures. Weighed anew it is a new record: what was typed with the old one keeps it. */
export class MeasureStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  /** Oldest first. */
  async all(): Promise<MeasureRecord[]> {
    const rows = await this.db.select().from(measures).orderBy(asc(measures.createdAt), asc(measures.id));
    return rows.map(({ createdAt, ...row }) => ({ ...row, at: new Date(createdAt).toISOString() }));
  }

  /** The same record sent again is no second one; null where the id is another's. */
  async add(measure: NewMeasure): Promise<MeasureRecord | null> {
    const createdAt = this.now().toISOString();
    await this.db
      .insert(measures)
      .values({ ...measure, createdAt })
      .onConflictDoNothing();
    const [row] = await this.db.select().from(measures).where(eq(measures.id, measure.id));
    if (row?.unit !== measure.unit || row.ingredientId !== measure.ingredientId) return null;
    const { createdAt: at, ...found } = row;
    return { ...found, at: new Date(at).toISOString() };
  }
}
