/** What does not fit into a day, and how much time is left elsewhere. */
import { beginsAt, type Hours } from './hours';
import type { Crew, Placed, Task } from './schedule';

export interface Conflict {
  readonly task: Task;
  /** It would have had to begin so long ago, s. */
  readonly byS: number;
}

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

export const conflictsOf = (placed: readonly Placed[], hours: Hours): readonly Conflict[] =>
  placed.flatMap(({ task, startS }) => {
    const byS = beginsAt(startS, hours) - startS;
    return byS > 1e-6 ? [{ task, byS }] : [];
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
