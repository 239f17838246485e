import type { Crew } from './lanes';
import { scheduleBackwards, type Placed, type Task } from './schedule';

export const MIN_S = 60;
/** Seconds from midnight. */
export const NOON_S = 12 * 3600;

export const taskOf = (id: string, minutes: number, about: Partial<Task> = {}): Task => ({
  id,
  seconds: minutes * MIN_S,
  handsOn: true,
  tool: null,
  after: [],
  dueS: null,
  ...about,
});

/** @throws Error where they cannot be scheduled */
export function placedOf(tasks: readonly Task[], crew: Crew = { cooks: 1 }): readonly Placed[] {
  const schedule = scheduleBackwards(tasks, crew);
  if (schedule.status !== 'scheduled') throw new Error(schedule.status);
  return schedule.placed;
}
