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

/** A cook put a task where it cannot be. */
export interface Clash {
  readonly task: Task;
  /** It ends after that one begins (`after`), or wants the same hands or tool at once (`busy`). */
  readonly kind: 'after' | 'busy';
  readonly other: Task;
}

/** What was put somewhere by hand against what has to follow it, and against what else wants its hands and tool. */
export function clashesOf(placed: readonly Placed[], crew: Crew): readonly Clash[] {
  const clashes: Clash[] = [];
  for (const one of placed) {
    if (one.task.pinnedS === undefined) continue;
    for (const other of placed) {
      if (other === one) continue;
      const overlaps = one.startS < other.endS - 1e-6 && other.startS < one.endS - 1e-6;
      if (other.task.after.includes(one.task.id) && one.endS > other.startS + 1e-6)
        clashes.push({ task: one.task, kind: 'after', other: other.task });
      else if (overlaps && other.task.pinnedS !== undefined && one.task.id < other.task.id) {
        const sameHands = one.cook !== null && one.cook === other.cook && crew.cooks === 1;
        const sameTool =
          one.task.tool !== null &&
          one.task.tool === other.task.tool &&
          (crew.tools?.[one.task.tool] ?? 1) === 1;
        if (sameHands || sameTool) clashes.push({ task: one.task, kind: 'busy', other: other.task });
      }
    }
  }
  return clashes;
}

/** When anything can begin at all, s from midnight. */
export interface Hours {
  /** Nothing that was not begun can begin before. -Infinity: the clock does not matter. */
  readonly nowS: number;
  /** From midnight until then nobody is there; the evening before somebody is. */
  readonly opensS: number;
}

/** The first moment not before the wanted one at which somebody can begin something. */
export function beginsAt(wantedS: number, { nowS, opensS }: Hours): number {
  const start = Math.max(wantedS, nowS);
  return start >= 0 && start < opensS ? opensS : start;
}

/** @param begun ids of what runs: it is begun, whenever that was */
export const conflictsOf = (
  placed: readonly Placed[],
  hours: Hours,
  begun: ReadonlySet<string> = new Set(),
): readonly Conflict[] =>
  placed.flatMap(({ task, startS }) => {
    const byS = beginsAt(startS, hours) - startS;
    return byS > 1e-6 && !begun.has(task.id) ? [{ task, byS }] : [];
  });

/** Later than this it cannot begin; so much earlier it could, with hands and tools aside, s. */
export function slackOf(placed: readonly Placed[], hours: Hours): ReadonlyMap<string, number> {
  const earliest = new Map<string, number>();
  const ends = new Map<string, number>();
  for (const { task, startS } of [...placed].sort((a, b) => a.startS - b.startS)) {
    // What begins the day before may begin as soon as there is time.
    const first = startS < 0 ? hours.nowS : Math.max(hours.nowS, hours.opensS);
    const start = Math.max(first, ...task.after.map((id) => ends.get(id) ?? first));
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
  hours: Hours,
  shortenable: readonly Shortenable[],
  begun: ReadonlySet<string> = new Set(),
): readonly WayOut[] {
  const fits = (next: readonly Task[], with_: Crew): boolean => {
    const schedule = scheduleBackwards(next, with_);
    return schedule.status === 'scheduled' && conflictsOf(schedule.placed, hours, begun).length === 0;
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
    const byS = Math.max(0, ...conflictsOf(now.placed, hours, begun).map((conflict) => conflict.byS));
    if (byS > 0) ways.push({ kind: 'serve-later', byS });
  }
  return ways;
}
