/** A batch as its screen needs it: what the kitchen has, with what waits in this browser after it. */
import { useMemo } from 'react';
import type { BatchEventRecord, BatchRecord } from '#contract';
import type { Waiting } from '../sync/outboxSlice';
import { useAppSelector } from '../sync/store';
import { useBatchQuery } from './kitchenApi';

export function batchWithWaiting(batch: BatchRecord, all: readonly Waiting[]): BatchRecord {
  const known = new Set(batch.events.map(({ id }) => id));
  const own = all.flatMap((one): BatchEventRecord[] =>
    one.kind === 'batch-event' && one.batchId === batch.id && !known.has(one.id)
      ? [{ id: one.id, event: one.event, by: one.by, at: one.happenedAt }]
      : [],
  );
  return own.length === 0 ? batch : { ...batch, events: [...batch.events, ...own] };
}

export function useBatch(id: string): Omit<ReturnType<typeof useBatchQuery>, 'data'> & {
  readonly data: BatchRecord | undefined;
} {
  const query = useBatchQuery(id);
  const waiting = useAppSelector((state) => state.outbox.waiting);
  const data = useMemo(
    () => query.data && batchWithWaiting(query.data, waiting),
    [query.data, waiting],
  );
  return { ...query, data };
}
