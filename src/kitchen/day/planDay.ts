/** A day worked backwards from its services, and forwards from now: without React, so that a week is seven of these. */
import { TOOL_WORDS } from '#words/hold';
import type { PlanContent, ShelfRecord } from '#contract';
import {
  emulsionState,
  holdRequest,
  makingTips,
  TOOL_VALUES,
  ROOM_C,
  USUAL_HEIGHT_M,
  usualSeconds,
  usualTool,
} from '#core/emulsion';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { ripeningOf } from '#core/ripening';
import {
  clashesOf,
  conflictsOf,
  dayTasks,
  forecastDay,
  scheduleBackwards,
  slackOf,
  waysOut,
  type Clash,
  type Conflict,
  type DayTask,
  type Hours,
  type Late,
  type Placed,
  type WayOut,
} from '#core/service';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { sayTask } from '#words/service';
import { atWorkWords } from '#words/screens/atWork';
import { secondsOfDay } from './clock';

export interface DayPlan {
  /** As it goes from now on: what runs, and what is left. */
  readonly placed: readonly Placed<DayTask>[];
  readonly problem: string | null;
  readonly conflicts: readonly Conflict[];
  readonly clashes: readonly Clash[];
  /** Ends late as things stand. */
  readonly late: readonly Late<DayTask>[];
  /** Begins later than planned, s, by task. */
  readonly movedS: ReadonlyMap<string, number>;
  readonly ways: readonly WayOut[];
  readonly slack: ReadonlyMap<string, number>;
  /** Of all tasks, done ones too. */
  readonly tasks: ReadonlyMap<string, DayTask>;
  readonly proven: boolean;
}

/** What a dressing asks of the day: its tool, its rest, its time out of the cold. */
export interface Asked {
  readonly tool: string | null;
  readonly standOutS: number;
  readonly restS: number;
  /** At its best until so long after it was made, min. */
  readonly bestToMin: number;
  /** How long it keeps, the day of making being day 1. */
  readonly keepingDays: number;
}
const NOTHING_ASKED: Asked = { tool: null, standOutS: 0, restS: 0, bestToMin: 1440, keepingDays: 1 };
/** Longer nobody plans for; what is better still then is better still. */
const MOST_REST_S = 4 * 3600;

export function askedBy({ formula }: ShelfRecord, kitchen: Kitchen): Asked {
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
  const { portions, keeping } = judgeFormula(reckoning);
  const ripening = ripeningOf(portions, keeping);
  const tool = formula.tool ?? usualTool(vessel);
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const seconds = formula.mixSeconds ?? usualSeconds(tool);
  const tips =
    volumeMl > 0
      ? makingTips(
          portions.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG.nominal })),
          emulsionState(
            holdRequest(portions, { tool, seconds, volumeMl, heightM: USUAL_HEIGHT_M, temperatureC: ROOM_C }),
          ),
          { tool, seconds, volumeMl, brimfulMl: vessel.brimfulVolumeMl, closes: vessel.closes },
        )
      : [];
  const sets = tips.find((tip) => tip.code === 'oil-sets');
  const machine = TOOL_VALUES[tool].effort === 'machine';
  return {
    tool: machine ? TOOL_WORDS[tool] : null,
    standOutS: sets?.code === 'oil-sets' ? sets.standOutS : 0,
    restS: Math.min(MOST_REST_S, (ripening.tasteAgainMin ?? 0) * 60),
    bestToMin: ripening.bestToMin,
    keepingDays: keeping.days,
  };
}

/** A day that is over, or so far off that its clock says nothing yet. */
const NO_CLOCK_S = -14 * 86_400;

export const hoursOf = (day: string, { fromMin: from }: PlanContent, now: Date): Hours => {
  const nowS = secondsOfDay(day, now);
  return { nowS: nowS < 86_400 ? Math.max(nowS, NO_CLOCK_S) : NO_CLOCK_S, opensS: from * 60 };
};

