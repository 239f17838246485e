import { asc, desc, eq, inArray } from 'drizzle-orm';
import type { NewAnswer, NewPanel, PanelRecord } from '#contract';
import type { Database } from '../../db/client';
import { panelAnswers, panels } from '../../db/schema';

const iso = (value: string): string => new Date(value).toISOString();

/** Side-by-side tastings and their answers: appended, never changed. */
export class PanelStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  /** Newest first. */
  async all(): Promise<PanelRecord[]> {
    return this.withAnswers(await this.db.select().from(panels).orderBy(desc(panels.createdAt)));
  }

  async get(id: string): Promise<PanelRecord | null> {
    return (await this.withAnswers(await this.db.select().from(panels).where(eq(panels.id, id))))[0] ?? null;
  }

  /** The same panel sent again is no second one. */
  async begin({ id, ...content }: NewPanel): Promise<PanelRecord> {
    const createdAt = this.now().toISOString();
    await this.db.insert(panels).values({ id, content, createdAt }).onConflictDoNothing();
    return (await this.get(id))!;
  }

  async answer(panelId: string, { id, ...content }: NewAnswer): Promise<PanelRecord> {
    const createdAt = this.now().toISOString();
    await this.db.insert(panelAnswers).values({ id, panelId, content, createdAt }).onConflictDoNothing();
    return (await this.get(panelId))!;
  }

  private async withAnswers(rows: readonly (typeof panels.$inferSelect)[]): Promise<PanelRecord[]> {
    if (rows.length === 0) return [];
    const ids = rows.map(({ id }) => id);
    const answers = await this.db
      .select()
      .from(panelAnswers)
      .where(inArray(panelAnswers.panelId, ids))
      .orderBy(asc(panelAnswers.place));
    return rows.map(({ id, content, createdAt }) => ({
      id,
      ...content,
      at: iso(createdAt),
      answers: answers
        .filter(({ panelId }) => panelId === id)
        .map((row) => ({ id: row.id, ...row.content, at: iso(row.createdAt) })),
    }));
  }
}
