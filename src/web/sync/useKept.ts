import { useEffect, useState } from 'react';

const keyOf = (name: string): string => `ygrana-kept-${name}`;

/** A tab forgets when it is closed; a device remembers. */
type KeptIn = 'tab' | 'device';
const storeOf = (where: KeptIn): Storage => (where === 'tab' ? sessionStorage : localStorage);

function kept<T>(name: string, start: T, where: KeptIn): T {
  try {
    const found = storeOf(where).getItem(keyOf(name));
    return found === null ? start : (JSON.parse(found) as T);
  } catch {
    // A browser that keeps nothing starts anew.
    return start;
  }
}

/** State of a page that survives a reload of its tab, or is remembered by the device. For plain data only. */
export function useKept<T>(name: string, start: T, where: KeptIn = 'tab'): [T, (next: T) => void] {
  const [value, setValue] = useState(() => kept(name, start, where));
  useEffect(() => {
    try {
      storeOf(where).setItem(keyOf(name), JSON.stringify(value));
    } catch {
      // Then it is kept while the page is open.
    }
  }, [name, value, where]);
  return [value, setValue];
}
