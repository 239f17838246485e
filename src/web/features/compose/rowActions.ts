import { composeWords } from '#words/screens/compose';
import type { Addition, AdditionId, Phase } from '#core/formula';

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
