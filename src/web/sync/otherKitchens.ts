/** What this browser kept for another kitchen that was at this address: said, and let go at the cook's word alone. */
import { database, gaveUp } from './browserStore';
import { kitchenHere } from './kitchenHere';
import { isWaiting } from './keptWork';

let count = 0;
const listeners = new Set<() => void>();
const become = (next: number): void => {
  count = next;
  for (const listener of listeners) listener();
};
export const otherKitchensWork = (): number => count;
export const onOtherKitchens = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

async function theirs() {
  const [db, kitchen] = [await database(), await kitchenHere()];
  const work = (await db.getAll('work')).filter((one) => one.kitchen !== kitchen);
  const waiting = (await db.getAll('waiting')).filter((one) => one.kitchen !== kitchen);
  return { db, work, waiting };
}

export async function lookForOthers(): Promise<void> {
  try {
    const { work, waiting } = await theirs();
    become(work.filter(isWaiting).length + waiting.length);
  } catch {
    gaveUp();
  }
}

export async function letOthersGo(): Promise<void> {
  try {
    const { db, work, waiting } = await theirs();
    for (const { kitchen, key, tab } of work) await db.delete('work', [kitchen, key, tab]);
    for (const { id } of waiting) await db.delete('waiting', id);
    become(0);
  } catch {
    gaveUp();
  }
}
