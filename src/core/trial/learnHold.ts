/**
 * What looking at jars taught about how long they hold. Each jar is one lesson: still fine at one time,
 * apart at another, against what was predicted for it then. Its own lessons narrow a formula's band; those of
 * others shift it by the part of the doubt they share.
 */
import {
  bandFactorFrom,
  beliefFrom,
  observed,
  observedBetween,
  SHARED,
  shifted,
  stillFine,
  type Belief,
} from '#core/emulsion';
import type { FormulaId, Tool } from '#core/formula';
import { standingEvents, type LoggedEvent, type Predicted } from './event';

export interface HoldLesson {
  readonly formulaId: FormulaId;
  readonly at: string;
  readonly predicted: Predicted;
  /** Last seen fine, s after mixing; null: never looked while fine. */
  readonly fineS: number | null;
  /** First seen apart, s after mixing; null: not yet. */
  readonly goneS: number | null;
  /** By heights that were measured: when its first layer showed, s after mixing; null or left out: only looked at. */
  readonly measuredS?: number | null | undefined;
}

/** The lesson of one jar; null where nobody looked, or nothing was predicted. */
export function lessonOf(formulaId: FormulaId, log: readonly LoggedEvent[]): HoldLesson | null {
  let [fineS, goneS]: [number | null, number | null] = [null, null];
  let predicted: Predicted | null = null;
  let at = '';
  const measured: number[] = [];
  for (const { event, at: when } of standingEvents(log)) {
    if (event.kind !== 'looked' || event.seconds <= 0) continue;
    at = when;
    predicted ??= event.predicted;
    if (event.firstLayerS !== undefined) measured.push(event.firstLayerS);
    if (event.saw === 'fine') fineS = Math.max(fineS ?? 0, event.seconds);
    else goneS = Math.min(goneS ?? Infinity, event.seconds);
  }
  if (!predicted) return null;
  // Seen fine after it was seen apart: it was shaken again meanwhile; what came apart first counts.
  if (fineS !== null && goneS !== null && fineS >= goneS) fineS = null;
  // Several heights of one jar are one lesson: their geometric mean.
  const measuredS =
    measured.length === 0
      ? null
      : Math.exp(measured.reduce((sum, s) => sum + Math.log(s), 0) / measured.length);
  return { formulaId, at, predicted, fineS, goneS, ...(measuredS === null ? {} : { measuredS }) };
}

export interface LearntHold {
  readonly medianS: number;
  readonly lowS: number;
  readonly highS: number;
  readonly bandFactor: number;
  /** Lessons of this formula, and of others. */
  readonly own: number;
  readonly others: number;
}

/** When it came apart, as near as the looks say, s; null where it was only ever seen fine. */
const seenS = ({ fineS, goneS, measuredS }: HoldLesson): number | null =>
  measuredS != null ? measuredS : goneS === null ? null : fineS === null ? goneS : Math.sqrt(fineS * goneS);

/** @param model what the model alone says: median > 0, s, and its band factor > 1 */
export function learnHold(
  model: { readonly medianS: number; readonly bandFactor: number },
  about: { readonly formulaId: FormulaId; readonly tool: Tool; readonly binder: string },
  lessons: readonly HoldLesson[],
): LearntHold {
  let belief: Belief = beliefFrom(model.medianS, model.bandFactor);
  const others = lessons.filter((lesson) => lesson.formulaId !== about.formulaId && seenS(lesson) !== null);
  for (const lesson of others) {
    const { tool, binder, medianS } = lesson.predicted;
    const alike = tool === about.tool && binder === about.binder;
    const residual = Math.log(seenS(lesson)! / medianS);
    belief = shifted(belief, residual, alike ? SHARED.sameToolAndBinder : SHARED.otherwise);
  }
  const own = lessons.filter((lesson) => lesson.formulaId === about.formulaId);
  for (const { fineS, goneS, measuredS } of own) {
    if (measuredS != null) belief = observed(belief, measuredS);
    else if (fineS !== null && goneS !== null) belief = observedBetween(belief, fineS, goneS);
    else if (goneS !== null) belief = observed(belief, goneS);
    else if (fineS !== null) belief = stillFine(belief, fineS);
  }
  const bandFactor = bandFactorFrom(belief);
  return {
    medianS: belief.medianS,
    lowS: belief.medianS / bandFactor,
    highS: belief.medianS * bandFactor,
    bandFactor,
    own: own.length,
    others: others.length,
  };
}

export interface LooksInside {
  /** Looks that can tell: it had come apart, or was fine beyond the early end of the band. */
  readonly looks: number;
  readonly inside: number;
}

/** How often what was seen lay within the band that was said of it then. */
export function looksInside(lessons: readonly HoldLesson[]): LooksInside {
  let [looks, inside] = [0, 0];
  for (const { predicted, fineS, goneS } of lessons) {
    const [low, high] = [predicted.medianS / predicted.bandFactor, predicted.medianS * predicted.bandFactor];
    if (goneS === null && (fineS ?? 0) <= low) continue;
    looks += 1;
    if ((goneS ?? Infinity) >= low && (fineS ?? 0) <= high) inside += 1;
  }
  return { looks, inside };
}
