/** What does not fit into a day, how much time is left elsewhere, and the cheapest ways out. */
import { scheduleBackwards, type Crew, type Placed, type Task } from './schedule';

export interface Conflict {
  readonly task: Task;
  /** It would have had to begin so long ago, s. */
  readonly byS: number;
}

export type WayOut =
  | { readonly kind: 'shorten'; readonly taskId: string; readonly toS: number }
  | { readonly kind: 'another-tool'; readonly tool: string }
  | { readonly kind: 'another-cook' }
  | { readonly kind: 'serve-later'; readonly byS: number };

/** @param fromS nothing can begin before, s */
export const conflictsOf = (placed: readonly Placed[], fromS: number): readonly Conflict[] =>
  placed.flatMap(({ task, startS }) => (startS < fromS - 1e-6 ? [{ task, byS: fromS - startS }] : []));

/** Later than this it cannot begin; so much earlier it could, with hands and tools aside, s. */
export function slackOf(placed: readonly Placed[], fromS: number): ReadonlyMap<string, number> {
  const earliest = new Map<string, number>();
  const ends = new Map<string, number>();
  for (const { task } of [...placed].sort((a, b) => a.startS - b.startS)) {
    const start = Math.max(fromS, ...task.after.map((id) => ends.get(id) ?? fromS));
    earliest.set(task.id, start);
    ends.set(task.id, start + task.seconds);
  }
  return new Map(placed.map(({ task, startS }) => [task.id, Math.max(0, startS - earliest.get(task.id)!)]));
}

export interface Shortenable {
  readonly taskId: string;
  /** It may take as little as this, s. */
  readonly leastS: number;
}

/** Ways that take the whole trouble away, cheapest first: time costs least, then tools, then hands, then guests. */
export function waysOut(
  tasks: readonly Task[],
  crew: Crew,
  fromS: number,
  shortenable: readonly Shortenable[],
): readonly WayOut[] {
  const fits = (next: readonly Task[], with_: Crew): boolean => {
    const schedule = scheduleBackwards(next, with_);
    return schedule.status === 'scheduled' && conflictsOf(schedule.placed, fromS).length === 0;
  };
  const ways: WayOut[] = [];
  for (const { taskId, leastS } of shortenable) {
    const shorter = tasks.map((task) => (task.id === taskId ? { ...task, seconds: leastS } : task));
    if (fits(shorter, crew)) ways.push({ kind: 'shorten', taskId, toS: leastS });
  }
  for (const tool of new Set(tasks.flatMap((task) => task.tool ?? []))) {
    const tools = { ...crew.tools, [tool]: (crew.tools?.[tool] ?? 1) + 1 };
    if (fits(tasks, { ...crew, tools })) ways.push({ kind: 'another-tool', tool });
  }
  if (fits(tasks, { ...crew, cooks: crew.cooks + 1 })) ways.push({ kind: 'another-cook' });
  const now = scheduleBackwards(tasks, crew);
  if (now.status === 'scheduled') {
    const byS = Math.max(0, ...conflictsOf(now.placed, fromS).map((conflict) => conflict.byS));
    if (byS > 0) ways.push({ kind: 'serve-later', byS });
  }
  return ways;
}
