import { standingEvents, type LoggedEvent } from './event';
import { complaintsOf, type Said } from './tasting';

/** What the last tasting complained of, as long as nothing went in since: it is still to be mended. */
export function standingComplaints(log: readonly LoggedEvent[]): readonly Said[] {
  const stands = standingEvents(log);
  const at = stands.findLastIndex(({ event }) => event.kind === 'tasted');
  const tasted = stands[at]?.event;
  if (tasted?.kind !== 'tasted') return [];
  const since = stands.slice(at + 1).some(({ event }) => event.kind === 'added' || event.kind === 'took');
  return since ? [] : complaintsOf(tasted);
}
