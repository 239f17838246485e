/** The instruments at the counter, live. */
import { useEffect, useMemo, useRef, useState } from 'react';
import type { DevicesFrame, Instrument, InstrumentInfo } from '#contract';
import type { ScaleReading } from '#core/trial';
import { useDevicesQuery } from './kitchenApi';
import { tabName } from '../sync/device';

export interface CounterView {
  readonly infoOf: (instrument: Instrument) => InstrumentInfo | null;
  /** Null before the first frame, and once frames stop coming. */
  readonly frame: DevicesFrame | null;
  /** The scale's last few seconds, oldest first. */
  readonly readings: readonly ScaleReading[];
  /** This tab; null until it is known. */
  readonly screenId: string | null;
  readonly simulated: boolean;
}

const KEPT_READINGS = 60;
/** Silence after which the stream is taken to be broken. */
const SILENT_MS = 2500;
const NOTHING: readonly ScaleReading[] = [];

/** @param trialId the making that looks, so that it keeps the scale; null: nobody's */
export function useCounter(trialId: string | null): CounterView {
  const [screenId, setScreenId] = useState<string | null>(null);
  useEffect(() => {
    void tabName.then(setScreenId);
  }, []);
  const { data } = useDevicesQuery();
  const [frame, setFrame] = useState<DevicesFrame | null>(null);
  const ring = useRef<readonly ScaleReading[]>(NOTHING);
  const any = (data?.instruments.length ?? 0) > 0;
  useEffect(() => {
    if (!any || screenId === null) return undefined;
    let silence: ReturnType<typeof setTimeout> | undefined;
    const source = new EventSource(
      `/api/devices/stream${trialId ? `?trial=${trialId}&screen=${screenId}` : ''}`,
    );
    const onFrame = ({ data: text }: MessageEvent<string>): void => {
      const next = JSON.parse(text) as DevicesFrame;
      const reading = scaleReading(next);
      ring.current = reading ? [...ring.current.slice(-KEPT_READINGS), reading] : NOTHING;
      setFrame(next);
      clearTimeout(silence);
      silence = setTimeout(() => {
        ring.current = NOTHING;
        setFrame(null);
      }, SILENT_MS);
    };
    source.addEventListener('frame', onFrame);
    return () => {
      clearTimeout(silence);
      source.close();
      ring.current = NOTHING;
      setFrame(null);
    };
  }, [any, trialId, screenId]);
  const infos = data?.instruments;
  return useMemo(
    () => ({
      infoOf: (instrument) => infos?.find((info) => info.instrument === instrument) ?? null,
      frame,
      readings: frame ? ring.current : NOTHING,
      screenId,
      simulated: infos?.some(({ source }) => source === 'simulated') ?? false,
    }),
    [infos, frame, screenId],
  );
}

function scaleReading({ readings, atMs }: DevicesFrame): ScaleReading | null {
  const { scale } = readings;
  if (!scale) return null;
  return scale.status === 'ok' ? { status: 'ok', atMs, netG: scale.value } : { status: scale.status, atMs };
}
