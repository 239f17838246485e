/** Where working changes stand. */
import { sentencesNow } from './tongue';
import type { VersionState } from '#core/trial';
import { sameContent, type Formula, type FrozenVersion } from '#core/formula';

/** "v3", "v3 + changes", or "no version yet". */
export function sayStanding(base: number | null, changed: boolean): string {
  const other = sentencesNow()?.standing(base, changed);
  if (other !== undefined) return other;
  if (base === null) return 'no version yet';
  return changed ? `v${base} + changes` : `v${base}`;
}

/** Where the working state stands against the version it grew from. */
export const sayVersion = (working: Formula, base: FrozenVersion | null): string =>
  sayStanding(base?.number ?? null, base !== null && !sameContent(base.formula, working));

export const VERSION_STATE_WORDS: Readonly<Record<VersionState, string>> = {
  draft: 'draft',
  tried: 'tried',
  proven: 'proven',
};
