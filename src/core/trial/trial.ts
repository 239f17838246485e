/**
 * One jar (trial): what went in at first, and everything that happened to it since. Events are only ever
 * added; what the jar is now is a fold over them. Nothing comes out of a jar but what is tasted.
 */
import type { Catalogue, IngredientId } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import type { Tasting } from './tasting';

export interface TrialLine {
  readonly ingredientId: IngredientId;
  readonly form: string;
  readonly massG: number;
}

export type TrialEvent =
  | ({ readonly kind: 'tasted' } & Tasting)
  | { readonly kind: 'added'; readonly lines: readonly TrialLine[]; readonly note: string };

/** What lies in the jar after some events. What the catalogue no longer knows is left out of sums, not of the log. */
export function trialPortions(
  lines: readonly TrialLine[],
  events: readonly TrialEvent[],
  catalogue: Catalogue,
): readonly JudgedPortion[] {
  let now: readonly TrialLine[] = lines;
  for (const event of events) {
    now = event.kind === 'added' ? [...now, ...event.lines] : drawn(now, event.drawnG);
  }
  return merged(now).flatMap(({ ingredientId, form, massG }) => {
    const ingredient = catalogue.get(ingredientId);
    return ingredient && massG > 0 ? [{ ingredient, form, massG: exactly(massG) }] : [];
  });
}

/** A spoonful of a well-shaken jar takes the same share of everything. */
function drawn(lines: readonly TrialLine[], drawnG: number): readonly TrialLine[] {
  const total = lines.reduce((sum, { massG }) => sum + massG, 0);
  const left = total > 0 ? Math.max(0, 1 - drawnG / total) : 0;
  return lines.map((line) => ({ ...line, massG: line.massG * left }));
}

/** The same thing in the same form is one portion. */
function merged(lines: readonly TrialLine[]): readonly TrialLine[] {
  const found = new Map<string, TrialLine>();
  for (const line of lines) {
    const key = `${line.ingredientId} ${line.form}`;
    const before = found.get(key);
    found.set(key, before ? { ...before, massG: before.massG + line.massG } : line);
  }
  return [...found.values()];
}

/** Additions after tasting, all together: what a mended jar became. */
export const addedLines = (events: readonly TrialEvent[]): readonly TrialLine[] =>
  merged(events.flatMap((event) => (event.kind === 'added' ? event.lines : [])));

/** How the kitchen judges it: the last tasting decides; a later "not right" undoes an earlier "right". */
export type Standing = 'untasted' | 'right' | 'right-after-mending' | 'not-right';
export function standingOf(events: readonly TrialEvent[]): Standing {
  const tastings = events.filter((event) => event.kind === 'tasted');
  const last = tastings.at(-1);
  if (!last) return 'untasted';
  if (!last.right) return 'not-right';
  return events.some(({ kind }) => kind === 'added') ? 'right-after-mending' : 'right';
}
