/** The pictures of a jar that wait to be judged, oldest first; a reload does not lose them. */
import { useEffect, useState } from 'react';
import type { Marks } from '#core/glass';
import { newId } from '../../sync/device';
import type { WaitingPicture } from '../../sync/browserStore';
import { keepWaitingPictures, letGoOfPicture, waitingPicturesOf } from '../../sync/waitingPictures';
import type { Taken } from '../../parts/picture/decode';

export type Waiting = Omit<WaitingPicture, 'kitchen'>;

export function useWaiting(jarId: string) {
  const [waiting, setWaiting] = useState<readonly Waiting[]>([]);
  const [done, setDone] = useState(0);
  useEffect(() => {
    let gone = false;
    void waitingPicturesOf(jarId).then((found) => {
      if (!gone) setWaiting((now) => inOrder([...found, ...now]));
    });
    return () => {
      gone = true;
    };
  }, [jarId]);
  return {
    waiting,
    done,
    add: (taken: readonly Taken[], marks: Marks | null) => {
      const added = taken.map(({ jpeg, takenAt }): Waiting => ({ id: newId(), jarId, jpeg, takenAt, marks }));
      // This browser has them before they are seen.
      void keepWaitingPictures(added).then(() => {
        // The one that is being looked at stays.
        setWaiting((now) => [...now.slice(0, 1), ...inOrder([...now.slice(1), ...added])]);
      });
    },
    letGo: (id: string) => {
      setWaiting((now) => now.filter((one) => one.id !== id));
      setDone((now) => now + 1);
      void letGoOfPicture(id);
    },
  };
}

const inOrder = (all: readonly Waiting[]): readonly Waiting[] =>
  [...new Map(all.map((one) => [one.id, one])).values()].sort((a, b) => a.takenAt.localeCompare(b.takenAt));
