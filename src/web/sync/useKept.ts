import { useEffect, useState } from 'react';

const keyOf = (name: string): string => `ygrana-kept-${name}`;

function kept<T>(name: string, start: T): T {
  try {
    const found = sessionStorage.getItem(keyOf(name));
    return found === null ? start : (JSON.parse(found) as T);
  } catch {
    // A browser that keeps nothing starts anew.
    return start;
  }
}

/** State of a page that survives a reload of its tab. For plain data only. */
export function useKept<T>(name: string, start: T): [T, (next: T) => void] {
  const [value, setValue] = useState(() => kept(name, start));
  useEffect(() => {
    try {
      sessionStorage.setItem(keyOf(name), JSON.stringify(value));
    } catch {
      // Then it is kept while the page is open.
    }
  }, [name, value]);
  return [value, setValue];
}
