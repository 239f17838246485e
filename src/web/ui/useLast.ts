import { useEffect, useState } from 'react';

/** The value while there is one, else the last there was: what is on the screen stays until its successor comes. */
export function useLast<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  useEffect(() => {
    if (value !== undefined) setLast(value);
  }, [value]);
  return value ?? last;
}
