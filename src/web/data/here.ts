/** How this device writes numbers, dates and times; the kitchen's own way where nothing was chosen. */
import { useSyncExternalStore } from 'react';
import { readAs } from '#words/numbers';

export interface Here {
  readonly decimalSign: 'point' | 'comma' | null;
  /** BCP 47; null: the browser's. */
  readonly dates: string | null;
  readonly hours: 12 | 24 | null;
}

const KEY = 'ygrana-here';
const NOTHING_CHOSEN: Here = { decimalSign: null, dates: null, hours: null };

/** Read by hand: a page must not wait for a schema library to know how to write a number. */
function kept(): Here {
  try {
    const found = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Record<keyof Here, unknown>>;
    return {
      decimalSign: found.decimalSign === 'point' || found.decimalSign === 'comma' ? found.decimalSign : null,
      dates: typeof found.dates === 'string' && isLanguage(found.dates) ? found.dates : null,
      hours: found.hours === 12 || found.hours === 24 ? found.hours : null,
    };
  } catch {
    // A browser that keeps nothing follows the kitchen.
    return NOTHING_CHOSEN;
  }
}

function isLanguage(text: string): boolean {
  try {
    return Intl.getCanonicalLocales(text).length === 1;
  } catch {
    return false;
  }
}

let chosen = kept();
const listeners = new Set<() => void>();
const tell = (): void => {
  readAs({ language: chosen.dates ?? undefined, hours: chosen.hours ?? undefined });
  for (const listener of listeners) listener();
};
tell();
// Another tab of this device chose.
if (typeof window !== 'undefined')
  window.addEventListener('storage', ({ key }) => {
    if (key !== KEY) return;
    chosen = kept();
    tell();
  });

export function choose(change: Partial<Here>): void {
  chosen = { ...chosen, ...change };
  try {
    localStorage.setItem(KEY, JSON.stringify(chosen));
  } catch {
    // Then it holds while the page is open.
  }
  tell();
}

export const useHere = (): Here =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => chosen,
  );
