import { useEffect, useRef, useState } from 'react';

/** A function that stays the same from one drawing to the next and does what the latest one would: what it is handed to need not be drawn anew. */
export function useSteady<Args extends readonly unknown[]>(
  does: (...args: Args) => void,
): (...args: Args) => void {
  const latest = useRef(does);
  useEffect(() => {
    latest.current = does;
  });
  const [steady] = useState(() => (...args: Args): void => {
    latest.current(...args);
  });
  return steady;
}
