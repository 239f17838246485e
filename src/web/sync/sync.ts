/** The sender of this page, on its store, its browser and its network. */
import { isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import { kitchenApi } from '../data/kitchenApi';
import { newId } from './device';
import { keptWork } from './keptWork';
import { lookForOthers } from './otherKitchens';
import { tellOtherTabs } from './otherTabs';
import { listsWith } from './lists';
import { nextWaiting, resumeOutbox } from './outbox';
import { queued, refused } from './outboxSlice';
import { portOf } from './ports';
import { Sync } from './sender';
import { readKey, type WorkKey } from './shared';
import { listening, store } from './store';
import { clashSettled, edited, heardOf, proposed, redone, undone } from './workSlice';

export const sync = new Sync({
  getState: () => store.getState().work,
  dispatch: (action) => store.dispatch(action),
  kept: keptWork,
  ports: portOf,
  lane: nextWaiting,
  clock: {
    after: (ms, work) => {
      const timer = setTimeout(work, ms);
      return () => {
        clearTimeout(timer);
      };
    },
  },
  newKey: newId,
  onTaken: (key) => {
    store.dispatch(kitchenApi.util.invalidateTags([...listsWith(key)]));
    tellOtherTabs({ key });
  },
  onSignedOut: () => {
    store.dispatch(kitchenApi.util.invalidateTags(['Session']));
  },
});

const isTyped = isAnyOf(edited, proposed, undone, redone, clashSettled);
listening.startListening({
  matcher: isTyped,
  effect: async (action: UnknownAction) => {
    if (!isTyped(action)) return;
    const about: WorkKey | { readonly key: WorkKey } = action.payload;
    await sync.touched(typeof about === 'string' ? about : about.key);
  },
});
listening.startListening({
  matcher: isAnyOf(queued, refused),
  effect: (action: UnknownAction) => {
    // A refusal holds nothing up; one that is taken back is tried again.
    if (!refused.match(action) || action.payload.why === null) sync.wake();
  },
});

window.addEventListener('online', () => {
  sync.wake();
});

/**
 * Opens what is shared, or brings it up to what the kitchen holds now.
 * @throws the answer, where neither the kitchen nor this browser has it
 */
export async function openShared(key: WorkKey): Promise<void> {
  const { kind, id } = readKey(key);
  const isOpen = (): boolean => store.getState().work.byKey[key] !== undefined;
  try {
    const held = await portOf(kind).fetch(id);
    if (isOpen()) store.dispatch(heardOf({ key, held }));
    else await sync.open(key, held);
  } catch (error) {
    // Without the kitchen: what this browser kept of it when it was last seen.
    await sync.open(key, null);
    if (!isOpen()) throw error;
  }
}

/** Everything open, brought up to date: news may have been missed. */
export function refreshOpen(which: (key: WorkKey) => boolean = () => true): void {
  for (const key of Object.keys(store.getState().work.byKey) as WorkKey[])
    if (which(key)) openShared(key).catch(() => undefined);
}

/** Whatever was left unsent when this browser was last used. */
export async function resumeAll(): Promise<void> {
  await lookForOthers();
  await resumeOutbox();
  await sync.resume();
}
