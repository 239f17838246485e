/** How this device writes numbers, dates and times; the kitchen's own way where nothing was chosen. */
import { useSyncExternalStore } from 'react';
import { z } from 'zod';
import { readAs } from '#words/numbers';

const hereSchema = z.object({
  decimalSign: z.enum(['point', 'comma']).nullable().catch(null),
  /** BCP 47; null: the browser's. */
  dates: z.string().max(20).nullable().catch(null),
  hours: z
    .union([z.literal(12), z.literal(24)])
    .nullable()
    .catch(null),
});
export type Here = z.infer<typeof hereSchema>;

const KEY = 'ygrana-here';
const NOTHING_CHOSEN: Here = { decimalSign: null, dates: null, hours: null };

function kept(): Here {
  try {
    return hereSchema.catch(NOTHING_CHOSEN).parse(JSON.parse(localStorage.getItem(KEY) ?? '{}'));
  } catch {
    // A browser that keeps nothing follows the kitchen.
    return NOTHING_CHOSEN;
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
