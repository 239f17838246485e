/** A day that is behind: planned, played forwards, with its ways out, as the page does at every change. */
import { dayTasks, forecastDay, scheduleBackwards, waysOut, type PlannedService } from '#core/service';
import { medianMs, printLine } from './measure';

const HOUR = 3600;
const CREW = { cooks: 2 };
const HOURS = { nowS: 11 * HOUR, opensS: 7 * HOUR };

/** @param dishes of each of three services */
const servicesWith = (dishes: number): readonly PlannedService[] =>
  [12, 16, 19].map((hour, i) => ({
    id: `s${i}`,
    name: 'Service',
    atS: hour * HOUR,
    dishes: Array.from({ length: dishes }, (_, j) => ({
      id: `d${j}`,
      name: 'Dressing',
      kind: 'slaw' as const,
      moment: 'half-hour' as const,
      covers: 40,
      fresh: true,
      tool: 'Blender',
      standOutS: 0,
      restS: 1800,
    })),
  }));

function work(dishes: number): void {
  const { tasks, shortenable } = dayTasks(servicesWith(dishes), []);
  const schedule = scheduleBackwards(tasks, CREW);
  if (schedule.status !== 'scheduled') throw new Error(schedule.status);
  forecastDay(schedule.placed, new Map(), CREW, HOURS);
  waysOut(tasks, CREW, HOURS, shortenable);
}

export function benchPlan(): void {
  const repeats = { runs: 9, warmup: 2 };
  printLine({
    name: 'A day of three services with 12 dishes, behind (goal: below 200 ms)',
    oursMs: medianMs(() => {
      work(4);
    }, repeats),
    otherMs: medianMs(() => {
      work(1);
    }, repeats),
    other: 'the same with 3 dishes',
  });
}
