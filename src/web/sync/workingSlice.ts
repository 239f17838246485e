/**
 * Open formulas as they stand on the screen, their undo, and how far the server has followed.
 * `acknowledged` is the last state the server confirmed; what is to be sent is always the diff from
 * there to `formula`, so a conflict is settled by taking the server's new state as the base.
 */
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { storable, type FormulaRecord, type VersionRecord } from '#contract';
import {
  applyDiff,
  diffFormulas,
  invertDiff,
  isEmptyDiff,
  type Conflict,
  type FieldChange,
  type Formula,
  type FormulaDiff,
  type FormulaId,
} from '#core/formula';
import type { FoundWork, InFlight, MirroredWork } from './mirror';

export type SaveState =
  'saved' | 'waiting' | 'sending' | 'unreachable' | 'signed-out' | 'conflict' | 'refused';

export interface WorkingFormula {
  readonly id: FormulaId;
  readonly formula: Formula;
  readonly acknowledged: Formula;
  readonly revision: number;
  /** The version the working changes grew from. */
  readonly baseVersion: VersionRecord | null;
  readonly latestNumber: number;
  readonly past: readonly FormulaDiff[];
  readonly future: readonly FormulaDiff[];
  readonly inFlight: InFlight | null;
  readonly save: SaveState;
  readonly refusal: string | null;
  readonly conflicts: readonly Conflict[];
  /** The browser could not keep its own copy. */
  readonly unmirrored: boolean;
}

export interface WorkingState {
  readonly byId: Readonly<Record<string, WorkingFormula>>;
}

const UNDO_LIMIT = 200;
const initialState: WorkingState = { byId: {} };

/** Applies what may have been meant for an older state; what no longer fits is left out. */
function applyOrKeep(formula: Formula, diff: FormulaDiff): Formula {
  const result = applyDiff(formula, diff);
  return result.status === 'applied' ? result.formula : formula;
}

function saveStateOf(working: WorkingFormula): SaveState {
  return isEmptyDiff(diffFormulas(working.acknowledged, working.formula)) ? 'saved' : 'waiting';
}

/** What the server holds, this tab's own unsent work on top, then that of tabs that are gone. */
function opened(record: FormulaRecord, { mine, orphans }: FoundWork): WorkingFormula {
  const history = mine ?? orphans.at(-1) ?? null;
  const start = openedWith(record, mine, history);
  return orphans.reduce((working, orphan) => adopt(working, record, orphan), start);
}

function adopt(working: WorkingFormula, record: FormulaRecord, orphan: MirroredWork): WorkingFormula {
  if (isEmptyDiff(orphan.diff)) return working;
  const result = applyDiff(working.formula, orphan.diff);
  if (result.status === 'conflict') {
    const held = withConflict(working, record, orphan.diff, result.conflicts);
    return { ...held, conflicts: [...working.conflicts, ...result.conflicts] };
  }
  const adopted = { ...working, formula: result.formula };
  return { ...adopted, save: working.save === 'conflict' ? 'conflict' : saveStateOf(adopted) };
}

function openedWith(
  record: FormulaRecord,
  mirrored: MirroredWork | null,
  history: MirroredWork | null,
): WorkingFormula {
  const base: WorkingFormula = {
    id: record.id,
    formula: record.formula,
    acknowledged: record.formula,
    revision: record.revision,
    baseVersion: record.baseVersion,
    latestNumber: record.latestNumber,
    past: history?.past ?? [],
    future: history?.future ?? [],
    inFlight: mirrored?.inFlight ?? null,
    save: 'saved',
    refusal: null,
    conflicts: [],
    unmirrored: false,
  };
  if (!mirrored || isEmptyDiff(mirrored.diff)) return base;
  // Kept by a release that did not look yet.
  const result = applyDiff(record.formula, storable(mirrored.diff));
  if (result.status === 'applied') {
    const restored = { ...base, formula: result.formula };
    return { ...restored, save: saveStateOf(restored) };
  }
  return withConflict(base, record, mirrored.diff, result.conflicts);
}

/** By what they are about, not by identity: a conflict may have come over the wire. */
const isSameField = (a: FieldChange, b: FieldChange): boolean =>
  a.additionId === b.additionId && a.field === b.field;

/** Everything that merges is merged; the fields in conflict wait for the cook, showing the server's value. */
function withConflict(
  working: WorkingFormula,
  record: FormulaRecord,
  diff: FormulaDiff,
  conflicts: readonly Conflict[],
): WorkingFormula {
  const mergeable = {
    ...diff,
    updated: diff.updated.filter(
      (change) => !conflicts.some((conflict) => isSameField(conflict.change, change)),
    ),
  };
  return {
    ...working,
    acknowledged: record.formula,
    revision: record.revision,
    formula: applyOrKeep(record.formula, mergeable),
    baseVersion: record.baseVersion,
    latestNumber: record.latestNumber,
    inFlight: null,
    conflicts,
    save: 'conflict',
  };
}

