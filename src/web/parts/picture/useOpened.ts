/** A picture that was taken, opened to be shown and measured. */
import { useEffect, useState } from 'react';
import type { Photo } from '#core/glass';
import { photoOf } from './decode';

interface Opened {
  readonly url: string;
  readonly photo: Photo;
}

/** Null while it is being opened, or where there is none. */
export function useOpened(jpeg: Blob | null): Opened | 'failed' | null {
  const [opened, setOpened] = useState<Opened | 'failed' | null>(null);
  useEffect(() => {
    if (!jpeg) return undefined;
    let gone = false;
    const url = URL.createObjectURL(jpeg);
    photoOf(jpeg).then(
      (photo) => {
        if (!gone) setOpened({ url, photo });
      },
      () => {
        if (!gone) setOpened('failed');
      },
    );
    return () => {
      gone = true;
      setOpened(null);
      URL.revokeObjectURL(url);
    };
  }, [jpeg]);
  return opened;
}
