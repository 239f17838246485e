import { sql } from 'drizzle-orm';
import type { VersionStanding } from '#contract';
import type { FormulaId } from '#core/formula';
import { standingOf, versionState, type LoggedEvent, type Standing, type TrialEvent } from '#core/trial';
import { found, type Database } from '../../db/client';

interface Jar {
  readonly version: number;
  readonly standing: Standing;
}
interface Row {
  readonly formula_id: FormulaId;
  readonly version: number;
  readonly trial_id: string;
  readonly id: string | null;
  readonly event: TrialEvent | null;
}

const READ_AT_ONCE = 100;
/** Places are given before they are written: one may be seen after a later one. */
const OVERTAKEN = 500;

/** How the jars of formulas stand, kept; formulas whose jars have gone on are read again, whoever went on. */
export class KeptStandings {
  private mark = { place: 0, trials: 0 };
  private readonly kept = new Map<FormulaId, readonly Jar[]>();

  constructor(private readonly db: Database) {}

  /** @param untilMs of the process' clock; what is not read by then is left out of the answer */
  async of(
    ids: readonly FormulaId[],
    provenAfter: number,
    untilMs = Infinity,
  ): Promise<ReadonlyMap<FormulaId, Readonly<Record<number, VersionStanding>>>> {
    await this.drop();
    const missing = ids.filter((id) => !this.kept.has(id));
    for (let at = 0; at < missing.length && performance.now() < untilMs; at += READ_AT_ONCE)
      await this.read(missing.slice(at, at + READ_AT_ONCE));
    return new Map(
      ids.flatMap((id) => {
        const jars = this.kept.get(id);
        return jars ? [[id, statesOf(jars, provenAfter)]] : [];
      }),
    );
  }

  private async drop(): Promise<void> {
    const [now] = await found<{ place: number; trials: number }>(
      this.db,
      sql`select (select coalesce(max(place), 0)::int from trial_events) as place,
                 (select count(*)::int from trials) as trials`,
    );
    const { place, trials } = this.mark;
    if (now!.place === place && now!.trials === trials) return;
    // A jar that has just begun has no event yet; fewer of them came with a restored kitchen.
    const touched =
      place === 0 || now!.place < place || now!.trials !== trials
        ? null
        : await found<{ id: FormulaId }>(
            this.db,
            sql`select distinct t.formula_id as id from trial_events e join trials t on t.id = e.trial_id
                where e.place > ${place - OVERTAKEN}`,
          );
    if (touched) for (const { id } of touched) this.kept.delete(id);
    else this.kept.clear();
    this.mark = { place: now!.place, trials: now!.trials };
  }

  private async read(ids: readonly FormulaId[]): Promise<void> {
    const rows = await found<Row>(
      this.db,
      sql`select t.formula_id, t.version, t.id as trial_id, e.id, e.event
          from trials t left join trial_events e
            on e.trial_id = t.id and e.event->>'kind' in ('tasted', 'added', 'planned', 'corrected')
          where t.formula_id in ${[...ids]} and coalesce(t.batch->>'role', '') <> 'load'
          order by e.place`,
    );
    const jars = new Map<string, { formulaId: FormulaId; version: number; log: LoggedEvent[] }>();
    for (const { formula_id: formulaId, version, trial_id, id, event } of rows) {
      const jar = jars.get(trial_id) ?? { formulaId, version, log: [] };
      jars.set(trial_id, jar);
      if (id !== null && event) jar.log.push({ id, event, at: '' });
    }
    // What was weighed decides only where something was planned after a tasting.
    const mended = [...jars].filter(([, { log }]) => log.some(({ event }) => event.kind === 'planned'));
    for (const [id, log] of await this.logsOf(mended.map(([id]) => id))) jars.get(id)!.log = log;
    const standing = new Map<FormulaId, Jar[]>(ids.map((id) => [id, []]));
    for (const { formulaId, version, log } of jars.values())
      standing.get(formulaId)!.push({ version, standing: standingOf(log) });
    for (const [id, all] of standing) this.kept.set(id, all);
  }

  private async logsOf(trialIds: readonly string[]): Promise<ReadonlyMap<string, LoggedEvent[]>> {
    const logs = new Map<string, LoggedEvent[]>(trialIds.map((id) => [id, []]));
    if (trialIds.length === 0) return logs;
    const rows = await found<{ trial_id: string; id: string; event: TrialEvent }>(
      this.db,
      sql`select trial_id, id, event from trial_events where trial_id in ${[...trialIds]} order by place`,
    );
    for (const { trial_id, id, event } of rows) logs.get(trial_id)!.push({ id, event, at: '' });
    return logs;
  }
}

function statesOf(jars: readonly Jar[], provenAfter: number): Readonly<Record<number, VersionStanding>> {
  const byVersion = new Map<number, Standing[]>();
  for (const { version, standing } of jars)
    byVersion.set(version, [...(byVersion.get(version) ?? []), standing]);
  return Object.fromEntries(
    [...byVersion].map(([version, all]) => [version, versionState(all, provenAfter)]),
  );
}
