import { useEffect, useState } from 'react';

/** False in the first picture: what it can do without is fetched after it. */
export function useStands(ready = true): boolean {
  const [stands, setStands] = useState(false);
  useEffect(() => {
    if (ready) setStands(true);
  }, [ready]);
  return stands;
}
