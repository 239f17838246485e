import { useMemo } from 'react';
import type { Formula } from '#core/formula';
import { makingHold } from '#kitchen/holds';
import { vesselOf } from '#kitchen/reading';
import { makingOf, type Jar } from './jars';
import { useKitchen } from './kitchen';
import { portionsNow } from './trials';

/** What the model is asked of a jar as it stands, as it was made: one of a list, as the worker takes them. */
export function useJarHold(formula: Formula, jar: Jar) {
  const { catalogue, vessels } = useKitchen();
  const portions = useMemo(() => portionsNow(jar, catalogue), [jar, catalogue]);
  const vessel = vesselOf({ ...formula, vesselId: jar.vesselId }, vessels);
  const { tool, seconds, roomC } = makingOf(jar);
  const asked = useMemo(
    () => [makingHold(portions, { tool, seconds, vessel, roomC })],
    [portions, tool, seconds, vessel, roomC],
  );
  return { asked, vessel, seconds };
}
