/** Jars as the screens need them: what the server has, with what waits in this browser after it. */
import { useMemo } from 'react';
import type { TrialEventRecord, TrialRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { currentStep, stepStates, type MakingPlan, type StepState } from '#core/trial';
import { useTrialsQuery } from './kitchenApi';
import type { Waiting } from '../sync/outboxSlice';
import { useAppSelector } from '../sync/store';

export interface Jar extends TrialRecord {
  /** Ids of events that only this browser has. */
  readonly waiting: ReadonlySet<string>;
}

export function withWaiting(trial: TrialRecord, all: readonly Waiting[]): Jar {
  const known = new Set(trial.events.map(({ id }) => id));
  const own = all.flatMap((one) =>
    one.kind === 'event' && one.trialId === trial.id && !known.has(one.id) ? [one] : [],
  );
  const later = own.map(({ id, event, by, happenedAt }): TrialEventRecord => ({
    id,
    event,
    by,
    at: happenedAt,
  }));
  return {
    ...trial,
    events: later.length > 0 ? [...trial.events, ...later] : trial.events,
    waiting: new Set(own.map(({ id }) => id)),
  };
}

/** Jars that were begun on this device and that the kitchen does not know yet, newest first. */
export const begunHere = (
  known: readonly TrialRecord[],
  all: readonly Waiting[],
  formulaId: FormulaId,
): readonly TrialRecord[] =>
  all
    .flatMap((one): TrialRecord[] => {
      if (one.kind !== 'begin' || one.formulaId !== formulaId) return [];
      const { jar, by, happenedAt: at } = one;
      if (known.some(({ id }) => id === jar.id)) return [];
      const { id, vesselId, lines, styleId = null, making = null } = jar;
      // Which version it becomes is settled when it arrives.
      const version = jar.version ?? (jar.freeze?.formula.basedOnVersion ?? 0) + 1;
      return [{ id, formulaId, version, vesselId, styleId, lines, making, batch: null, by, at, events: [] }];
    })
    .reverse();

/** With what this browser has not sent yet; undefined while they are fetched. */
export function useWithWaiting(trials: readonly TrialRecord[] | undefined): readonly Jar[] | undefined {
  const waiting = useAppSelector((state) => state.outbox.waiting);
  return useMemo(() => trials?.map((trial) => withWaiting(trial, waiting)), [trials, waiting]);
}

/** Newest first; undefined while they are fetched. */
export function useJars(formulaId: FormulaId): {
  readonly jars: readonly Jar[] | undefined;
  readonly error: unknown;
  readonly retry: () => void;
} {
  const { data, error, refetch } = useTrialsQuery(formulaId);
  const waiting = useAppSelector((state) => state.outbox.waiting);
  const jars = useMemo(
    () =>
      data &&
      [...begunHere(data, waiting, formulaId), ...data].map((trial) => withWaiting(trial, waiting)),
    [data, waiting, formulaId],
  );
  return { jars, error: data ? undefined : error, retry: () => void refetch() };
}

/** A jar that was begun as made already has no steps but those that mend it. */
const MADE_ALREADY: MakingPlan = {
  scaleFactor: 1,
  plannedVolumeMl: 0,
  tool: 'shake',
  seconds: 20,
  roomC: null,
  bottles: {},
  steps: [],
};
export const makingOf = ({ making }: Pick<TrialRecord, 'making'>): MakingPlan => making ?? MADE_ALREADY;

export const statesOf = ({ making, events }: TrialRecord): readonly StepState[] =>
  stepStates(making?.steps ?? [], events);

/** It has a step that nobody has done yet. */
export const isBeingMade = (trial: TrialRecord): boolean => currentStep(statesOf(trial)) !== null;
