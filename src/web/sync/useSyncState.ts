/** How this page stands with the kitchen, over everything that is sent. */
import { useEffect, useMemo, useState } from 'react';
import type { Clash } from '#core/document';
import type { Waiting } from './outboxSlice';
import type { WorkKey } from './shared';
import { useAppSelector } from './store';
import { isUnsent } from './workSlice';

export interface SyncState {
  /** Things with something unsent, and entries that wait. */
  readonly unsent: number;
  readonly isAway: boolean;
  readonly isSignedOut: boolean;
  /** The browser keeps no copy. */
  readonly isUnkept: boolean;
  /** It has been under way for longer than a look up. */
  readonly isSlow: boolean;
  readonly clashes: readonly { readonly key: WorkKey; readonly clash: Clash }[];
  readonly refused: readonly Waiting[];
}

const SLOW_MS = 3000;

export function useSyncState(): SyncState {
  const { byKey } = useAppSelector((state) => state.work);
  const outbox = useAppSelector((state) => state.outbox);
  const now = useMemo(() => {
    const works = Object.values(byKey);
    const waiting = works.filter(isUnsent);
    return {
      unsent: waiting.length + outbox.waiting.filter(({ refused }) => refused === null).length,
      isAway: outbox.away || works.some(({ trouble }) => trouble === 'away'),
      isSignedOut: works.some(({ trouble }) => trouble === 'signed-out'),
      isUnkept: outbox.unkept || works.some(({ unkept }) => unkept),
      clashes: works.flatMap(({ key, clashes }) => clashes.map((clash) => ({ key, clash }))),
      refused: outbox.waiting.filter(({ refused }) => refused !== null),
    };
  }, [byKey, outbox]);
  const isWaiting = now.unsent > 0;
  const [isSlow, setSlow] = useState(false);
  useEffect(() => {
    if (!isWaiting) return undefined;
    const timer = setTimeout(() => {
      setSlow(true);
    }, SLOW_MS);
    return () => {
      clearTimeout(timer);
      setSlow(false);
    };
  }, [isWaiting]);
  return { ...now, isSlow: isSlow && isWaiting };
}
