/** A making as its screen needs it: where it stands, what was seen, and what is written down next. */
import { useMemo, useRef, useState } from 'react';
import type { SpreadTargets } from '#core/batch';
import { composition } from '#core/composition';
import {
  currentStep,
  deviationOf,
  plannedLines,
  standingEvents,
  type PlanReason,
  type PlanWay,
  type Step,
  type TrialEvent,
} from '#core/trial';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { openDeviation } from '#kitchen/repair';
import { makingOf, statesOf, type Jar } from '../../data/jars';
import { portionsNow } from '../../data/trials';
import { record } from '../../sync/outbox';
import type { WorkingFormula } from '../../sync/working';

type Targets = Extract<TrialEvent, { kind: 'planned' }>['targets'];

/** Where the jar stands, and how far from what was planned. */
export function useJarState(jar: Jar, batchMates: readonly Jar[], working: WorkingFormula, kitchen: Kitchen) {
  const { catalogue } = kitchen;
  const making = makingOf(jar);
  const states = useMemo(() => statesOf(jar), [jar]);
  const vessel = vesselOf({ ...working.formula, vesselId: jar.vesselId }, kitchen.vessels);
  const context = useMemo(() => contextFor(working.formula, kitchen), [working.formula, kitchen]);
  const portions = useMemo(() => portionsNow(jar, catalogue), [jar, catalogue]);
  const volumeMl = useMemo(() => composition(portions).mixedVolumeMl, [portions]);
  const deviation = useMemo(() => {
    const first = making.steps.flatMap((step) => (step.kind === 'weigh' ? [step.line] : []));
    return deviationOf(first, plannedLines(states), catalogue);
  }, [making, states, catalogue]);
  const openLoads = useMemo(
    () =>
      batchMates
        .filter(({ batch }) => batch?.role === 'load')
        .map((load) => ({ trialId: load.id, states: statesOf(load) })),
    [batchMates],
  );
  const standing = standingEvents(jar.events);
  return {
    making,
    states,
    vessel,
    context,
    portions,
    volumeMl,
    deviation,
    openLoads,
    current: currentStep(states),
    newest: standing.at(-1),
    disputed: states.find(({ status }) => status === 'disputed'),
    off: openDeviation(states, making, deviation, standing),
  };
}
export type JarState = ReturnType<typeof useJarState>;

/** What is written down of it. A tap of a wet finger is taken once. */
export function useSay(jar: Jar, onSaid: () => void) {
  const writing = useRef(false);
  const say = (...events: readonly TrialEvent[]): void => {
    if (writing.current) return;
    writing.current = true;
    onSaid();
    void record({ trialId: jar.id, formulaId: jar.formulaId }, events).finally(() => {
      writing.current = false;
    });
  };
  const plan = (
    reason: PlanReason,
    targets: Targets,
    steps: readonly Step[],
    before: string | null,
    way: PlanWay,
  ): void => {
    say({ kind: 'planned', reason, targets, steps, before, note: '', way });
  };
  /** The loads to come make it good: theirs first, so that a failure leaves the question open. */
  const spread = (reason: PlanReason, loads: readonly SpreadTargets[], way: PlanWay): void => {
    for (const { trialId, targets } of loads) {
      const event = { kind: 'planned', reason, targets, steps: [], before: null, note: '', way } as const;
      void record({ trialId, formulaId: jar.formulaId }, [event]);
    }
    plan(reason, [], [], null, way);
  };
  return { say, plan, spread };
}
export type Saying = ReturnType<typeof useSay>;

/** Which step is looked at: the one that is next, or one gone back to. */
export function useViewed({ states, current }: Pick<JarState, 'states' | 'current'>) {
  const [viewed, setViewed] = useState<string | null>(null);
  const shown = states.find(({ step }) => step.id === viewed) ?? current;
  return {
    shown,
    viewing: viewed !== null && shown !== current,
    isOpen: current !== null || viewed !== null,
    toNext: () => {
      setViewed(null);
    },
    back: () => {
      const place = shown ? states.indexOf(shown) : states.length;
      const before = states[place - 1];
      if (before) setViewed(before.step.id);
    },
    forward: () => {
      const next = shown && states[states.indexOf(shown) + 1];
      setViewed(next && next.step.id !== current?.step.id ? next.step.id : null);
    },
  };
}
export type Viewed = ReturnType<typeof useViewed>;
