import { useEffect, useRef } from 'react';
import type { InstrumentInfo, ScaleClaim } from '#contract';
import { takeable, type Reading } from '#core/trial';
import {
  useClaimScaleMutation,
  useCooksQuery,
  useReleaseScaleMutation,
  useTareScaleMutation,
} from './kitchenApi';
import { cookHere } from '../sync/cook';
import type { CounterView } from './instruments';

export type ScaleStatus =
  /** None stands here. */
  | 'none'
  /** Its readings do not come: the server is away. */
  | 'silent'
  | 'unplugged'
  | 'overload'
  /** Another making has it. */
  | 'elsewhere'
  /** Another screen of this making takes its readings. */
  | 'other-screen'
  | 'ready';

export interface Scale {
  readonly status: ScaleStatus;
  readonly info: InstrumentInfo | null;
  readonly simulated: boolean;
  /** As it shows, g; null where it shows no number. */
  readonly netG: number | null;
  /** What may enter a record: a fresh number, and the display at rest. */
  readonly takeableG: number | null;
  readonly holder: ScaleClaim | null;
  readonly reading: Reading;
  readonly tare: () => Promise<boolean>;
  readonly takeOver: () => void;
}

/** This making's hold on the one scale. */
export function useScaleClaim(counter: CounterView, trialId: string, formulaName: string, wants: boolean): Scale {
  const info = counter.infoOf('scale');
  const { frame, screenId } = counter;
  const cooks = useCooksQuery().data ?? [];
  const cook = cooks.find(({ id }) => id === cookHere())?.name;
  const [claim] = useClaimScaleMutation();
  const [release] = useReleaseScaleMutation();
  const [tare] = useTareScaleMutation();
  const holder = frame?.claim ?? null;
  const mine = holder?.trialId === trialId && holder.screenId === screenId;
  const label = [formulaName, cook].filter(Boolean).join(', ');
  const free = frame !== null && info !== null && screenId !== null && holder === null;
  useEffect(() => {
    if (wants && free) void claim({ trialId, screenId: screenId!, label, takeOver: false });
  }, [wants, free, claim, trialId, screenId, label]);
  useEffect(() => {
    if (!wants && mine) void release(trialId);
  }, [wants, mine, release, trialId]);
  useEffect(() => {
    if (!mine) return undefined;
    const leave = (): void => void release(trialId);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
    };
  }, [mine, release, trialId]);
  // Whoever walks away from the making leaves the scale free.
  const left = useRef<() => void>(() => undefined);
  useEffect(() => {
    left.current = () => {
      if (mine) void release(trialId);
    };
  });
  useEffect(
    () => () => {
      left.current();
    },
    [],
  );
  const shows = frame?.readings.scale;
  const netG = shows?.status === 'ok' ? shows.value : null;
  const status = ((): ScaleStatus => {
    if (!info) return 'none';
    if (!frame || !shows) return 'silent';
    if (holder && holder.trialId !== trialId) return 'elsewhere';
    if (shows.status !== 'ok') return shows.status;
    return mine || holder === null ? 'ready' : 'other-screen';
  })();
  const newest = counter.readings.at(-1) ?? null;
  return {
    status,
    info,
    simulated: info?.source === 'simulated',
    netG,
    takeableG:
      status === 'ready' && shows?.status === 'ok' && shows.stable
        ? takeable(newest, newest?.atMs ?? 0)
        : null,
    holder,
    reading: info ? { source: info.source, deviceId: info.id } : { source: 'typed', deviceId: '' },
    tare: () =>
      tare(trialId)
        .unwrap()
        .then(
          () => true,
          () => false,
        ),
    takeOver: () => {
      if (screenId) void claim({ trialId, screenId, label, takeOver: true });
    },
  };
}
