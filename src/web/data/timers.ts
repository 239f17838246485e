/** Running timers: what the kitchen has, with what was begun or ended here while it was away. */
import { useMemo } from 'react';
import type { TimerRecord } from '#contract';
import type { Command, Waiting } from '../sync/outboxSlice';
import { useAppSelector } from '../sync/store';
import { newId } from '../sync/device';
import { useTimersQuery } from './kitchenApi';

const POLL_MS = 60_000;

interface Running {
  readonly timers: readonly TimerRecord[];
  /** The kitchen's clock less this device's: a tablet whose own is wrong counts rightly. */
  readonly offsetMs: number;
}

/** @param offsetMs as above */
export function withWaitingTimers(
  known: readonly TimerRecord[],
  all: readonly Waiting[],
  offsetMs: number,
): readonly TimerRecord[] {
  const ended = new Set(all.flatMap((one) => (one.kind === 'end-timer' ? [one.timerId] : [])));
  const ids = new Set(known.map(({ id }) => id));
  const begun = all.flatMap((one): TimerRecord[] => {
    if (one.kind !== 'start-timer' || ids.has(one.timer.id)) return [];
    const startedAt = new Date(Date.parse(one.happenedAt) + offsetMs).toISOString();
    return [{ ...one.timer, startedAt }];
  });
  return [...known, ...begun].filter(({ id }) => !ended.has(id));
}

export function useTimers(): Running {
  const { data } = useTimersQuery(undefined, { pollingInterval: POLL_MS, refetchOnFocus: true });
  const waiting = useAppSelector((state) => state.outbox.waiting);
  return useMemo(() => {
    const offsetMs = data?.offsetMs ?? 0;
    return { timers: withWaitingTimers(data?.timers ?? [], waiting, offsetMs), offsetMs };
  }, [data, waiting]);
}

const put = async (command: Command): Promise<readonly string[]> =>
  (await import('../sync/outbox')).put(command);

export const startTimer = (timer: Omit<TimerRecord, 'id' | 'startedAt'>): Promise<readonly string[]> =>
  put({ kind: 'start-timer', timer: { id: newId(), ...timer } });
export const endTimer = (timerId: string): Promise<readonly string[]> => put({ kind: 'end-timer', timerId });
