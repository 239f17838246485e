import { desc, eq } from 'drizzle-orm';
import type { DressingRecord, NewDressing } from '#contract';
import type { Database } from '../../db/client';
import { dressings } from '../../db/schema';

const MOST_AT_ONCE = 500;
const iso = (value: string): string => new Date(value).toISOString();

/** What was dressed with how much: appended, never changed. */
export class ServiceStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  /** Newest first. */
  async dressings(): Promise<DressingRecord[]> {
    const rows = await this.db
      .select()
      .from(dressings)
      .orderBy(desc(dressings.createdAt))
      .limit(MOST_AT_ONCE);
    return rows.map(({ id, content, createdAt }) => ({ id, ...content, at: iso(createdAt) }));
  }

  /** The same entry sent again is no second one. */
  async addDressing({ id, ...content }: NewDressing): Promise<DressingRecord> {
    await this.db
      .insert(dressings)
      .values({ id, content, createdAt: this.now().toISOString() })
      .onConflictDoNothing();
    const [row] = await this.db.select().from(dressings).where(eq(dressings.id, id));
    return { id, ...row!.content, at: iso(row!.createdAt) };
  }
}
