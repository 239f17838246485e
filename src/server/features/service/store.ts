import { desc, eq, inArray } from 'drizzle-orm';
import { EMPTY_PLAN, planContentOf, type DressingRecord, type NewDressing, type PlanRecord } from '#contract';
import type { Database } from '../../db/client';
import { dressings, plans } from '../../db/schema';

const MOST_AT_ONCE = 500;
const iso = (value: string): string => new Date(value).toISOString();

/** What was dressed with how much: appended, never changed. */
/** Of what was written before a bowl was spoken of. */
const NOTHING_SAID = { dishId: null, verdict: null, tableMl: null } as const;

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
    return rows.map(({ id, content, createdAt }) => ({
      ...NOTHING_SAID,
      id,
      ...content,
      at: iso(createdAt),
    }));
  }

  async plan(day: string): Promise<PlanRecord> {
    const [row] = await this.db.select().from(plans).where(eq(plans.day, day));
    return { day, revision: row?.revision ?? 0, content: row ? planContentOf(row.content) : EMPTY_PLAN };
  }

  /** Days that have services, the next first. */
  async days(): Promise<string[]> {
    const rows = await this.db.select().from(plans).orderBy(plans.day);
    return rows.filter(({ content }) => content.services.length > 0).map(({ day }) => day);
  }

  /** Seven days from the given one, in their order. */
  async week(first: string): Promise<PlanRecord[]> {
    const days = Array.from({ length: 7 }, (_, i) =>
      new Date(Date.parse(first) + i * 86_400_000).toISOString().slice(0, 10),
    );
    const rows = await this.db.select().from(plans).where(inArray(plans.day, days));
    return days.map((day) => {
      const row = rows.find((one) => one.day === day);
      return { day, revision: row?.revision ?? 0, content: row ? planContentOf(row.content) : EMPTY_PLAN };
    });
  }

  /** The same entry sent again is no second one. */
  async addDressing({ id, ...content }: NewDressing): Promise<DressingRecord> {
    await this.db
      .insert(dressings)
      .values({ id, content, createdAt: this.now().toISOString() })
      .onConflictDoNothing();
    const [row] = await this.db.select().from(dressings).where(eq(dressings.id, id));
    return { ...NOTHING_SAID, id, ...row!.content, at: iso(row!.createdAt) };
  }
}
