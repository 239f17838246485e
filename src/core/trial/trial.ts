/**
 * One jar (trial): what went in, and everything that happened to it since. What the jar is now is a
 * fold over its events. Nothing comes out of a jar but what is tasted.
 */
import { soakedAs, type Catalogue } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { isKind, standingEvents, type LoggedEvent } from './event';
import { countedTakes } from './takes';
import type { TrialLine } from './step';

/** What lies in the jar after some events, in the order it went in, g each. */
export function trialLines(lines: readonly TrialLine[], log: readonly LoggedEvent[]): readonly TrialLine[] {
  const counted = countedTakes(log);
  let now: readonly TrialLine[] = lines;
  for (const { id, event } of standingEvents(log)) {
    if (event.kind === 'added') now = [...now, ...event.lines];
    else if (event.kind === 'tasted') now = drawn(now, event.drawnG);
    else if (event.kind === 'took' && counted.has(id)) now = [...now, event.line];
  }
  return merged(now);
}

/** As {@link trialLines}. What the catalogue no longer knows is left out of sums, not of the log. */
export const trialPortions = (
  lines: readonly TrialLine[],
  log: readonly LoggedEvent[],
  catalogue: Catalogue,
): readonly JudgedPortion[] =>
  trialLines(lines, log).flatMap(({ ingredientId, form, massG }) => {
    const ingredient = catalogue.get(ingredientId);
    return ingredient && massG > 0
      ? [{ ingredient: soakedAs(ingredient, form), form, massG: exactly(massG) }]
      : [];
  });

/** A spoonful of a well-shaken jar takes the same share of everything. */
function drawn(lines: readonly TrialLine[], drawnG: number): readonly TrialLine[] {
  const total = lines.reduce((sum, { massG }) => sum + massG, 0);
  const left = total > 0 ? Math.max(0, 1 - drawnG / total) : 0;
  return lines.map((line) => ({ ...line, massG: line.massG * left }));
}

/** The same thing in the same form is one line. */
export function merged(lines: readonly TrialLine[]): readonly TrialLine[] {
  const found = new Map<string, TrialLine>();
  for (const line of lines) {
    const key = `${line.ingredientId} ${line.form}`;
    const before = found.get(key);
    found.set(key, before ? { ...before, massG: before.massG + line.massG } : line);
  }
  return [...found.values()];
}

/** Ids of the steps that were planned after a tasting: what they weigh mends the jar. */
export function mendSteps(log: readonly LoggedEvent[]): ReadonlySet<string> {
  return new Set(
    standingEvents(log)
      .filter(isKind('planned'))
      .filter(({ event }) => event.reason === 'mend' || event.reason === 'by-hand')
      .flatMap(({ event }) => event.steps.map(({ id }) => id)),
  );
}

/** Additions after tasting, all together: what a mended jar became. */
export function addedLines(log: readonly LoggedEvent[]): readonly TrialLine[] {
  const [mends, counted] = [mendSteps(log), countedTakes(log)];
  return merged(
    standingEvents(log).flatMap(({ id, event }) => {
      if (event.kind === 'added') return event.lines;
      return event.kind === 'took' && mends.has(event.stepId) && counted.has(id) ? [event.line] : [];
    }),
  );
}

/** How the kitchen judges it: the last tasting decides; a later "not right" undoes an earlier "right". */
export type Standing = 'untasted' | 'right' | 'right-after-mending' | 'not-right';
export function standingOf(log: readonly LoggedEvent[]): Standing {
  const last = standingEvents(log).filter(isKind('tasted')).at(-1);
  if (!last) return 'untasted';
  if (!last.event.right) return 'not-right';
  return addedLines(log).length > 0 ? 'right-after-mending' : 'right';
}

/** Minutes since it was last mixed; null where it never was. @param now ISO time */
export function minutesSinceShake(log: readonly LoggedEvent[], now: string): number | null {
  const mixed = standingEvents(log)
    .filter(({ event }) => event.kind === 'shook' || (event.kind === 'did' && /^do-mix/.test(event.stepId)))
    .at(-1);
  if (!mixed) return null;
  return Math.max(0, (Date.parse(now) - Date.parse(mixed.at)) / 60_000);
}

/**
 * A measured pH belongs to the jar as it stood: a later addition voids it. A simulated one never
 * counts for cautions, keeping, labels or a sign-off.
 */
export type MeasuredPh =
  | { readonly status: 'none' }
  | { readonly status: 'void' | 'simulated' | 'counts'; readonly value: number; readonly at: string };

export function measuredPh(log: readonly LoggedEvent[]): MeasuredPh {
  const events = standingEvents(log);
  const counted = countedTakes(log);
  const place = events.findLastIndex(({ event }) => event.kind === 'measured' && event.what === 'ph');
  const found = events[place];
  if (found?.event.kind !== 'measured') return { status: 'none' };
  const { value, reading } = found.event;
  const addedSince = events
    .slice(place + 1)
    .some(({ id, event }) => event.kind === 'added' || (event.kind === 'took' && counted.has(id)));
  const status = addedSince ? 'void' : reading.source === 'simulated' ? 'simulated' : 'counts';
  return { status, value, at: found.at };
}

/** Everything that went in, without what was drawn for tasting: the jar as it was made. */
export const asMade = (lines: readonly TrialLine[], log: readonly LoggedEvent[]): readonly TrialLine[] =>
  trialLines(
    lines,
    log.filter(({ event }) => event.kind !== 'tasted'),
  );

/** A line this far from its share of the plan is another dressing, as a share of the line; estimate. */
const AS_PLANNED = 0.05;

/** Whether what was made is what the version says, whatever its size. */
export function isAsPlanned(planned: readonly TrialLine[], made: readonly TrialLine[]): boolean {
  const total = (lines: readonly TrialLine[]): number => lines.reduce((sum, { massG }) => sum + massG, 0);
  const [all, of] = [total(made), total(planned)];
  if (!(all > 0 && of > 0)) return false;
  const key = ({ ingredientId, form }: TrialLine): string => `${ingredientId} ${form}`;
  const found = new Map(merged(made).map((line) => [key(line), line.massG / all]));
  const wanted = merged(planned);
  return (
    found.size === wanted.length &&
    wanted.every((line) => {
      const share = found.get(key(line));
      return share !== undefined && Math.abs(share / (line.massG / of) - 1) <= AS_PLANNED;
    })
  );
}

/** A version is draft until it was made, proven once it was made right often enough without a mend. */
export const VERSION_STATES = ['draft', 'tried', 'proven'] as const;
export type VersionState = (typeof VERSION_STATES)[number];
export const MAKINGS_THAT_PROVE = 2;

/** @param standings of the jars of that very version; a jar that was later found not right does not count */
export function versionState(
  standings: readonly Standing[],
  needed: number = MAKINGS_THAT_PROVE,
): { readonly state: VersionState; readonly right: number; readonly made: number } {
  const right = standings.filter((standing) => standing === 'right').length;
  const made = standings.length;
  return { state: made === 0 ? 'draft' : right >= needed ? 'proven' : 'tried', right, made };
}
