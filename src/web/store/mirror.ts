/**
 * The browser's own copy of unsaved work (IndexedDB): written before a change is sent, read when a
 * formula is opened, so that a killed tab, a reload or a dead server loses nothing.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FormulaDiff, FormulaId } from '#core/formula';
import type { InFlight } from './workingSlice';

export interface MirroredWork {
  readonly id: FormulaId;
  readonly baseRevision: number;
  /** From the last state the server acknowledged to what stands on the screen. */
  readonly diff: FormulaDiff;
  readonly inFlight: InFlight | null;
  readonly past: readonly FormulaDiff[];
  readonly future: readonly FormulaDiff[];
}

interface MirrorSchema extends DBSchema {
  work: { key: string; value: MirroredWork };
}

let opening: Promise<IDBPDatabase<MirrorSchema>> | null = null;

function database(): Promise<IDBPDatabase<MirrorSchema>> {
  opening ??= openDB<MirrorSchema>('ygrana', 1, {
    upgrade(db) {
      db.createObjectStore('work', { keyPath: 'id' });
    },
  });
  return opening;
}

/** False where the browser keeps nothing (private window, full disk): the caller says so. */
export async function writeMirror(work: MirroredWork): Promise<boolean> {
  try {
    await (await database()).put('work', work);
    return true;
  } catch {
    opening = null;
    return false;
  }
}

export async function readMirror(id: FormulaId): Promise<MirroredWork | null> {
  try {
    return (await (await database()).get('work', id)) ?? null;
  } catch {
    opening = null;
    return null;
  }
}
