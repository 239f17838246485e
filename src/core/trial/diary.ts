/** A jar as a diary tells it: what was said of it, what went in to mend it, how long it held. */
import { isKind, standingEvents, type LoggedEvent, type Sight } from './event';
import type { TrialLine } from './step';
import type { Tasting } from './tasting';
import { mendSteps, merged, standingOf, type Standing } from './trial';

export interface DiaryEntry {
  readonly standing: Standing;
  /** What the mouth said last; null: nobody tasted. */
  readonly said: Tasting | null;
  /** What went in after it was made, each thing once; steps that were weighed as planned are the making's, not this. */
  readonly mended: readonly TrialLine[];
  /** The first look at which it had come apart, else the latest at which it was fine, s after mixing; null: nobody looked. */
  readonly held: { readonly saw: Sight; readonly seconds: number } | null;
}

/** @param log what happened to the jar, oldest first; what was taken back does not count */
export function diaryOf(log: readonly LoggedEvent[]): DiaryEntry {
  const events = standingEvents(log);
  const mends = mendSteps(log);
  const mended = events.flatMap(({ event }) =>
    event.kind === 'added' && event.way !== 'kept-aside'
      ? event.lines
      : event.kind === 'took' && mends.has(event.stepId)
        ? [event.line]
        : [],
  );
  const looks = events.filter(isKind('looked')).map(({ event: { saw, seconds } }) => ({ saw, seconds }));
  const apart = looks.filter(({ saw }) => saw !== 'fine').sort((a, b) => a.seconds - b.seconds)[0];
  const fine = looks.filter(({ saw }) => saw === 'fine').sort((a, b) => b.seconds - a.seconds)[0];
  return {
    standing: standingOf(log),
    said: events.filter(isKind('tasted')).at(-1)?.event ?? null,
    mended: merged(mended),
    held: apart ?? fine ?? null,
  };
}
