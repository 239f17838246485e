/** The tasks of a day out of its services: each dressing from the fridge or the scale to the plate, and side jobs. Minutes of work: estimate. */
import { dressingTimes, type Moment } from './whenToDress';
import type { DishKind } from './dress';
import type { Shortenable } from './waysOut';
import type { Task } from './schedule';

export interface PlannedDish {
  readonly id: string;
  /** What it is called on the list. */
  readonly name: string;
  readonly kind: DishKind;
  readonly moment: Moment;
  readonly covers: number;
  /** It is made that day; else it stands in the fridge. */
  readonly fresh: boolean;
  readonly tool: string | null;
  /** Chilled oil that sets wants so long out of the cold, s. */
  readonly standOutS: number;
  /** Rests after mixing, s. */
  readonly restS: number;
}
export interface PlannedService {
  readonly id: string;
  readonly name: string;
  /** From midnight, s. */
  readonly atS: number;
  readonly dishes: readonly PlannedDish[];
}
export interface SideJob {
  readonly id: string;
  readonly name: string;
  readonly minutes: number;
  readonly handsOn: boolean;
  readonly tool: string | null;
  /** Ended so long before this service. */
  readonly serviceId: string;
  readonly beforeMinutes: number;
}

/** What is done with a dish's dressing, one after the other. */
export const TASK_STEPS = [
  'fetch-things',
  'fetch-dressing',
  'weigh',
  'mix',
  'rest',
  'stand-out',
  'dress',
  'drink',
  'finish',
] as const;
export type TaskStep = (typeof TASK_STEPS)[number];

export interface DayTask extends Task {
  /** The dish's, or the side job's. */
  readonly name: string;
  /** The dish it is done for, as the services name them; a side job: itself. */
  readonly dishId: string;
  /** Null: a side job. */
  readonly step: TaskStep | null;
  readonly serviceId: string;
}

const MIN = 60;
const FETCH_S = 3 * MIN;
const WEIGH_S = 10 * MIN;
const MIX_S = 5 * MIN;
const SHAKE_S = MIN;
/** Ten covers are dressed in two minutes: estimate. */
const dressS = (covers: number): number => Math.max(2, Math.ceil(covers / 10) * 2) * MIN;
/** A rest may be cut to this share of itself: estimate. */
const LEAST_REST = 1 / 4;

export function dayTasks(
  services: readonly PlannedService[],
  jobs: readonly SideJob[],
): { readonly tasks: readonly DayTask[]; readonly shortenable: readonly Shortenable[] } {
  const shortenable: Shortenable[] = [];
  const tasks = services.flatMap((service) =>
    service.dishes.flatMap((dish) => tasksOf(service, dish, shortenable)),
  );
  for (const job of jobs) {
    const service = services.find(({ id }) => id === job.serviceId);
    if (!service) continue;
    tasks.push({
      id: job.id,
      name: job.name,
      dishId: job.id,
      step: null,
      serviceId: service.id,
      seconds: job.minutes * MIN,
      handsOn: job.handsOn,
      tool: job.tool,
      after: [],
      dueS: service.atS - job.beforeMinutes * MIN,
    });
  }
  return { tasks, shortenable };
}

function tasksOf(
  { id: serviceId, atS }: PlannedService,
  dish: PlannedDish,
  shortenable: Shortenable[],
): DayTask[] {
  const chain: { id: string; step: TaskStep; seconds: number; handsOn: boolean; tool?: string | null }[] = [];
  const add = (step: TaskStep, seconds: number, handsOn = true, tool: string | null = null): void => {
    // Either fetching is the same task of the plan.
    chain.push({ id: step.startsWith('fetch') ? 'fetch' : step, step, seconds, handsOn, tool });
  };
  add(dish.fresh ? 'fetch-things' : 'fetch-dressing', FETCH_S);
  if (dish.fresh) {
    add('weigh', WEIGH_S);
    add('mix', MIX_S, true, dish.tool);
    if (dish.restS > 0) add('rest', dish.restS, false);
  } else if (dish.standOutS > 0) add('stand-out', dish.standOutS, false);
  const { firstS, lastMl } = dressingTimes(dish.kind, 1, dish.moment);
  add('dress', SHAKE_S + dressS(dish.covers));
  if (firstS > 0) add('drink', firstS, false);
  if (lastMl > 0) add('finish', dressS(dish.covers));
  return chain.map(({ id: place, step, seconds, handsOn, tool = null }, i): DayTask => {
    const id = `${serviceId}.${dish.id}.${place}`;
    if (step === 'rest') shortenable.push({ taskId: id, leastS: seconds * LEAST_REST });
    return {
      id,
      name: dish.name,
      dishId: `${serviceId}.${dish.id}`,
      step,
      serviceId,
      seconds,
      handsOn,
      tool,
      after: i === 0 ? [] : [`${serviceId}.${dish.id}.${chain[i - 1]!.id}`],
      dueS: i === chain.length - 1 ? atS : null,
    };
  });
}