export function planDay(
  day: string,
  content: PlanContent,
  nameOf: (formulaId: string) => string,
  asked: ReadonlyMap<string, Asked>,
  now: Date,
  wants: { readonly ways: boolean } = { ways: true },
): DayPlan {
  const { tasks, shortenable } = tasksOf(content, nameOf, asked);
  const hours = hoursOf(day, content, now);
  const open = tasks.filter(({ id }) => content.done[id] === undefined);
  const openIds = new Set(open.map(({ id }) => id));
  const beganS = new Map(
    Object.entries(content.begun).flatMap(([id, at]) =>
      openIds.has(id) ? [[id, secondsOfDay(day, new Date(at))] as const] : [],
    ),
  );
  const running = open.flatMap((task) => {
    const began = beganS.get(task.id);
    return began === undefined ? [] : [{ task, beganS: began }];
  });
  // What runs stands where it is: the rest is planned as late as it may be, then played forwards around it.
  const left = open.filter(({ id }) => !beganS.has(id));
  const waitedFor = new Set(left.flatMap(({ after }) => after));
  const servedAt = new Map(content.services.map(({ id, atMin: at }) => [id, at * 60]));
  const waiting = left.map((task): DayTask => {
    const moved = content.movedMin[task.id];
    return {
      ...task,
      // What is behind holds nothing up any more.
      after: task.after.filter((id) => openIds.has(id)),
      // What came after it was done or begun already: it still has to be ready for its service.
      dueS: task.dueS ?? (waitedFor.has(task.id) ? null : servedAt.get(task.serviceId)!),
      ...(moved === undefined ? {} : { pinnedS: moved * 60 }),
    };
  });
  const crew = { cooks: content.cooks };
  const schedule = scheduleBackwards(waiting, crew);
  const nothing: DayPlan = {
    placed: [],
    problem: null,
    conflicts: [],
    clashes: [],
    late: [],
    ways: [],
    proven: true,
    movedS: new Map(),
    slack: new Map(),
    tasks: new Map(tasks.map((task) => [task.id, task])),
  };
  if (schedule.status === 'circle') return { ...nothing, problem: atWorkWords.someTasksWaitForEach };
  if (schedule.status === 'no-end') return { ...nothing, problem: atWorkWords.someTasksHaveNoService };
  const planned = schedule.placed as readonly Placed<DayTask>[];
  const conflicts = conflictsOf(planned, hours);
  const runs = running.map(({ task, beganS: startS }): Placed<DayTask> => ({
    task,
    startS,
    endS: startS + task.seconds,
    cook: null,
  }));
  const forecast = forecastDay([...planned, ...runs], beganS, crew, hours);
  const isBehind = conflicts.length > 0 || forecast.late.length > 0;
  return {
    ...nothing,
    placed: forecast.placed,
    late: forecast.late,
    movedS: forecast.movedS,
    conflicts,
    clashes: clashesOf(planned, crew),
    ways:
      isBehind && wants.ways
        ? waysOut(waiting, crew, hours, shortenable, running, new Set(content.jobs.map(({ id }) => id)))
        : [],
    slack: slackOf(planned, hours),
    proven: schedule.proven,
  };
}

/** The tasks of the day, each by the name that stands on the list. */
function tasksOf(
  content: PlanContent,
  nameOf: (formulaId: string) => string,
  asked: ReadonlyMap<string, Asked>,
): ReturnType<typeof dayTasks> {
  const { tasks, shortenable } = dayTasks(
    content.services.map(({ id, name, atMin: at, covers, dishes }) => ({
      id,
      name,
      atS: at * 60,
      dishes: dishes.map((dish) => ({
        id: dish.id,
        kind: dish.kind,
        moment: dish.moment,
        covers,
        fresh: dish.fresh,
        name: nameOf(dish.formulaId),
        ...(asked.get(dish.formulaId) ?? NOTHING_ASKED),
      })),
    })),
    content.jobs,
  );
  return { tasks: tasks.map((task) => ({ ...task, name: sayTask(task) })), shortenable };
}
