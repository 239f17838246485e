/** How far along the stages of its formula a jar was made. */
import { isKind, standingEvents, type LoggedEvent } from './event';
import type { MakingPlan } from './making';

/** Null: all of it, or it was begun without a plan. */
export function stageReached(
  making: Pick<MakingPlan, 'stage'> | null,
  log: readonly LoggedEvent[],
): number | null {
  const begun = making?.stage;
  if (begun === undefined) return null;
  return standingEvents(log)
    .filter(isKind('planned'))
    .reduce((stage, { event }) => Math.max(stage, event.stage ?? 0), begun);
}
