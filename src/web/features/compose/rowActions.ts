import { useMemo } from 'react';
import { composeWords } from '#words/screens/compose';
import type { Addition, AdditionId, Phase } from '#core/formula';
import { useSteady } from '../../ui/useSteady';

/** What a row can ask of the bench. */
export interface RowActions {
  readonly draft: (id: AdditionId, text: string | null) => void;
  readonly patch: (id: AdditionId, patch: Partial<Addition>) => void;
  readonly step: (id: AdditionId, direction: 'up' | 'down') => void;
  readonly toPhase: (id: AdditionId, phase: Phase) => void;
  readonly remove: (id: AdditionId) => void;
  /** Settles which ingredient an unread line means. */
  /** Names what it is of, and how much where that is answered too. */
  readonly name: (id: AdditionId, ingredientName: string, amountText?: string) => void;
  readonly details: (id: AdditionId) => void;
  readonly swap: (id: AdditionId) => void;
  /** Into the selection, or out of it. */
  readonly select: (id: AdditionId) => void;
}

/** The same object from one drawing to the next: rows that did not change stay as they are. */
export function useSteadyActions(actions: RowActions): RowActions {
  const draft = useSteady(actions.draft);
  const patch = useSteady(actions.patch);
  const step = useSteady(actions.step);
  const toPhase = useSteady(actions.toPhase);
  const remove = useSteady(actions.remove);
  const name = useSteady(actions.name);
  const details = useSteady(actions.details);
  const swap = useSteady(actions.swap);
  const select = useSteady(actions.select);
  return useMemo(
    () => ({ draft, patch, step, toPhase, remove, name, details, swap, select }),
    [draft, patch, step, toPhase, remove, name, details, swap, select],
  );
}

export const PHASE_NAMES: Record<Phase, string> = {
  base: composeWords.baseFirst,
  oil: composeWords.oilLastInAThin,
  finish: composeWords.toFinish,
};

export const PHASE_SHORT: Record<Phase, string> = {
  base: composeWords.toTheBase,
  oil: composeWords.toTheOil,
  finish: composeWords.toTheFinish,
};
