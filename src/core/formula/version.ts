/** Frozen states of a formula. Working changes have no number until they are frozen. */
import { diffFormulas, isEmptyDiff } from './diff';
import type { Formula } from './formula';

export interface FrozenVersion {
  readonly number: number;
  readonly formula: Formula;
}

/** Where the working state stands: "v3", "v3 + changes", or "not frozen yet". */
export function sayVersion(working: Formula, latest: FrozenVersion | null): string {
  if (!latest) return 'not frozen yet';
  const changed = !isEmptyDiff(diffFormulas(latest.formula, working));
  return changed ? `v${latest.number} + changes` : `v${latest.number}`;
}
