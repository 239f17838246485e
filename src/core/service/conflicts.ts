/** What does not fit into a day, and how much time is left elsewhere. */
import { beginsAt, type Hours } from './hours';
import type { Placed, Task } from './schedule';
import type { Crew } from './lanes';

/** Below what a clock shows, s. */
const EPS = 1e-6;

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
  const pinned = placed.filter(({ task }) => task.pinnedS !== undefined);
  const clashes: Clash[] = [];
  for (const one of pinned) {
    for (const other of placed)
      if (other.task.after.includes(one.task.id) && one.endS > other.startS + EPS)
        clashes.push({ task: one.task, kind: 'after', other: other.task });
    // What was put there before it, or at the same moment and is named first, was there first.
    const there = pinned.filter(
      ({ task, startS, endS }) =>
        (startS < one.startS - EPS || (startS < one.startS + EPS && task.id < one.task.id)) &&
        endS > one.startS + EPS,
    );
    const { tool, handsOn } = one.task;
    const atWork = handsOn ? there.filter(({ task }) => task.handsOn) : [];
    const withTool = tool === null ? [] : there.filter(({ task }) => task.tool === tool);
    const other =
      atWork.length >= crew.cooks
        ? atWork[0]
        : tool !== null && withTool.length >= (crew.tools?.[tool] ?? 1)
          ? withTool[0]
          : undefined;
    if (other) clashes.push({ task: one.task, kind: 'busy', other: other.task });
  }
  return clashes;
}

export const conflictsOf = (placed: readonly Placed[], hours: Hours): readonly Conflict[] =>
  placed.flatMap(({ task, startS }) => {
    const byS = beginsAt(startS, hours) - startS;
    return byS > EPS ? [{ task, byS }] : [];
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
