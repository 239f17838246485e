/** The scale, read by this jar; what it shows becomes things in the jar. */
import { useRef } from 'react';
import { rested, withWatched, withWhileAway } from '#kitchen/pour';
import { pourWords } from '#words/screens/pour';
import { useCounter, type CounterView } from '../../data/instruments';
import { useScaleClaim, type Scale } from '../../data/scale';
import type { FreePourHere } from './useFreePour';
import { usePourWatch } from './usePourWatch';

export type ScaleAtPour = Scale & { readonly counter: CounterView };

export function useScaleAtPour({ pour, change }: Pick<FreePourHere, 'pour' | 'change'>): ScaleAtPour {
  const counter = useCounter(pour.jarId);
  const scale = useScaleClaim(counter, pour.jarId, pourWords.pourFirst, true);
  const stepG = scale.info?.readability ?? 0.1;
  const { reading } = scale;
  const lookedAt = useRef('');
  usePourWatch({
    counter,
    on: scale.status === 'ready',
    stepG,
    onSeen: (course, { pours, restsAtG, settled }) => {
      const isFirst = course.afterGap && lookedAt.current !== course.id && pours.length === 0;
      const rest = settled ? restsAtG : null;
      if (isFirst && rest !== null) lookedAt.current = course.id;
      change((now) => {
        const seen = withWatched(now, course, pours, reading);
        if (rest === null) return seen;
        const away = {
          id: `away-${course.id}`,
          fromMs: course.startedAtMs,
          atMs: course.startedAtMs,
          reading,
        };
        return isFirst ? withWhileAway(seen, rest, stepG, away) : rested(seen, rest, stepG);
      });
    },
  });
  return { ...scale, counter };
}
