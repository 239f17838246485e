/** This device and this tab: who is at it, and names for things made on it. */
import { nanoid } from '@reduxjs/toolkit';
import type { By } from '#contract';
import { cookHere } from './cook';

/** Plain HTTP on a local network has no crypto.randomUUID; random bytes it has. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

function stored(storage: () => Storage, key: string, make: () => string): string {
  try {
    const found = storage().getItem(key);
    if (found) return found;
    const made = make();
    storage().setItem(key, made);
    return made;
  } catch {
    // A browser that keeps nothing still works, as a new device each time.
    return make();
  }
}

export const deviceId = stored(() => localStorage, 'ygrana-device', newId);

export const byNow = (): By => ({ cookId: cookHere(), deviceId });

const lockName = (tab: string): string => `ygrana-tab-${tab}`;
const hasLocks = (): boolean => typeof navigator === 'object' && typeof navigator.locks === 'object';

/**
 * A name for this tab that survives a reload. A duplicated tab copies the stored name; the lock
 * tells, and it takes a new one.
 */
export const tabName: Promise<string> = claimTab();

async function claimTab(): Promise<string> {
  const wanted = stored(
    () => sessionStorage,
    'ygrana-tab',
    () => nanoid(),
  );
  if (!hasLocks() || (await holdForLife(wanted))) return wanted;
  const fresh = nanoid();
  try {
    sessionStorage.setItem('ygrana-tab', fresh);
  } catch {
    // Then a reload is a new tab; its work is found as that of a tab that is gone.
  }
  await holdForLife(fresh);
  return fresh;
}

function holdForLife(tab: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(lockName(tab), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise<void>(() => undefined) : undefined;
    });
  });
}

/** Without locks, work this old is taken to be of a tab that is gone; adopting it twice does no harm. */
const SILENT_MS = 60_000;

/** Whether the tab that kept some work is gone. */
export async function tabsThatAreGone(
  kept: readonly { readonly tab: string; readonly keptAt: number }[],
): Promise<ReadonlySet<string>> {
  if (!hasLocks()) {
    const now = Date.now();
    return new Set(kept.filter(({ keptAt }) => now - keptAt > SILENT_MS).map(({ tab }) => tab));
  }
  const { held = [] } = await navigator.locks.query();
  const alive = new Set(held.map(({ name }) => name));
  return new Set(kept.map(({ tab }) => tab).filter((tab) => !alive.has(lockName(tab))));
}
