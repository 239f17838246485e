/** The plan of a day, worked backwards, with what is ticked off and what a cook has moved. */
import { useMemo } from 'react';
import type { PlanContent, ShelfRecord } from '#contract';

import {
  conflictsOf,
  dayTasks,
  scheduleBackwards,
  slackOf,
  waysOut,
  type Conflict,
  type DayTask,
  type Placed,
  type WayOut,
} from '#core/service';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import {
  makingTips,
  emulsionState,
  holdRequest,
  usualSeconds,
  usualTool,
  USUAL_HEIGHT_M,
  TOOL_VALUES,
} from '#core/emulsion';
import { contextFor, vesselOf, type Kitchen } from '../../store/kitchen';
import { secondsOfDay } from './clock';

export interface DayPlan {
  readonly placed: readonly (Placed & { readonly task: DayTask })[];
  readonly problem: string | null;
  readonly conflicts: readonly Conflict[];
  readonly ways: readonly WayOut[];
  readonly slack: ReadonlyMap<string, number>;
  readonly names: ReadonlyMap<string, string>;
  readonly proven: boolean;
}

const REST_S = 30 * 60;

/** What a dressing asks of the day: its tool, its rest, its time out of the cold. */
function askedBy(record: ShelfRecord, kitchen: Kitchen) {
  const { formula } = record;
  const vessel = vesselOf(formula, kitchen.vessels);
  const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
  const { portions } = judgeFormula(reckoning);
  const tool = formula.tool ?? usualTool(vessel);
  const volumeMl = reckoning.totals.mixedVolumeMl;
  const seconds = formula.mixSeconds ?? usualSeconds(tool);
  const tips =
    volumeMl > 0
      ? makingTips(
          portions.map(({ ingredient, form, massG }) => ({ ingredient, form, massG: massG.nominal })),
          emulsionState(
            holdRequest(portions, { tool, seconds, volumeMl, heightM: USUAL_HEIGHT_M, temperatureC: 21 }),
          ),
          { tool, seconds, volumeMl, brimfulMl: vessel.brimfulVolumeMl, closes: vessel.closes },
        )
      : [];
  const sets = tips.find((tip) => tip.code === 'oil-sets');
  const machine = TOOL_VALUES[tool].effort === 'machine';
  return {
    tool: machine ? TOOL_VALUES[tool].name : null,
    standOutS: sets?.code === 'oil-sets' ? sets.standOutS : 0,
    // Raw onion and garlic want their rest.
    restS: tips.some(({ code }) => code === 'steep-in-acid') ? REST_S : 0,
  };
}

export function usePlan(
  day: string,
  content: PlanContent,
  shelf: readonly ShelfRecord[],
  kitchen: Kitchen,
  now: Date,
): DayPlan {
  const asked = useMemo(
    () =>
      new Map(
        shelf
          .filter(({ id }) =>
            content.services.some(({ dishes }) => dishes.some((dish) => dish.formulaId === id)),
          )
          .map((record) => [record.id, askedBy(record, kitchen)]),
      ),
    [shelf, content.services, kitchen],
  );
  const { tasks, shortenable } = useMemo(
    () =>
      dayTasks(
        content.services.map(({ id, name, at, covers, dishes }) => ({
          ...{ id, name, atS: at * 60 },
          dishes: dishes.map((dish) => ({
            ...{ id: dish.id, kind: dish.kind, moment: dish.moment, covers, fresh: dish.fresh },
            name:
              shelf.find((record) => record.id === dish.formulaId)?.formula.name ?? 'a dressing that is gone',
            ...(asked.get(dish.formulaId) ?? { tool: null, standOutS: 0, restS: 0 }),
          })),
        })),
        content.jobs,
      ),
    [content.services, content.jobs, shelf, asked],
  );
  // By the minute: the day is not worked out anew at every tick of the clock.
  const minute = Math.floor(now.getTime() / 60_000);
  return useMemo((): DayPlan => {
    const names = new Map(tasks.map(({ id, name }) => [id, name]));
    const open = tasks.filter(({ id }) => content.done[id] === undefined);
    const openIds = new Set(open.map(({ id }) => id));
    const asIs = open.map((task): DayTask => {
      const moved = content.moved[task.id];
      // What is behind holds nothing up any more.
      const after = task.after.filter((id) => openIds.has(id));
      return moved === undefined ? { ...task, after } : { ...task, after, pinnedS: moved * 60 };
    });
    const crew = { cooks: content.cooks };
    const schedule = scheduleBackwards(asIs, crew);
    const nothing = {
      placed: [],
      conflicts: [],
      ways: [],
      slack: new Map<string, number>(),
      names,
      proven: true,
    };
    if (schedule.status === 'circle') return { ...nothing, problem: 'Some tasks wait for each other.' };
    if (schedule.status === 'no-end')
      return { ...nothing, problem: 'Some tasks have no service to be ready for.' };
    const nowS = secondsOfDay(day, new Date(minute * 60_000));
    const fromS = Math.max(content.from * 60, nowS > 0 && nowS < 86_400 ? nowS : 0);
    const conflicts = conflictsOf(schedule.placed, fromS);
    return {
      placed: schedule.placed as DayPlan['placed'],
      problem: null,
      conflicts,
      ways: conflicts.length > 0 ? waysOut(asIs, crew, fromS, shortenable) : [],
      slack: slackOf(schedule.placed, fromS),
      names,
      proven: schedule.proven,
    };
  }, [tasks, shortenable, content, day, minute]);
}
