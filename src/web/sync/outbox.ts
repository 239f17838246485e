/**
 * What happened at the counter, on its way to the server. Each is kept in this browser before the screen shows
 * it, sent in order by the one sender, and only then let go. Its id makes a second sending no second event; a
 * lock keeps two tabs from sending at once.
 */
import { storable, type TrialRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import type { TrialEvent } from '#core/trial';
import { isUnreachable, kitchenApi, sayError } from '../data/kitchenApi';
import { database, gaveUp } from './browserStore';
import { byNow, newId } from './device';
import { kitchenHere } from './kitchenHere';
import { foundAway, left, queued, refused, type Command, type Waiting } from './outboxSlice';
import type { Lane } from './sender';
import { store } from './store';

async function keep(entry: Waiting): Promise<boolean> {
  try {
    await (await database()).put('waiting', entry);
    return true;
  } catch {
    gaveUp();
    return false;
  }
}
async function letGo(id: string): Promise<void> {
  try {
    await (await database()).delete('waiting', id);
  } catch {
    // It is sent once more at the next start: no second event.
    gaveUp();
  }
}

let lastPlace = 0;

/**
 * Puts down what is to be done, in this order. Resolves with their ids once this browser has them. An id that is given
 * makes a second putting down no second deed.
 */
export async function put(
  ...commands: readonly (Command & { readonly id?: string })[]
): Promise<readonly string[]> {
  const now = new Date();
  const kitchen = await kitchenHere();
  const entries = commands.map((command): Waiting => {
    lastPlace = Math.max(lastPlace + 1, now.getTime() * 100);
    return {
      ...storable(command),
      id: command.id ?? newId(),
      kitchen,
      by: byNow(),
      happenedAt: now.toISOString(),
      place: lastPlace,
      refused: null,
    };
  });
  let allKept = true;
  for (const entry of entries) allKept = (await keep(entry)) && allKept;
  store.dispatch(queued({ entries, kept: allKept }));
  return entries.map(({ id }) => id);
}

/** Records events of one jar, in this order. */
export const record = (
  jar: { readonly trialId: string; readonly formulaId: FormulaId },
  events: readonly TrialEvent[],
): Promise<readonly string[]> =>
  put(
    ...events.map(({ ...event }): Command => ({
      kind: 'event',
      trialId: jar.trialId,
      formulaId: jar.formulaId,
      event: event as TrialEvent,
    })),
  );

/** A refused one, thrown away at the cook's word. */
export async function setAside(id: string): Promise<void> {
  await letGo(id);
  store.dispatch(left(id));
}
/** A refused one, once more: what stood in its way may be gone. */
export function tryAgain(id: string): void {
  store.dispatch(refused({ id, why: null }));
}

const underLock = <T>(work: () => Promise<T>): Promise<T> =>
  typeof navigator.locks === 'object' ? navigator.locks.request('ygrana-outbox', work) : work();

/** A healthy server that breaks over one entry, time after time, must not be asked for ever. */
const broke = new Map<string, number>();
const MOST_BREAKS = 6;
function keepsFailing(id: string, error: unknown): boolean {
  if ((error as { status?: unknown }).status !== 500) return false;
  const times = (broke.get(id) ?? 0) + 1;
  broke.set(id, times);
  return times >= MOST_BREAKS;
}

/** Sends the oldest that waits. */
export const nextWaiting: Lane = async () => {
  const entry = store.getState().outbox.waiting.find((one) => one.refused === null);
  if (!entry) return 'nothing';
  return underLock(async () => {
    try {
      await send(entry);
      await letGo(entry.id);
      store.dispatch(left(entry.id));
      return 'sent';
    } catch (error) {
      if (isUnreachable(error) || (isPassing(error) && !keepsFailing(entry.id, error))) {
        store.dispatch(foundAway());
        return 'away';
      }
      store.dispatch(refused({ id: entry.id, why: sayError(error) }));
      return 'sent';
    }
  });
};

/** The server stumbled, or wants the passcode first, or is another one: later it may take it. */
const isPassing = (error: unknown): boolean => {
  const { status, data } = (error ?? {}) as { status?: unknown; data?: { error?: { code?: string } } };
  if (data?.error?.code === 'other-kitchen') return true;
  return typeof status !== 'number' || status >= 500 || status === 401 || status === 429;
};

/** @throws the answer where it was not taken */
async function send(entry: Waiting): Promise<void> {
  const { endpoints } = kitchenApi;
  const { id, by, happenedAt } = entry;
  const quiet = { track: false } as const;
  switch (entry.kind) {
    case 'event': {
      const { trialId, formulaId, event } = entry;
      const body = { id, by, happenedAt, trialId, formulaId, event };
      showRecorded(await store.dispatch(endpoints.recordEvent.initiate(body, quiet)).unwrap());
      return;
    }
    case 'begin':
      showRecorded(await store.dispatch(endpoints.beginTrial.initiate({ ...entry.jar, by }, quiet)).unwrap());
      return;
    case 'new-formula':
      await store
        .dispatch(endpoints.createFormula.initiate(entry.formula, quiet))
        .unwrap()
        .catch(unlessThere);
      return;
    case 'start-timer': {
      const agoS = Math.max(0, (Date.now() - Date.parse(happenedAt)) / 1000);
      await store.dispatch(endpoints.startTimer.initiate({ ...entry.timer, agoS }, quiet)).unwrap();
      return;
    }
    case 'end-timer':
      await store.dispatch(endpoints.endTimer.initiate(entry.timerId, quiet)).unwrap();
      return;
    case 'batch-event': {
      const { batchId, event } = entry;
      await store.dispatch(endpoints.recordBatchEvent.initiate({ batchId, id, event, by }, quiet)).unwrap();
      return;
    }
    case 'dressing':
      await store.dispatch(endpoints.addDressing.initiate({ ...entry.dressing, by }, quiet)).unwrap();
  }
}

/** Its answer was lost the first time. */
function unlessThere(error: unknown): void {
  const { data } = (error ?? {}) as { data?: { error?: { code?: string } } };
  if (data?.error?.code !== 'exists') throw error;
}

function showRecorded(trial: TrialRecord): void {
  const swap = (list: TrialRecord[]): TrialRecord[] =>
    list.map((known) =>
      known.id === trial.id && known.events.length <= trial.events.length ? trial : known,
    );
  const put = (list: TrialRecord[]): TrialRecord[] =>
    list.some(({ id }) => id === trial.id) ? swap(list) : [trial, ...list];
  store.dispatch(kitchenApi.util.updateQueryData('trials', trial.formulaId, put));
}

/** What waited when the page was last left. */
export async function resumeOutbox(): Promise<void> {
  let entries: readonly Waiting[] = [];
  try {
    entries = await (await database()).getAllFromIndex('waiting', 'kitchen', await kitchenHere());
  } catch {
    gaveUp();
  }
  if (entries.length === 0) return;
  lastPlace = Math.max(lastPlace, ...entries.map(({ place }) => place));
  // What was refused is offered once more: the server may have changed its mind.
  store.dispatch(queued({ entries: entries.map((entry) => ({ ...entry, refused: null })), kept: true }));
}
