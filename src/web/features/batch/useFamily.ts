import { useMemo } from 'react';
import type { BatchRecord } from '#contract';
import { latestOf, tastedRight } from '#core/batch';
import { useBatchesQuery } from '../../data/kitchenApi';

export interface Family {
  /** The base first; only the batch itself where it has neither base nor endings. */
  readonly members: readonly BatchRecord[];
  /** What is to be weighed next: the base, then its endings in their order; null: nothing. */
  readonly next: BatchRecord | null;
}

/** A batch with its base and all that goes on from that base: they are of one day. */
export function useFamily(batch: BatchRecord): Family {
  const { data } = useBatchesQuery({ day: batch.day });
  return useMemo(() => {
    const baseId = batch.base?.batchId ?? batch.id;
    const all = (data ?? []).map((one) => (one.id === batch.id ? batch : one));
    const members = [
      ...all.filter(({ id }) => id === baseId),
      ...all.filter(({ base }) => base?.batchId === baseId),
    ];
    const next = members.find((one) => isOpen(one) || (one.id === baseId && isUntasted(one)));
    return { members, next: next ?? null };
  }, [data, batch]);
}

/** Not all in one vessel yet. */
export const isOpen = ({ state }: BatchRecord): boolean =>
  state === 'planned' || state === 'weighing' || state === 'weighed';

/** What is kept aside of a base goes in, by taste, before it is poured on. */
export const isUntasted = ({ state, whole, events }: BatchRecord): boolean =>
  state === 'combined' && !latestOf(events, 'verdict') && tastedRight(whole?.events ?? []) === null;