const slice = createSlice({
  name: 'working',
  initialState,
  reducers: {
    formulaOpened(state, { payload }: PayloadAction<{ record: FormulaRecord; found: FoundWork }>) {
      return put(state, opened(payload.record, payload.found));
    },
    /** Any edit: the whole next formula; the reversible diff is worked out here. */
    edited(state, { payload }: PayloadAction<{ id: FormulaId; formula: Formula }>) {
      return change(state, payload.id, (working) => {
        // What a database cannot keep never becomes an edit: it would be sent again for ever.
        const formula = storable(payload.formula);
        const diff = diffFormulas(working.formula, formula);
        if (isEmptyDiff(diff)) return working;
        return {
          ...working,
          formula,
          past: [...working.past, diff].slice(-UNDO_LIMIT),
          future: [],
          save: working.save === 'conflict' ? 'conflict' : 'waiting',
        };
      });
    },
    undone(state, { payload: id }: PayloadAction<FormulaId>) {
      return change(state, id, (working) => step(working, 'past'));
    },
    redone(state, { payload: id }: PayloadAction<FormulaId>) {
      return change(state, id, (working) => step(working, 'future'));
    },
    sending(state, { payload }: PayloadAction<{ id: FormulaId; inFlight: InFlight }>) {
      return change(state, payload.id, (working) => ({
        ...working,
        inFlight: payload.inFlight,
        save: 'sending',
      }));
    },
    saved(state, { payload }: PayloadAction<{ id: FormulaId; record: FormulaRecord }>) {
      return change(state, payload.id, (working) => {
        // What was typed while the change was under way goes on top of what the server now holds.
        const expected = working.inFlight
          ? applyOrKeep(working.acknowledged, working.inFlight.diff)
          : working.acknowledged;
        const since = diffFormulas(expected, working.formula);
        const settled = {
          ...working,
          acknowledged: payload.record.formula,
          revision: payload.record.revision,
          baseVersion: payload.record.baseVersion,
          latestNumber: payload.record.latestNumber,
          inFlight: null,
          refusal: null,
        };
        const result = applyDiff(payload.record.formula, since);
        if (result.status === 'conflict') {
          return withConflict(settled, payload.record, since, result.conflicts);
        }
        const merged = { ...settled, formula: result.formula };
        return { ...merged, save: saveStateOf(merged) };
      });
    },
    unreachable(state, { payload: id }: PayloadAction<FormulaId>) {
      return change(state, id, (working) => ({ ...working, save: 'unreachable' }));
    },
    signedOut(state, { payload: id }: PayloadAction<FormulaId>) {
      return change(state, id, (working) => ({ ...working, save: 'signed-out' }));
    },
    refused(state, { payload }: PayloadAction<{ id: FormulaId; message: string }>) {
      return change(state, payload.id, (working) => ({
        ...working,
        inFlight: null,
        save: 'refused',
        refusal: payload.message,
      }));
    },
    conflicted(
      state,
      { payload }: PayloadAction<{ id: FormulaId; record: FormulaRecord; conflicts: readonly Conflict[] }>,
    ) {
      return change(state, payload.id, (working) =>
        withConflict(
          working,
          payload.record,
          diffFormulas(working.acknowledged, working.formula),
          payload.conflicts,
        ),
      );
    },
    /** The cook has chosen for one field in conflict: their own value or the one already saved. */
    conflictSettled(
      state,
      { payload }: PayloadAction<{ id: FormulaId; conflict: Conflict; keep: 'mine' | 'theirs' }>,
    ) {
      return change(state, payload.id, (working) => {
        const { conflict, keep } = payload;
        const conflicts = working.conflicts.filter(
          ({ change: other }) => !isSameField(other, conflict.change),
        );
        const mine =
          keep === 'mine' && conflict.kind === 'field'
            ? [{ ...conflict.change, from: conflict.current }]
            : [];
        const formula = applyOrKeep(working.formula, { added: [], removed: [], updated: mine });
        const settled = { ...working, formula, conflicts };
        return { ...settled, save: conflicts.length > 0 ? 'conflict' : saveStateOf(settled) };
      });
    },
    /** Frozen on the server: its state, grown from the new version, with what was typed since on top. */
    versionFrozen(state, { payload }: PayloadAction<{ id: FormulaId; record: FormulaRecord }>) {
      return change(state, payload.id, (working) => {
        const since = diffFormulas(working.acknowledged, working.formula);
        const { record } = payload;
        const settled = {
          ...working,
          acknowledged: record.formula,
          revision: record.revision,
          baseVersion: record.baseVersion,
          latestNumber: record.latestNumber,
          formula: applyOrKeep(record.formula, since),
        };
        return { ...settled, save: saveStateOf(settled) };
      });
    },
    mirrored(state, { payload }: PayloadAction<{ id: FormulaId; kept: boolean }>) {
      return change(state, payload.id, (working) =>
        working.unmirrored === !payload.kept ? working : { ...working, unmirrored: !payload.kept },
      );
    },
  },
});

function step(working: WorkingFormula, from: 'past' | 'future'): WorkingFormula {
  const stack = working[from];
  const diff = stack[stack.length - 1];
  if (!diff) return working;
  const wanted = from === 'past' ? invertDiff(diff) : diff;
  const result = applyDiff(working.formula, wanted);
  const rest = stack.slice(0, -1);
  const other = from === 'past' ? 'future' : 'past';
  // A step that no longer fits (changed elsewhere meanwhile) is dropped rather than half done.
  if (result.status === 'conflict') return { ...working, [from]: rest };
  const moved = {
    ...working,
    formula: result.formula,
    [from]: rest,
    [other]: [...working[other], diff],
  };
  return { ...moved, save: working.save === 'conflict' ? 'conflict' : saveStateOf(moved) };
}

function put(state: WorkingState, working: WorkingFormula): WorkingState {
  return { ...state, byId: { ...state.byId, [working.id]: working } };
}

function change(
  state: WorkingState,
  id: FormulaId,
  next: (working: WorkingFormula) => WorkingFormula,
): WorkingState {
  const working = state.byId[id];
  return working ? put(state, next(working)) : state;
}

export const workingReducer = slice.reducer;
export const {
  conflicted,
  conflictSettled,
  edited,
  formulaOpened,
  mirrored,
  redone,
  refused,
  saved,
  sending,
  signedOut,
  undone,
  unreachable,
  versionFrozen,
} = slice.actions;
