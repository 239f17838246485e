/** What happened at the counter and is not recorded yet, oldest first. */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { NewEvent } from '#contract';
import type { FormulaId } from '#core/formula';

export interface Waiting extends NewEvent {
  readonly trialId: string;
  readonly formulaId: FormulaId;
  readonly happenedAt: string;
  /** The order they happened in, on this device. */
  readonly place: number;
  /** Why the server will not have it; null while it has not said. */
  readonly refused: string | null;
}

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
    refused(state, { payload }: PayloadAction<{ id: string; why: string }>): OutboxState {
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
