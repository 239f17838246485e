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

export interface DayTask extends Task {
  readonly name: string;
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
  const chain: { step: string; name: string; seconds: number; handsOn: boolean; tool?: string | null }[] = [];
  chain.push({
    step: 'fetch',
    name: dish.fresh ? 'fetch what it needs' : 'take it out of the fridge',
    seconds: FETCH_S,
    handsOn: true,
  });
  if (dish.fresh) {
    chain.push({ step: 'weigh', name: 'weigh out', seconds: WEIGH_S, handsOn: true });
    chain.push({ step: 'mix', name: 'mix', seconds: MIX_S, handsOn: true, tool: dish.tool });
    if (dish.restS > 0) chain.push({ step: 'rest', name: 'rests', seconds: dish.restS, handsOn: false });
  } else if (dish.standOutS > 0) {
    chain.push({
      step: 'stand-out',
      name: 'stands out of the cold',
      seconds: dish.standOutS,
      handsOn: false,
    });
  }
  const { firstS, lastMl } = dressingTimes(dish.kind, 1, dish.moment);
  chain.push({
    step: 'dress',
    name: 'shake and dress',
    seconds: SHAKE_S + dressS(dish.covers),
    handsOn: true,
  });
  if (firstS > 0) chain.push({ step: 'drink', name: 'drinks its dressing', seconds: firstS, handsOn: false });
  if (lastMl > 0)
    chain.push({
      step: 'finish',
      name: 'the other half, and salt again',
      seconds: dressS(dish.covers),
      handsOn: true,
    });
  return chain.map(({ step, name, seconds, handsOn, tool = null }, i): DayTask => {
    const id = `${serviceId}.${dish.id}.${step}`;
    if (step === 'rest') shortenable.push({ taskId: id, leastS: seconds * LEAST_REST });
    return {
      id,
      name: `${dish.name}: ${name}`,
      serviceId,
      seconds,
      handsOn,
      tool,
      after: i === 0 ? [] : [`${serviceId}.${dish.id}.${chain[i - 1]!.step}`],
      dueS: i === chain.length - 1 ? atS : null,
    };
  });
}
