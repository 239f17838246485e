/**
 * The browser's own copy of work (IndexedDB), one record a thing and tab: written before a change is sent, read
 * when the thing is opened, so that a killed tab, a reload or a dead server loses nothing, and two tabs never
 * write over each other. Every record says which kitchen it is of.
 */
import { database, gaveUp } from './browserStore';
import { tabName, tabsThatAreGone } from './device';
import { kitchenHere } from './kitchenHere';
import type { KeptStore } from './sender';
import { isUnsent, NOTHING_FOUND, type KeptWork } from './workSlice';

export const isWaiting = (work: KeptWork): boolean =>
  work.clashes.length > 0 || isUnsent({ ...work, trouble: null, unkept: false });

const underWay = new Set<Promise<unknown>>();
let isClosed = false;

/** This page keeps nothing more; what was being written is written. What is cleared then stays cleared. */
export function closeKept(): Promise<unknown> {
  isClosed = true;
  return Promise.allSettled([...underWay]);
}

export const keptWork: KeptStore = {
  async write(work) {
    if (isClosed) return true;
    const writing = written(work);
    underWay.add(writing);
    const done = await writing;
    underWay.delete(writing);
    return done;
  },

  async read(key) {
    try {
      const kitchen = await kitchenHere();
      const all = await (await database()).getAllFromIndex('work', 'key', [kitchen, key]);
      const tab = await tabName;
      const others = all.filter((work) => work.tab !== tab);
      const gone = await tabsThatAreGone(others);
      const mine = all.find((work) => work.tab === tab) ?? null;
      const orphans = others.filter((work) => gone.has(work.tab)).sort((a, b) => a.keptAt - b.keptAt);
      return { mine: mine ?? (orphans.length > 0 ? null : seen(others)), orphans };
    } catch {
      gaveUp();
      return NOTHING_FOUND;
    }
  },

  async drop(orphans) {
    try {
      const db = await database();
      for (const { kitchen, key, tab } of orphans) await db.delete('work', [kitchen, key, tab]);
    } catch {
      gaveUp();
    }
  },

  async waiting() {
    try {
      const kitchen = await kitchenHere();
      const all = await (await database()).getAllFromIndex('work', 'kitchen', kitchen);
      const tab = await tabName;
      const gone = await tabsThatAreGone(all.filter((work) => work.tab !== tab));
      const own = all.filter((work) => (work.tab === tab || gone.has(work.tab)) && isWaiting(work));
      return [...new Set(own.map(({ key }) => key))];
    } catch {
      gaveUp();
      return [];
    }
  },
};

/** The latest that any tab of this browser knew of it, without that tab's own unsent work: enough to go on. */
function seen(others: readonly KeptWork[]): KeptWork | null {
  const latest = others.reduce<KeptWork | null>(
    (best, one) => (best && best.revision >= one.revision ? best : one),
    null,
  );
  if (!latest) return null;
  const nothing = { clashes: [], inFlight: null, most: null, past: [], future: [] };
  return { ...latest, doc: latest.base, ...nothing };
}

/** Never throws; false: this browser keeps nothing. */
async function written(work: Parameters<KeptStore['write']>[0]): Promise<boolean> {
  try {
    const record: KeptWork = {
      ...work,
      kitchen: await kitchenHere(),
      tab: await tabName,
      keptAt: Date.now(),
    };
    await (await database()).put('work', record);
    return true;
  } catch {
    gaveUp();
    return false;
  }
}
