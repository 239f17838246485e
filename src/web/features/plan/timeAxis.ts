/** Where a day begins and ends on paper, and which row a task lies in. */
import type { DayPlan } from '#kitchen/day';
import { sayDishOf } from '#words/service';

type Placed = DayPlan['placed'][number];

const HALF_HOUR_S = 1800;
/** The axis begins and ends here: a bar more fits where no half hour is left empty. */
const EDGE_S = 600;
/** Further off the clock would push the work out of sight. */
const NOW_IS_NEAR_S = 1200;

export interface TimeAxis {
  /** Seconds of the day. */
  readonly from: number;
  readonly to: number;
  /** At least half an hour. */
  readonly span: number;
  readonly hours: readonly number[];
}

/** @param placed one task at least @param nowS shown where it is near, before or within the day's work */
export function timeAxis(placed: readonly Placed[], nowS: number): TimeAxis {
  const first = Math.min(...placed.map(({ startS }) => startS));
  const last = Math.max(...placed.map(({ endS }) => endS));
  const isNear = nowS < first && first - nowS <= NOW_IS_NEAR_S;
  const from = Math.floor((isNear ? nowS - 60 : first) / EDGE_S) * EDGE_S;
  const to = Math.max(from + HALF_HOUR_S, Math.ceil(last / EDGE_S) * EDGE_S);
  const span = to - from;
  const every = span > 8 * 3600 ? 7200 : span > 3 * 3600 ? 3600 : HALF_HOUR_S;
  const hours: number[] = [];
  for (let s = Math.ceil(from / every) * every; s <= to; s += every) hours.push(s);
  return { from, to, span, hours };
}

/** A row a dish and a row a side job, in the order in which they begin. */
export function rowsOf(
  placed: readonly Placed[],
): readonly { readonly dishId: string; readonly name: string; readonly tasks: readonly Placed[] }[] {
  const rows = new Map<string, Placed[]>();
  for (const one of placed) rows.set(one.task.dishId, [...(rows.get(one.task.dishId) ?? []), one]);
  return [...rows].map(([dishId, tasks]) => ({ dishId, name: sayDishOf(tasks[0]!.task), tasks }));
}
