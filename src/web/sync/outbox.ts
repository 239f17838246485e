/**
 * Events of a making on their way to the server. Each is kept in this browser (IndexedDB) before the
 * screen shows it, sent in order, and only then let go. Its id makes a second sending no second event; a
 * lock keeps two tabs from sending at once.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { isUnreachable, kitchenApi, sayError } from '../data/kitchenApi';
import { byNow, newId } from './device';
import { foundAway, left, queued, refused, type Waiting } from './outboxSlice';
import { store } from './store';
import type { TrialEvent } from '#core/trial';
import { storable, type TrialRecord } from '#contract';
import type { FormulaId } from '#core/formula';

interface OutboxSchema extends DBSchema {
  waiting: { key: string; value: Waiting };
}

let opening: Promise<IDBPDatabase<OutboxSchema>> | null = null;
const database = (): Promise<IDBPDatabase<OutboxSchema>> =>
  (opening ??= openDB<OutboxSchema>('ygrana-outbox', 1, {
    upgrade(db) {
      db.createObjectStore('waiting', { keyPath: 'id' });
    },
  }));

async function keep(entry: Waiting): Promise<boolean> {
  try {
    await (await database()).put('waiting', entry);
    return true;
  } catch {
    opening = null;
    return false;
  }
}
async function letGo(id: string): Promise<void> {
  try {
    await (await database()).delete('waiting', id);
  } catch {
    // It is sent once more at the next start: no second event.
    opening = null;
  }
}
async function kept(): Promise<readonly Waiting[]> {
  try {
    return await (await database()).getAll('waiting');
  } catch {
    opening = null;
    return [];
  }
}

let lastPlace = 0;

/** Records events of one jar, in this order. Resolves with their ids once this browser has them. */
export async function record(
  jar: { readonly trialId: string; readonly formulaId: FormulaId },
  events: readonly TrialEvent[],
): Promise<readonly string[]> {
  const now = new Date();
  const entries = events.map((event): Waiting => {
    lastPlace = Math.max(lastPlace + 1, now.getTime() * 100);
    return {
      id: newId(),
      ...jar,
      event,
      by: byNow(),
      happenedAt: now.toISOString(),
      place: lastPlace,
      refused: null,
    };
  });
  let allKept = true;
  for (const entry of entries) allKept = (await keep(entry)) && allKept;
  store.dispatch(queued({ entries, kept: allKept }));
  void send();
  return entries.map(({ id }) => id);
}

/** A refused event, thrown away at the cook's word. */
export async function setAside(id: string): Promise<void> {
  await letGo(id);
  store.dispatch(left(id));
}

const PAUSES_MS = [500, 1000, 2000, 4000, 8000];
let sending = false;
let tries = 0;
let timer: ReturnType<typeof setTimeout> | null = null;

const underLock = (work: () => Promise<void>): Promise<void> =>
  typeof navigator.locks === 'object' ? navigator.locks.request('ygrana-outbox', work) : work();

async function send(): Promise<void> {
  if (sending) return;
  sending = true;
  if (timer) clearTimeout(timer);
  timer = null;
  try {
    await underLock(sendAll);
  } finally {
    sending = false;
  }
}

/** A healthy server that breaks over one entry, time after time, must not be asked for ever. */
const broke = new Map<string, number>();
const MOST_BREAKS = 6;
function keepsFailing(id: string, error: unknown): boolean {
  if ((error as { status?: unknown }).status !== 500) return false;
  const times = (broke.get(id) ?? 0) + 1;
  broke.set(id, times);
  return times >= MOST_BREAKS;
}

async function sendAll(): Promise<void> {
  for (;;) {
    const entry = store.getState().outbox.waiting.find((one) => one.refused === null);
    if (!entry) return;
    const { place: _place, refused: _refused, ...body } = storable(entry);
    const sent = store.dispatch(kitchenApi.endpoints.recordEvent.initiate(body, { track: false }));
    try {
      const trial = await sent.unwrap();
      tries = 0;
      showRecorded(trial);
      await letGo(entry.id);
      store.dispatch(left(entry.id));
    } catch (error) {
      if (isUnreachable(error) || (isPassing(error) && !keepsFailing(entry.id, error))) {
        store.dispatch(foundAway());
        timer = setTimeout(() => void send(), PAUSES_MS[Math.min(tries++, PAUSES_MS.length - 1)]);
        return;
      }
      store.dispatch(refused({ id: entry.id, why: sayError(error) }));
    }
  }
}

/** The server stumbled, or wants the passcode first: later it may take it. */
const isPassing = (error: unknown): boolean => {
  const status = (error as { status?: unknown } | undefined)?.status;
  return typeof status !== 'number' || status >= 500 || status === 401 || status === 429;
};

function showRecorded(trial: TrialRecord): void {
  const swap = (list: TrialRecord[]): TrialRecord[] =>
    list.map((known) =>
      known.id === trial.id && known.events.length <= trial.events.length ? trial : known,
    );
  store.dispatch(kitchenApi.util.updateQueryData('trials', trial.formulaId, swap));
  store.dispatch(
    kitchenApi.util.updateQueryData('latestTrials', undefined, (list) =>
      list.some(({ id }) => id === trial.id) ? swap(list) : [trial, ...list],
    ),
  );
}

/** What waited when the page was last left. */
export async function resumeOutbox(): Promise<void> {
  const entries = await kept();
  if (entries.length > 0) {
    lastPlace = Math.max(lastPlace, ...entries.map(({ place }) => place));
    // What was refused is offered once more: the server may have changed its mind.
    store.dispatch(queued({ entries: entries.map((entry) => ({ ...entry, refused: null })), kept: true }));
  }
  void send();
}

window.addEventListener('online', () => void send());
