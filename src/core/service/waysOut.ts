/** The cheapest ways out of a day that does not fit. */
import type { Hours } from './hours';
import { scheduleBackwards, type Crew, type Placed, type Task } from './schedule';
import { forecastDay } from './slip';

export type WayOut =
  | { readonly kind: 'shorten'; readonly taskId: string; readonly toS: number }
  | { readonly kind: 'another-tool'; readonly tool: string }
  | { readonly kind: 'another-cook' }
  | { readonly kind: 'serve-later'; readonly byS: number };

export interface Shortenable {
  readonly taskId: string;
  /** It may take as little as this, s. */
  readonly leastS: number;
}
export interface Running {
  readonly task: Task;
  readonly beganS: number;
}

/**
 * Ways after which nothing ends late, cheapest first: time costs least, then tools, then hands, then guests.
 * @param tasks that were not begun
 */
export function waysOut(
  tasks: readonly Task[],
  crew: Crew,
  hours: Hours,
  shortenable: readonly Shortenable[],
  running: readonly Running[] = [],
): readonly WayOut[] {
  const beganS = new Map(running.map(({ task, beganS: s }) => [task.id, s]));
  const runs = running.map(({ task, beganS: s }): Placed => ({
    ...{ task, startS: s, endS: s + task.seconds, cook: null },
  }));
  /** How late the worst of it ends, s; null: it cannot be planned. */
  const lateS = (next: readonly Task[], with_: Crew): number | null => {
    const schedule = scheduleBackwards(next, with_);
    if (schedule.status !== 'scheduled') return null;
    const { late } = forecastDay([...schedule.placed, ...runs], beganS, with_, hours);
    return late[0]?.byS ?? 0;
  };
  const ways: WayOut[] = [];
  for (const { taskId, leastS } of shortenable) {
    const shorter = tasks.map((task) => (task.id === taskId ? { ...task, seconds: leastS } : task));
    if (tasks.some(({ id }) => id === taskId) && lateS(shorter, crew) === 0)
      ways.push({ kind: 'shorten', taskId, toS: leastS });
  }
  for (const tool of new Set(
    [...tasks, ...running.map(({ task }) => task)].flatMap((task) => task.tool ?? []),
  )) {
    const tools = { ...crew.tools, [tool]: (crew.tools?.[tool] ?? 1) + 1 };
    if (lateS(tasks, { ...crew, tools }) === 0) ways.push({ kind: 'another-tool', tool });
  }
  if (lateS(tasks, { ...crew, cooks: crew.cooks + 1 }) === 0) ways.push({ kind: 'another-cook' });
  const byS = lateS(tasks, crew);
  if (byS !== null && byS > 0) ways.push({ kind: 'serve-later', byS });
  return ways;
}
