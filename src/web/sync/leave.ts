/** Signing out: what this device holds of the kitchen is cleared; what was never sent is asked about first. */
import { database, gaveUp } from './browserStore';
import { kitchenHere } from './kitchenHere';
import { closeKept } from './keptWork';
import { forgetAnswers } from './offline';
import { store } from './store';
import { forgotten, isUnsent } from './workSlice';

/** Things that would be lost. */
export function unsentHere(): number {
  const { work, outbox } = store.getState();
  const open = Object.values(work.byKey).filter((one) => isUnsent(one) || one.clashes.length > 0);
  return open.length + outbox.waiting.length;
}

/** The page is left after it: what it would still keep is nobody's. */
export async function clearDevice(): Promise<void> {
  await closeKept();
  await forgetAnswers();
  store.dispatch(forgotten());
  try {
    const kitchen = await kitchenHere();
    const db = await database();
    for (const name of ['work', 'waiting'] as const) {
      const keys =
        name === 'work'
          ? await db.getAllKeysFromIndex(name, 'kitchen', kitchen)
          : await db.getAllKeysFromIndex(name, 'kitchen', kitchen);
      for (const key of keys) await db.delete(name, key as never);
    }
  } catch {
    gaveUp();
  }
}
