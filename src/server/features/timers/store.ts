import { and, asc, eq, isNull } from 'drizzle-orm';
import type { NewTimer, TimerRecord, TimersAnswer } from '#contract';
import type { Database } from '../../db/client';
import { timers } from '../../db/schema';

/** A timer that rang a day ago and was never ended is forgotten. */
const FORGOTTEN_MS = 86_400_000;

/** Timers that run, or ring and wait to be ended. Time is given, never taken. */
export class TimerStore {
  constructor(
    private readonly db: Database,
    private readonly now: () => Date,
  ) {}

  async running(): Promise<TimersAnswer> {
    const now = this.now();
    const rows = await this.db
      .select()
      .from(timers)
      .where(isNull(timers.endedAt))
      .orderBy(asc(timers.startedAt));
    const all = rows.map(({ endedAt: _endedAt, startedAt, ...row }): TimerRecord => ({
      ...row,
      startedAt: new Date(startedAt).toISOString(),
    }));
    return {
      now: now.toISOString(),
      timers: all.filter(
        ({ startedAt, seconds }) => now.getTime() - (Date.parse(startedAt) + seconds * 1000) < FORGOTTEN_MS,
      ),
    };
  }

  /** The same timer sent again is no second timer. */
  async start({ agoS = 0, ...timer }: NewTimer): Promise<void> {
    const startedAt = new Date(this.now().getTime() - agoS * 1000).toISOString();
    await this.db
      .insert(timers)
      .values({ ...timer, startedAt })
      .onConflictDoNothing();
  }

  /** False where there is none; ended twice is ended. */
  async end(id: string): Promise<boolean> {
    const endedAt = this.now().toISOString();
    await this.db
      .update(timers)
      .set({ endedAt })
      .where(and(eq(timers.id, id), isNull(timers.endedAt)));
    const [row] = await this.db.select({ id: timers.id }).from(timers).where(eq(timers.id, id));
    return row !== undefined;
  }
}
