/**
 * What becomes of a day that is behind: what runs and what is left, played forwards from now. Nothing begins
 * before its planned time; hands and tools are given in the order of the plan. A day that is on time comes
 * out as it was planned.
 */
import { beginsAt, type Hours } from './hours';
import { Lanes, type Busy } from './lanes';
import type { Placed, Task } from './schedule';
import type { Crew } from './lanes';

export interface Late<T extends Task = Task> {
  readonly task: T;
  /** Ends so long after it had to, s. */
  readonly byS: number;
}

export interface Forecast<T extends Task = Task> {
  /** By their start; what runs is among them. */
  readonly placed: readonly Placed<T>[];
  /** Tasks with a due time of their own that end after it, the latest first. */
  readonly late: readonly Late<T>[];
  /** Begins later than planned, s, by task; missing: as planned. */
  readonly movedS: ReadonlyMap<string, number>;
}

const EPS = 1e-6;

/**
 * @param planned of a backwards schedule, without what is done
 * @param beganS when a task was begun, s; missing: it was not
 * @param hours nothing that was not begun can begin before
 */
export function forecastDay<T extends Task>(
  planned: readonly Placed<T>[],
  beganS: ReadonlyMap<string, number>,
  crew: Crew,
  hours: Hours,
): Forecast<T> {
  const lanes = new Lanes(crew);
  const placed = new Map<string, Placed<T>>();
  const put = (task: T, wantedS: number, seconds: number, isRunning: boolean): void => {
    const options = lanes.for(task).map(({ hand, lane, cook }) => ({
      hand,
      lane,
      cook,
      // What runs stands where it is, whatever else the plan had there.
      startS: isRunning ? wantedS : earliestFree([...hand, ...lane], wantedS, seconds),
      busy: [...hand, ...lane].filter((busy) => touches(busy, wantedS, seconds)).length,
    }));
    const best = options.reduce((a, b) =>
      b.startS < a.startS - EPS || (b.startS < a.startS + EPS && b.busy < a.busy) ? b : a,
    );
    const interval = { startS: best.startS, endS: best.startS + seconds };
    if (task.handsOn) best.hand.push(interval);
    if (task.tool !== null) best.lane.push(interval);
    placed.set(task.id, { task, ...interval, cook: task.handsOn ? best.cook : null });
  };
  const running = planned.filter(({ task }) => beganS.has(task.id));
  for (const { task } of running) {
    const began = beganS.get(task.id)!;
    // It takes as long as it takes: what should be over by now is not before now.
    put(task, began, Math.max(task.seconds, hours.nowS - began), true);
  }
  let left = planned.filter(({ task }) => !beganS.has(task.id)).sort((a, b) => a.startS - b.startS);
  const known = new Set(planned.map(({ task }) => task.id));
  while (left.length > 0) {
    const next =
      left.find(({ task }) => task.after.every((id) => placed.has(id) || !known.has(id))) ?? left[0]!;
    const ready = Math.max(...next.task.after.map((id) => placed.get(id)?.endS ?? -Infinity), -Infinity);
    put(next.task, beginsAt(Math.max(next.startS, ready), hours), next.task.seconds, false);
    left = left.filter((one) => one !== next);
  }
  const all = [...placed.values()].sort((a, b) => a.startS - b.startS || a.endS - b.endS);
  const plannedStart = new Map(planned.map(({ task, startS }) => [task.id, startS]));
  return {
    placed: all,
    late: all
      .flatMap(({ task, endS }) =>
        task.dueS !== null && endS > task.dueS + EPS ? [{ task, byS: endS - task.dueS }] : [],
      )
      .sort((a, b) => b.byS - a.byS),
    movedS: new Map(
      all.flatMap(({ task, startS }) => {
        const byS = startS - plannedStart.get(task.id)!;
        return !beganS.has(task.id) && byS > EPS ? [[task.id, byS] as const] : [];
      }),
    ),
  };
}

const touches = (busy: Busy, startS: number, seconds: number): boolean =>
  busy.startS < startS + seconds - EPS && busy.endS > startS + EPS;

/** The earliest start not before `wanted` at which nothing busy is touched. */
function earliestFree(busy: readonly Busy[], wanted: number, seconds: number): number {
  if (seconds <= 0) return wanted;
  let start = wanted;
  for (;;) {
    const hit = busy.find((lane) => touches(lane, start, seconds));
    if (!hit) return start;
    start = hit.endS;
  }
}
