/** Jars of a formula as pages need them: what lies in one now, and where it stood when it was last tasted. */
import { partsWords } from '#words/screens/parts';
import type { TrialRecord } from '#contract';
import type { Catalogue } from '#core/ingredient';
import type { Palate } from '#core/palate';
import { judgePortions, type JudgedPortion } from '#core/reckoning';
import { isKind, standingEvents, trialPortions } from '#core/trial';
import { formatMoment } from '#words/numbers';

export const portionsNow = ({ lines, events }: TrialRecord, catalogue: Catalogue): readonly JudgedPortion[] =>
  trialPortions(lines, events, catalogue);

export interface LastTasted {
  readonly palate: Palate;
  /** "v4, tasted 25 Nov 2026, 11:14". */
  readonly name: string;
}

/** Where the mouth last met it: the jar as it stood at the latest tasting of any jar. */
export function lastTasted(trials: readonly TrialRecord[], catalogue: Catalogue): LastTasted | null {
  const latest = trials
    .flatMap((trial) => {
      const tasted = standingEvents(trial.events).filter(isKind('tasted')).at(-1);
      return tasted ? [{ trial, tasted }] : [];
    })
    .sort((a, b) => b.tasted.at.localeCompare(a.tasted.at))[0];
  if (!latest) return null;
  const { trial, tasted } = latest;
  const before = trial.events.slice(
    0,
    trial.events.findIndex(({ id }) => id === tasted.id),
  );
  const portions = trialPortions(trial.lines, before, catalogue);
  if (portions.length === 0) return null;
  return {
    palate: judgePortions(portions).palate,
    name: partsWords.vVersionTastedAt(trial.version, formatMoment(tasted.at)),
  };
}
