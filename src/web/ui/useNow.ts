import { useEffect, useState } from 'react';

const EVERY_MS = 30_000;

/** The clock of the page, by the half minute or as often as is asked for. */
export function useNow(everyMs = EVERY_MS): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date());
    }, everyMs);
    return () => {
      clearInterval(timer);
    };
  }, [everyMs]);
  return now;
}
