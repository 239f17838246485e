/** Frozen states of a formula. Working changes have no number until they are frozen. */
import { diffFormulas, isEmptyDiff, type FormulaDiff } from './diff';
import type { Formula } from './formula';

export interface FrozenVersion {
  readonly number: number;
  readonly formula: Formula;
}

/** The change between two states of what is composed; which version they grew from does not count. */
export function contentDiff(before: Formula, after: Formula): FormulaDiff {
  return diffFormulas({ ...before, basedOnVersion: after.basedOnVersion }, after);
}

export const sameContent = (a: Formula, b: Formula): boolean => isEmptyDiff(contentDiff(a, b));

/** An old state as new working changes: all of its content, growing from its own number. */
export const restoredFrom = (version: FrozenVersion): Formula => ({
  ...version.formula,
  basedOnVersion: version.number,
});
