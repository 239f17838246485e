/** What happened at the counter and is not recorded yet, oldest first. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { By, NewBatchEvent, NewDressing, NewFormula, NewTimer } from '#contract';
import type { Formula, FormulaId, VesselId } from '#core/formula';
import type { MakingPlan, TrialEvent, TrialLine } from '#core/trial';

export interface BegunJar {
  readonly id: string;
  readonly formulaId: FormulaId;
  /** Either a version, or what is to be frozen as one. */
  readonly version?: number;
  readonly freeze?: { readonly formula: Formula; readonly note: string };
  readonly vesselId: VesselId;
  readonly styleId: string | null;
  readonly lines: readonly TrialLine[];
  readonly making?: MakingPlan | null;
}

/** Each is done once by the kitchen, however often it is sent: its id, or the id of what it makes, says so. */
export type Command =
  | {
      readonly kind: 'event';
      readonly trialId: string;
      readonly formulaId: FormulaId;
      readonly event: TrialEvent;
    }
  /** A jar begins; what it is made from is frozen first, as it stood when it began. */
  | { readonly kind: 'begin'; readonly formulaId: FormulaId; readonly jar: BegunJar }
  /** A formula that was poured before it was written. */
  | { readonly kind: 'new-formula'; readonly formulaId: FormulaId; readonly formula: NewFormula }
  | { readonly kind: 'start-timer'; readonly timer: Omit<NewTimer, 'agoS'> }
  | { readonly kind: 'end-timer'; readonly timerId: string }
  | { readonly kind: 'batch-event'; readonly batchId: string; readonly event: NewBatchEvent['event'] }
  | { readonly kind: 'dressing'; readonly dressing: Omit<NewDressing, 'by'> };

export type Waiting = Command & {
  readonly id: string;
  /** The kitchen it is meant for. */
  readonly kitchen: string;
  readonly by: By;
  readonly happenedAt: string;
  /** The order they happened in, on this device. */
  readonly place: number;
  /** Why the server will not have it; null while it has not said. */
  readonly refused: string | null;
};

export interface OutboxState {
  readonly waiting: readonly Waiting[];
  /** The last try found no server. */
  readonly away: boolean;
  /** This browser keeps nothing: what waits is lost with the page. */
  readonly unkept: boolean;
}

const start: OutboxState = { waiting: [], away: false, unkept: false };

const outbox = createSlice({
  name: 'outbox',
  initialState: start as OutboxState,
  reducers: {
    queued(state, { payload }: PayloadAction<{ entries: readonly Waiting[]; kept: boolean }>): OutboxState {
      const known = new Set(state.waiting.map(({ id }) => id));
      const fresh = payload.entries.filter(({ id }) => !known.has(id));
      return {
        ...state,
        waiting: [...state.waiting, ...fresh].sort((a, b) => a.place - b.place),
        unkept: state.unkept || !payload.kept,
      };
    },
    left(state, { payload }: PayloadAction<string>): OutboxState {
      return { ...state, waiting: state.waiting.filter(({ id }) => id !== payload), away: false };
    },
    refused(state, { payload }: PayloadAction<{ id: string; why: string | null }>): OutboxState {
      return {
        ...state,
        away: false,
        waiting: state.waiting.map((entry) =>
          entry.id === payload.id ? { ...entry, refused: payload.why } : entry,
        ),
      };
    },
    foundAway(state): OutboxState {
      return { ...state, away: true };
    },
  },
});

export const { queued, left, refused, foundAway } = outbox.actions;
export const outboxReducer = outbox.reducer;
