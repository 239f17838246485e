import { sql } from 'drizzle-orm';
import type { TrialRecord } from '#contract';
import { standingOf, type Standing } from '#core/trial';
import { found, type Database } from '../../db/client';

interface Kept {
  readonly mark: string;
  readonly formulaId: string;
  readonly version: number;
  /** Null: a part of a making, not one of its own. */
  readonly standing: Standing | null;
}

/**
 * How every jar stands. Jars are only ever added to, so their events are counted: only those of which
 * there is more than at the last question are read again, whoever added to them.
 */
export class KeptStandings {
  private mark = '';
  private kept = new Map<string, Kept>();

  constructor(
    private readonly db: Database,
    private readonly read: (ids: readonly string[]) => Promise<readonly TrialRecord[]>,
  ) {}

  async all(): Promise<Iterable<Kept>> {
    const [whole] = await found<{ mark: string }>(
      this.db,
      sql`select (select count(*) || ' ' || coalesce(max(created_at)::text, '') from trials) || ' '
          || (select count(*) || ' ' || coalesce(max(created_at)::text, '') from trial_events) as mark`,
    );
    if (whole!.mark !== this.mark) {
      await this.catchUp();
      this.mark = whole!.mark;
    }
    return this.kept.values();
  }

  private async catchUp(): Promise<void> {
    const marks = await found<{ id: string; mark: string }>(
      this.db,
      sql`select t.id, t.created_at::text || ' ' || count(e.place) || ' ' || coalesce(max(e.created_at)::text, '') as mark
          from trials t left join trial_events e on e.trial_id = t.id group by t.id, t.created_at`,
    );
    const stale = marks.filter(({ id, mark }) => this.kept.get(id)?.mark !== mark);
    const records = new Map((await this.read(stale.map(({ id }) => id))).map((trial) => [trial.id, trial]));
    const kept = new Map<string, Kept>();
    for (const { id, mark } of marks) {
      const trial = records.get(id);
      const entry = trial ? { mark, ...standingIn(trial) } : this.kept.get(id);
      if (entry) kept.set(id, entry);
    }
    this.kept = kept;
  }
}

const standingIn = ({ formulaId, version, events, batch }: TrialRecord): Omit<Kept, 'mark'> => ({
  formulaId,
  version,
  standing: batch?.role === 'load' ? null : standingOf(events),
});
