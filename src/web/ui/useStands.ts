import { useEffect, useState } from 'react';

/** False in the first picture: what it can do without is fetched after it. */
export function useStands(ready = true): boolean {
  const [stands, setStands] = useState(false);
  useEffect(() => {
    if (!ready) return;
    // In a task of its own: what the first picture needs is asked for before.
    const timer = setTimeout(() => {
      setStands(true);
    });
    return () => {
      clearTimeout(timer);
    };
  }, [ready]);
  return stands;
}

/** False until so long after the first picture. */
export function useLater(afterMs: number): boolean {
  const [later, setLater] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => {
      setLater(true);
    }, afterMs);
    return () => {
      clearTimeout(timer);
    };
  }, [afterMs]);
  return later;
}
