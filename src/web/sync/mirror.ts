/**
 * The browser's own copy of unsaved work (IndexedDB), one record a formula and tab: written before
 * a change is sent, read when a formula is opened, so that a killed tab, a reload or a dead server
 * loses nothing, and two tabs never write over each other.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FormulaDiff, FormulaId } from '#core/formula';
import { tabName, tabsThatAreGone } from './device';

/** A change that is on its way to the server. */
export interface InFlight {
  readonly idempotencyKey: string;
  readonly baseRevision: number;
  readonly diff: FormulaDiff;
}

export interface MirroredWork {
  readonly id: FormulaId;
  readonly tab: string;
  readonly keptAt: number;
  readonly baseRevision: number;
  /** From the last state the server acknowledged to what stands on the screen. */
  readonly diff: FormulaDiff;
  readonly inFlight: InFlight | null;
  readonly past: readonly FormulaDiff[];
  readonly future: readonly FormulaDiff[];
}

export interface FoundWork {
  /** This tab's own, from before a reload. */
  readonly mine: MirroredWork | null;
  /** Of tabs that are gone: taken over. */
  readonly orphans: readonly MirroredWork[];
}

interface MirrorSchema extends DBSchema {
  kept: { key: [string, string]; value: MirroredWork; indexes: { formula: string } };
}

let opening: Promise<IDBPDatabase<MirrorSchema>> | null = null;

function database(): Promise<IDBPDatabase<MirrorSchema>> {
  opening ??= openDB<MirrorSchema>('ygrana-work', 1, {
    upgrade(db) {
      const store = db.createObjectStore('kept', { keyPath: ['id', 'tab'] });
      store.createIndex('formula', 'id');
    },
  });
  return opening;
}

/** False where the browser keeps nothing (private window, full disk): the caller says so. */
export async function writeMirror(work: Omit<MirroredWork, 'tab' | 'keptAt'>): Promise<boolean> {
  try {
    await (await database()).put('kept', { ...work, tab: await tabName, keptAt: Date.now() });
    return true;
  } catch {
    opening = null;
    return false;
  }
}

export async function readMirror(id: FormulaId): Promise<FoundWork> {
  try {
    const all = await (await database()).getAllFromIndex('kept', 'formula', id);
    const tab = await tabName;
    const others = all.filter((work) => work.tab !== tab);
    const gone = await tabsThatAreGone(others);
    const orphans = others.filter((work) => gone.has(work.tab)).sort((a, b) => a.keptAt - b.keptAt);
    return { mine: all.find((work) => work.tab === tab) ?? null, orphans };
  } catch {
    opening = null;
    return { mine: null, orphans: [] };
  }
}

/** Once their work stands in this tab's own record. */
export async function dropMirrors(orphans: readonly MirroredWork[]): Promise<void> {
  try {
    const db = await database();
    for (const { id, tab } of orphans) await db.delete('kept', [id, tab]);
  } catch {
    opening = null;
  }
}
