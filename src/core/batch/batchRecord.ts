/**
 * What happened to a batch, beside the steps of its loads. Events are only ever added; what the batch is
 * now is a fold over them. A simulated pH never counts: {@link measuredPh} sees to that.
 */
import type { IngredientId } from '#core/ingredient';
import {
  inWindow,
  standingOf,
  stepStates,
  weighingWindow,
  type LoggedEvent,
  type MakingPlan,
  type Reading,
  type StepState,
} from '#core/trial';
import type { UseByChange } from './useBy';

export type BatchEvent =
  | { readonly kind: 'called-off'; readonly reason: string }
  /** All loads together: a jar of its own from here on, to be tasted and finished. */
  | { readonly kind: 'combined'; readonly trialId: string }
  /** Which lot or bottle, typed. */
  | { readonly kind: 'lot'; readonly ingredientId: IngredientId; readonly text: string }
  | {
      readonly kind: 'temperature';
      readonly where: TemperatureAt;
      /** °C. */
      readonly value: number;
      readonly reading: Reading;
    }
  /** How long peeling, grating and juicing took, and how long had been said. */
  | { readonly kind: 'hand-work'; readonly seconds: number; readonly saidS: number }
  | ({ readonly kind: 'use-by' } & UseByChange)
  /** What went otherwise, in words. */
  | { readonly kind: 'noted'; readonly note: string }
  | { readonly kind: 'verdict'; readonly right: boolean; readonly note: string }
  /** A typed name: "recorded by". */
  | { readonly kind: 'signed'; readonly name: string }
  | { readonly kind: 'corrected'; readonly eventId: string };

export const TEMPERATURES_AT = ['ingredients', 'mixed', 'after-cooling', 'store'] as const;
export type TemperatureAt = (typeof TEMPERATURES_AT)[number];

export interface LoggedBatchEvent {
  readonly id: string;
  /** ISO time. */
  readonly at: string;
  readonly event: BatchEvent;
}

export type BatchKind = BatchEvent['kind'];

/** What still stands, as in a jar's log. */
export function standingBatchEvents<E extends LoggedBatchEvent>(log: readonly E[]): readonly E[] {
  const undone = new Set<string>();
  for (const { id, event } of [...log].reverse()) {
    if (event.kind === 'corrected' && !undone.has(id)) undone.add(event.eventId);
  }
  return log.filter(({ id, event }) => event.kind !== 'corrected' && !undone.has(id));
}

/** The newest of a kind that still stands. */
export function latestOf<K extends BatchKind, E extends LoggedBatchEvent>(
  log: readonly E[],
  kind: K,
): (E & { readonly event: Extract<BatchEvent, { kind: K }> }) | null {
  const found = standingBatchEvents(log).findLast(({ event }) => event.kind === kind);
  return (found ?? null) as (E & { readonly event: Extract<BatchEvent, { kind: K }> }) | null;
}

export interface LoadLog {
  readonly trialId: string;
  readonly making: MakingPlan;
  readonly events: readonly LoggedEvent[];
}

export const BATCH_STATES = ['planned', 'weighing', 'weighed', 'combined', 'signed', 'called-off'] as const;
export type BatchState = (typeof BATCH_STATES)[number];

export function batchStateOf(loads: readonly LoadLog[], log: readonly LoggedBatchEvent[]): BatchState {
  if (latestOf(log, 'called-off')) return 'called-off';
  if (latestOf(log, 'signed')) return 'signed';
  if (latestOf(log, 'combined')) return 'combined';
  const states = loads.map(({ making, events }) => stepStates(making.steps, events));
  if (states.every(isWeighed)) return 'weighed';
  return states.some((load) => load.some(({ status }) => status !== 'open')) ? 'weighing' : 'planned';
}

export const isWeighed = (load: readonly StepState[]): boolean =>
  load.every(({ status }) => status === 'done' || status === 'left-out');

export type SignProblem = 'not-combined' | 'no-verdict' | 'no-name' | 'called-off' | 'signed-already';

/** Why it cannot be signed yet; null: it can. */
export function signProblem(
  state: BatchState,
  log: readonly LoggedBatchEvent[],
  name: string,
): SignProblem | null {
  if (state === 'called-off') return 'called-off';
  if (state === 'signed') return 'signed-already';
  if (state !== 'combined') return 'not-combined';
  if (!latestOf(log, 'verdict')) return 'no-verdict';
  return name.trim() === '' ? 'no-name' : null;
}

export interface LoadDeviation {
  /** From 1. */
  readonly load: number;
  readonly stepId: string;
  readonly ingredientId: IngredientId;
  readonly what: 'over' | 'under' | 'left-out' | 'swapped';
  readonly plannedG: number;
  readonly massG: number;
}

/** Where the weighing and its plan part, load by load: against the plan as it stood when the batch began. */
export function deviationsOf(loads: readonly LoadLog[], readabilityG: number): readonly LoadDeviation[] {
  return loads.flatMap(({ making, events }, place) =>
    stepStates(making.steps, events).flatMap(({ step, status, massG, takes, counted }): LoadDeviation[] => {
      if (step.kind !== 'weigh' || status === 'open') return [];
      const taken = takes.filter(({ id }) => counted.has(id)).at(-1)?.event.line.ingredientId;
      const about = {
        load: place + 1,
        stepId: step.id,
        plannedG: step.line.massG,
        massG,
        ingredientId: taken ?? step.line.ingredientId,
      };
      if (status === 'left-out') return [{ ...about, what: 'left-out' }];
      if (taken !== undefined && taken !== step.line.ingredientId) return [{ ...about, what: 'swapped' }];
      if (inWindow(massG, weighingWindow(step.line.massG, readabilityG))) return [];
      return [{ ...about, what: massG > step.line.massG ? 'over' : 'under' }];
    }),
  );
}

/** The verdict of the tongue, from the combined jar's tastings. */
export const tastedRight = (whole: readonly LoggedEvent[]): boolean | null => {
  const standing = standingOf(whole);
  return standing === 'untasted' ? null : standing !== 'not-right';
};

/** "20261126-02": the day and the place in it. @param day YYYY-MM-DD */
export const batchNumber = (day: string, place: number): string =>
  `${day.replaceAll('-', '')}-${String(place).padStart(2, '0')}`;

/** Less than what is missing from this share is within what a ladle takes; tag: common practice. */
const ENOUGH_SHARE = 0.95;

/** What batches come to, without what is poured on into others, ml. */
export const madeMl = (
  batches: readonly {
    readonly plan: { readonly yieldMl: number; readonly pouredOnMl?: number | undefined };
  }[],
): number => batches.reduce((sum, { plan }) => sum + Math.max(0, plan.yieldMl - (plan.pouredOnMl ?? 0)), 0);

/** Whether what is taken on is enough for what there has to be, both ml. */
export const isEnough = (thereMl: number, neededMl: number): boolean => thereMl >= neededMl * ENOUGH_SHARE;
