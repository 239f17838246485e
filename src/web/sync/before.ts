/** What a browser kept for a release that had two stores of its own: carried over once, then dropped. */
import { deleteDB, openDB } from 'idb';
import { storable } from '#contract';
import { applyWhatFits, at, put, same, type Change } from '#core/document';
import { changesOf, type Formula, type FormulaDiff, type FormulaId } from '#core/formula';
import type { TrialEvent } from '#core/trial';
import { database } from './browserStore';
import { kitchenHere } from './kitchenHere';
import { portOf } from './ports';
import { keyOf, type Held } from './shared';
import type { Waiting } from './outboxSlice';
import type { KeptWork } from './workSlice';

/** What was typed, as a change from what the kitchen had confirmed. */
export interface WorkBefore {
  readonly id: FormulaId;
  readonly tab: string;
  readonly keptAt: number;
  readonly diff: FormulaDiff;
  readonly inFlight: { readonly idempotencyKey: string; readonly diff: FormulaDiff } | null;
  readonly past: readonly FormulaDiff[];
  readonly future: readonly FormulaDiff[];
}
interface EventBefore {
  readonly id: string;
  readonly trialId: string;
  readonly formulaId: FormulaId;
  readonly event: TrialEvent;
  readonly by: Waiting['by'];
  readonly happenedAt: string;
  readonly place: number;
}

/** @param held what the kitchen holds now: the state that the work grew from is made out from it */
export function workFromBefore(work: WorkBefore, held: Held, kitchen: string): KeptWork<Formula> {
  const changes = changesOf(storable(work.diff));
  const base = groundOf(changes, held.doc as Formula);
  return {
    key: keyOf('formula', work.id),
    kitchen,
    tab: work.tab,
    keptAt: work.keptAt,
    // Of which state it was is not known: whatever the kitchen holds is newer.
    revision: -1,
    beside: held.beside,
    base,
    doc: applyWhatFits(base, changes),
    clashes: [],
    // Sent again under another key it changes nothing that has arrived already.
    inFlight: null,
    most: null,
    past: work.past.map(changesOf),
    future: work.future.map(changesOf),
  };
}

/** The state in which these changes can be made: what they expect stands there, the rest is as it is. */
const groundOf = (changes: readonly Change[], now: Formula): Formula =>
  changes.reduce(
    // What was under way may have arrived.
    (ground, { path, from, to }) => (same(at(ground, path), to) ? ground : put(ground, path, from)),
    now,
  );

async function allOf<T>(name: string, storeName: string): Promise<readonly T[]> {
  const names = (await indexedDB.databases?.()) ?? [];
  if (!names.some((one) => one.name === name)) return [];
  const db = await openDB(name);
  try {
    return db.objectStoreNames.contains(storeName) ? ((await db.getAll(storeName)) as T[]) : [];
  } finally {
    db.close();
  }
}

export async function carryOver(): Promise<void> {
  try {
    const works = await allOf<WorkBefore>('ygrana-work', 'kept');
    const events = await allOf<EventBefore>('ygrana-outbox', 'waiting');
    if (works.length + events.length === 0) return;
    const [db, kitchen] = [await database(), await kitchenHere()];
    for (const { id, trialId, formulaId, event, by, happenedAt, place } of events) {
      const entry: Waiting = {
        kind: 'event',
        id,
        trialId,
        formulaId,
        event,
        by,
        happenedAt,
        place,
        kitchen,
        refused: null,
      };
      await db.put('waiting', entry);
    }
    await deleteDB('ygrana-outbox');
    for (const work of works) {
      const held = await portOf('formula').fetch(work.id);
      await db.put('work', workFromBefore(work, held, kitchen));
    }
    await deleteDB('ygrana-work');
  } catch {
    // It is still there, and tried again at the next start.
  }
}
