/** Signing out: what this device holds of the kitchen is cleared; what was never sent is asked about first. */
import { database, gaveUp } from './browserStore';
import { kitchenHere } from './kitchenHere';
import { closeKept } from './keptWork';
import { forgetAnswers } from './offline';
import { store } from './store';
import { waitingPictureCount } from './waitingPictures';
import { forgotten, isUnsent } from './workSlice';

/** Things that would be lost. */
export async function unsentHere(): Promise<number> {
  const { work, outbox } = store.getState();
  const open = Object.values(work.byKey).filter((one) => isUnsent(one) || one.clashes.length > 0);
  return open.length + outbox.waiting.length + (await waitingPictureCount());
}

/** The page is left after it: what it would still keep is nobody's. */
export async function clearDevice(): Promise<void> {
  await closeKept();
  await forgetAnswers();
  store.dispatch(forgotten());
  try {
    const kitchen = await kitchenHere();
    const db = await database();
    for (const key of await db.getAllKeysFromIndex('work', 'kitchen', kitchen)) await db.delete('work', key);
    for (const name of ['waiting', 'pictures'] as const) {
      const keys = await db.getAllKeysFromIndex(name, 'kitchen', kitchen);
      for (const key of keys) await db.delete(name, key);
    }
  } catch {
    gaveUp();
  }
}
