/**
 * What was chosen on this device: how it writes numbers, dates and times (the kitchen's own way where nothing was chosen),
 * which keys it takes, and whether it is day or night here.
 */
import { useSyncExternalStore } from 'react';
import { readAs } from '#words/numbers';
import { speak, TONGUES, type Tongue } from '#words/tongue';

export interface Here {
  readonly decimalSign: 'point' | 'comma' | null;
  /** BCP 47; null: the browser's. */
  readonly dates: string | null;
  readonly hours: 12 | 24 | null;
  /** Single letters and signs do something outside fields. */
  readonly singleKeys: boolean;
  /** The key of the foot switch, as `KeyboardEvent.key`; null: none was taught. */
  readonly footKey: string | null;
  readonly light: Light;
  /** What the station speaks here. */
  readonly tongue: Tongue;
}

export const LIGHTS = ['system', 'day', 'night'] as const;
export type Light = (typeof LIGHTS)[number];

const KEY = 'ygrana-here';
const NOTHING_CHOSEN: Here = {
  decimalSign: null,
  dates: null,
  hours: null,
  singleKeys: true,
  footKey: null,
  light: 'system',
  tongue: 'en',
};

/** Read by hand: a page must not wait for a schema library to know how to write a number. */
function kept(): Here {
  try {
    const found = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Partial<Record<keyof Here, unknown>>;
    return {
      decimalSign: found.decimalSign === 'point' || found.decimalSign === 'comma' ? found.decimalSign : null,
      dates: typeof found.dates === 'string' && isLanguage(found.dates) ? found.dates : null,
      hours: found.hours === 12 || found.hours === 24 ? found.hours : null,
      singleKeys: found.singleKeys !== false,
      footKey: typeof found.footKey === 'string' && found.footKey !== '' ? found.footKey : null,
      light: LIGHTS.find((light) => light === found.light) ?? 'system',
      tongue: TONGUES.find((tongue) => tongue === found.tongue) ?? 'en',
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

/** The system's own wish; null where there is no screen. */
const dark = typeof matchMedia === 'function' ? matchMedia('(prefers-color-scheme: dark)') : null;
function dim(): void {
  if (typeof document === 'undefined') return;
  const night = chosen.light === 'night' || (chosen.light === 'system' && dark?.matches === true);
  document.documentElement.toggleAttribute('data-night', night);
}
dark?.addEventListener('change', dim);

const tell = (): void => {
  readAs({ language: chosen.dates ?? undefined, hours: chosen.hours ?? undefined });
  dim();
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

/** Before anything is drawn: the words of the language that was chosen here. What cannot be fetched is said in English. */
export async function speakHere(): Promise<void> {
  if (chosen.tongue === 'en') return;
  try {
    const { GERMAN } = await import('#words/de/index');
    speak(GERMAN);
    document.documentElement.lang = GERMAN.tongue;
  } catch {
    // Away from the server, and never fetched before.
  }
}
/** Another language from now on: all that stands on the page is said anew. */
export function chooseTongue(tongue: Tongue): void {
  choose({ tongue });
  window.location.reload();
}
