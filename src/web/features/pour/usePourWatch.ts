/** The scale's display, watched: what went in since the last course of readings began. */
import { useEffect, useRef } from 'react';
import { watchPours, type DisplayReading, type PourWatch } from '#core/pour';
import type { CounterView } from '../../data/instruments';
import { newId } from '../../sync/device';

export interface Course {
  readonly id: string;
  /** By the clock of this device, ms. */
  readonly startedAtMs: number;
  /** What the scale did before it was not seen. */
  readonly afterGap: boolean;
}

interface PourWatching {
  readonly counter: CounterView;
  /** Readings count. */
  readonly on: boolean;
  readonly stepG: number;
  readonly onSeen: (course: Course, watch: PourWatch) => void;
}

const LOOK_EVERY_MS = 400;
/** A look takes at most this share of the time. */
const MOST_SHARE = 1 / 12;
/** So long after the last change a hand that leaned on it is gone: the next readings are a new course. */
const OVER_S = 3.5;
/** What the new course begins with. */
const KEPT_S = 1.5;
/** Longer away, only the ends of the rest are kept. */
const AWAY_S = 6;

interface Running extends Course {
  readonly readings: DisplayReading[];
  /** By the clock of the readings, ms. */
  readonly zeroMs: number;
}

export function usePourWatch({ counter, on, stepG, onSeen }: PourWatching): void {
  const course = useRef<Running | null>(null);
  const nextLook = useRef(0);
  const seen = useRef(onSeen);
  useEffect(() => {
    seen.current = onSeen;
  });
  const newest = counter.readings.at(-1);
  useEffect(() => {
    if (!on) {
      // What the scale does while it is not read here is not known.
      course.current = null;
      return;
    }
    if (newest?.status !== 'ok') return;
    const now = (course.current ??= {
      id: newId(),
      startedAtMs: Date.now(),
      afterGap: true,
      readings: [],
      zeroMs: newest.atMs,
    });
    const { readings, startedAtMs, zeroMs } = now;
    const atS = (newest.atMs - zeroMs) / 1000;
    if (readings.length > 0 && atS <= readings.at(-1)!.atS) return;
    readings.push({ atS, grams: newest.netG });
    if (newest.atMs < nextLook.current) return;
    const before = performance.now();
    const watch = watchPours(readings, stepG);
    const tookMs = performance.now() - before;
    nextLook.current = newest.atMs + Math.max(LOOK_EVERY_MS, tookMs / MOST_SHARE);
    seen.current(now, watch);
    const restedS = watch.restsSinceS === null ? 0 : atS - watch.restsSinceS;
    if (watch.settled && restedS >= OVER_S) {
      const kept = readings.filter((one) => one.atS >= atS - KEPT_S);
      const from = kept[0]?.atS ?? atS;
      course.current = {
        id: newId(),
        startedAtMs: startedAtMs + from * 1000,
        afterGap: false,
        readings: kept.map(({ atS: at, grams }) => ({ atS: at - from, grams })),
        zeroMs: zeroMs + from * 1000,
      };
    } else if (restedS >= AWAY_S) {
      // The jar is elsewhere: what lies between the ends of this rest says nothing.
      const first = readings.findIndex((one) => one.atS >= watch.restsSinceS! + KEPT_S);
      const last = readings.findIndex((one) => one.atS >= atS - KEPT_S);
      if (first >= 0 && last > first) readings.splice(first, last - first);
    }
  }, [newest, on, stepG]);
}
