/** A jar that was stopped at a stage of its formula can go on to the next: as one more plan of the same making. */
import { useMemo } from 'react';
import { stagesOf, upToStage } from '#core/formula';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { planMaking, stageReached, type MakingPlan, type TrialEvent } from '#core/trial';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { useVersionsQuery } from '../../data/kitchenApi';
import type { Jar } from '../../data/jars';

export interface NextStage {
  /** Where it was stopped. */
  readonly here: string;
  readonly name: string;
  readonly event: TrialEvent;
}

export function useNextStage(jar: Jar, making: MakingPlan, kitchen: Kitchen): NextStage | null {
  const { data } = useVersionsQuery(jar.formulaId);
  return useMemo(() => {
    const reached = stageReached(making, jar.events);
    const version = data?.find(({ number }) => number === jar.version);
    if (reached === null || !version) return null;
    const names = stagesOf(version.formula);
    const stage = reached + 1;
    const name = names[stage];
    if (name === undefined) return null;
    const formula = upToStage(version.formula, stage);
    const vessel = vesselOf({ vesselId: jar.vesselId }, kitchen.vessels);
    const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
    const plan = planMaking(reckoning, judgeFormula(reckoning), { ...making, vessel });
    const done = new Set(planMaking(...upTo(upToStage(version.formula, reached))).steps.map(({ id }) => id));
    const steps = plan.steps.filter(({ id }) => !done.has(id));
    const event = { kind: 'planned', reason: 'next-stage', targets: [], before: null, note: name } as const;
    return { here: names[reached] ?? '', name, event: { ...event, steps, stage } };

    function upTo(until: typeof formula): Parameters<typeof planMaking> {
      const before = reckonFormula(until, vessel, contextFor(until, kitchen));
      return [before, judgeFormula(before), { ...making, vessel }];
    }
  }, [jar, making, data, kitchen]);
}
