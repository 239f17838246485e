/** Jars of a formula as pages need them: what lies in one now, and where it stood when it was last tasted. */
import type { TrialRecord } from '#contract';
import type { Catalogue } from '#core/ingredient';
import type { Palate } from '#core/palate';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { trialPortions } from '#core/trial';
import { formatMoment } from '../format';

export const portionsNow = ({ lines, events }: TrialRecord, catalogue: Catalogue): readonly JudgedPortion[] =>
  trialPortions(
    lines,
    events.map(({ event }) => event),
    catalogue,
  );

export interface LastTasted {
  readonly palate: Palate;
  /** "v4, tasted 25 Nov 2026, 11:14". */
  readonly name: string;
}

/** Where the mouth last met it: the jar as it stood at the latest tasting of any jar. */
export function lastTasted(trials: readonly TrialRecord[], catalogue: Catalogue): LastTasted | null {
  let latest: { readonly trial: TrialRecord; readonly place: number; readonly at: string } | null = null;
  for (const trial of trials) {
    trial.events.forEach(({ event, at }, place) => {
      if (event.kind === 'tasted' && (!latest || at > latest.at)) latest = { trial, place, at };
    });
  }
  const found = latest as { trial: TrialRecord; place: number; at: string } | null;
  if (!found) return null;
  const before = found.trial.events.slice(0, found.place).map(({ event }) => event);
  const portions = trialPortions(found.trial.lines, before, catalogue);
  if (portions.length === 0) return null;
  return {
    palate: judgePortions(portions).palate,
    name: `v${found.trial.version}, tasted ${formatMoment(found.at)}`,
  };
}
