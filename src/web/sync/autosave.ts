/** Keeps every edit in the browser, then sends it; retries with growing pauses while the server is away. */
import { createListenerMiddleware, isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import { diffFormulas, isEmptyDiff, type FormulaId } from '#core/formula';
import { kitchenApi } from '../data/kitchenApi';
import { sendChange } from './sendChange';
import { newId } from './device';
import { dropMirrors, writeMirror } from './mirror';
import { tellOtherTabs } from './otherTabs';
import {
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
  type WorkingFormula,
  type WorkingState,
} from './workingSlice';

/** Long enough to gather a burst of nudges, short enough to be saved before a look up. */
const GATHER_MS = 400;
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 15_000;

export const autosave = createListenerMiddleware<{ working: WorkingState }>();

const pause = new Map<FormulaId, number>();
const busy = new Set<FormulaId>();

const changesWork = isAnyOf(edited, undone, redone, conflictSettled, formulaOpened);

autosave.startListening({
  matcher: changesWork,
  effect: async (action: UnknownAction, { dispatch, getState }) => {
    if (!changesWork(action)) return;
    const id = idOf(action.payload);
    const state = (): WorkingFormula | undefined => getState().working.byId[id];
    const kept = await keep(state(), dispatch);
    // What was taken over from a tab that is gone now stands in this tab's own record.
    if (kept && formulaOpened.match(action)) await dropMirrors(action.payload.found.orphans);
    schedule(id, GATHER_MS, state, dispatch);
  },
});

type Payload = FormulaId | { readonly id: FormulaId } | { readonly record: { readonly id: FormulaId } };

function idOf(payload: Payload): FormulaId {
  if (typeof payload === 'string') return payload;
  return 'id' in payload ? payload.id : payload.record.id;
}

type Dispatch = (action: UnknownAction) => unknown;

async function keep(working: WorkingFormula | undefined, dispatch: Dispatch): Promise<boolean> {
  if (!working) return false;
  const kept = await writeMirror({
    id: working.id,
    baseRevision: working.revision,
    diff: diffFormulas(working.acknowledged, working.formula),
    inFlight: working.inFlight,
    past: working.past,
    future: working.future,
  });
  dispatch(mirrored({ id: working.id, kept }));
  return kept;
}

function schedule(
  id: FormulaId,
  ms: number,
  state: () => WorkingFormula | undefined,
  dispatch: Dispatch,
): void {
  window.clearTimeout(pause.get(id));
  pause.set(
    id,
    window.setTimeout(() => {
      void send(id, state, dispatch);
    }, ms),
  );
}

const retryMs = new Map<FormulaId, number>();

async function send(
  id: FormulaId,
  state: () => WorkingFormula | undefined,
  dispatch: Dispatch,
): Promise<void> {
  const working = state();
  if (!working || working.save === 'conflict' || busy.has(id)) return;
  const diff = diffFormulas(working.acknowledged, working.formula);
  // A change whose answer never came is sent again as it was, under its own key.
  const inFlight = working.inFlight ?? {
    idempotencyKey: newId(),
    baseRevision: working.revision,
    diff,
  };
  if (!working.inFlight && isEmptyDiff(diff)) return;
  busy.add(id);
  dispatch(sending({ id, inFlight }));
  await keep(state(), dispatch);
  const outcome = await sendChange(id, inFlight);
  busy.delete(id);
  switch (outcome.status) {
    case 'saved':
      retryMs.delete(id);
      dispatch(saved({ id, record: outcome.record }));
      dispatch(kitchenApi.util.invalidateTags(['Shelf']));
      tellOtherTabs({ id });
      break;
    case 'conflict':
      dispatch(conflicted({ id, record: outcome.record, conflicts: outcome.conflicts }));
      break;
    case 'refused':
      dispatch(refused({ id, message: outcome.message }));
      break;
    case 'signed-out':
      dispatch(signedOut(id));
      dispatch(kitchenApi.util.invalidateTags(['Session']));
      break;
    case 'unreachable': {
      const wait = retryMs.get(id) ?? FIRST_RETRY_MS;
      retryMs.set(id, Math.min(LONGEST_RETRY_MS, wait * 2));
      dispatch(unreachable(id));
      schedule(id, wait, state, dispatch);
      break;
    }
  }
  await keep(state(), dispatch);
  if (state()?.save === 'waiting') schedule(id, GATHER_MS, state, dispatch);
}

/** After signing in again: everything that waited for it is sent. */
export function sendWaiting(working: WorkingState, dispatch: Dispatch, state: () => WorkingState): void {
  for (const { id, save } of Object.values(working.byId)) {
    if (save === 'signed-out') schedule(id, 0, () => state().byId[id], dispatch);
  }
}
