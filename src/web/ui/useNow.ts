import { useEffect, useState } from 'react';

const EVERY_MS = 30_000;

/** The clock of the page, by the half minute. */
export function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(new Date());
    }, EVERY_MS);
    return () => {
      clearInterval(timer);
    };
  }, []);
  return now;
}
