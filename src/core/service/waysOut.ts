/** The cheapest ways out of a day that does not fit. */
import type { Hours } from './hours';
import { scheduleBackwards, type Placed, type Task } from './schedule';
import type { Crew } from './lanes';
import { forecastDay, type Late } from './forecast';

export type WayOut =
  | { readonly kind: 'shorten'; readonly taskId: string; readonly toS: number }
  | { readonly kind: 'another-tool'; readonly tool: string }
  | { readonly kind: 'another-cook' }
  /** Side jobs that come too late, with nothing else late. */
  | { readonly kind: 'leave-out'; readonly taskIds: readonly string[] }
  /** Without the side jobs that would hold everybody up. */
  | { readonly kind: 'serve-later'; readonly byS: number; readonly without: readonly string[] };

export interface Shortenable {
  readonly taskId: string;
  /** It may take as little as this, s. */
  readonly leastS: number;
}
export interface Running {
  readonly task: Task;
  readonly beganS: number;
}

/** Of many rests the longest are tried: what the page says has to be there at once. */
const MOST_SHORTENED = 12;

/**
 * Ways after which nothing ends late, cheapest first: time costs least, then tools, then hands, then guests.
 * @param tasks that were not begun
 * @param sideJobs ids of what a service can do without
 */
export function waysOut(
  tasks: readonly Task[],
  crew: Crew,
  hours: Hours,
  shortenable: readonly Shortenable[],
  running: readonly Running[] = [],
  sideJobs: ReadonlySet<string> = new Set(),
): readonly WayOut[] {
  const beganS = new Map(running.map(({ task, beganS: s }) => [task.id, s]));
  const runs = running.map(({ task, beganS: s }): Placed => ({
    task,
    startS: s,
    endS: s + task.seconds,
    cook: null,
  }));
  /** What ends late, the latest first; null: it cannot be planned. */
  const lateOf = (next: readonly Task[], with_: Crew): readonly Late[] | null => {
    const schedule = scheduleBackwards(next, with_, 'quick');
    if (schedule.status !== 'scheduled') return null;
    return forecastDay([...schedule.placed, ...runs], beganS, with_, hours).late;
  };
  const fits = (next: readonly Task[], with_: Crew): boolean => lateOf(next, with_)?.length === 0;
  const ways: WayOut[] = [];
  const gain = ({ taskId, leastS }: Shortenable): number =>
    (tasks.find(({ id }) => id === taskId)?.seconds ?? leastS) - leastS;
  const longest = [...shortenable].sort((a, b) => gain(b) - gain(a)).slice(0, MOST_SHORTENED);
  for (const { taskId, leastS } of longest) {
    const shorter = tasks.map((task) => (task.id === taskId ? { ...task, seconds: leastS } : task));
    if (tasks.some(({ id }) => id === taskId) && fits(shorter, crew))
      ways.push({ kind: 'shorten', taskId, toS: leastS });
  }
  for (const tool of new Set(
    [...tasks, ...running.map(({ task }) => task)].flatMap((task) => task.tool ?? []),
  )) {
    const tools = { ...crew.tools, [tool]: (crew.tools?.[tool] ?? 1) + 1 };
    if (fits(tasks, { ...crew, tools })) ways.push({ kind: 'another-tool', tool });
  }
  if (fits(tasks, { ...crew, cooks: crew.cooks + 1 })) ways.push({ kind: 'another-cook' });
  const late = lateOf(tasks, crew) ?? [];
  const without = late.flatMap(({ task: { id } }) => (sideJobs.has(id) ? [id] : []));
  const byS = late.find(({ task: { id } }) => !sideJobs.has(id))?.byS ?? 0;
  if (byS > 0) ways.push({ kind: 'serve-later', byS, without });
  else if (without.length > 0) ways.push({ kind: 'leave-out', taskIds: without });
  return ways;
}
