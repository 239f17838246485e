/** What the shelf keeps of a formula that it has read. */
import type { Shelf, ShelfState, VersionStanding } from '#contract';
import type { FormulaId } from '#core/formula';
import type { choicesOf, Facets } from '#kitchen/shelf';
import type { Shelved } from './shelved';

export interface Marked {
  readonly id: FormulaId;
  readonly shelf: Shelf;
  readonly updatedAt: string;
  readonly mark: string;
}
/** A formula that was read; it is read again once its mark differs. */
export interface Known {
  readonly mark: string;
  readonly record: Shelved;
  readonly text: string;
  facets: { readonly of: string; readonly facets: Facets } | null;
  choices: { readonly of: string; readonly choices: ReturnType<typeof choicesOf> } | null;
}

/** To be searched: in lower case, without accents. */
export interface ShelfText {
  readonly id: FormulaId;
  readonly name: string;
  readonly text: string;
}

export function stateOf(
  { formula, changed }: Shelved,
  standings: Readonly<Record<number, VersionStanding>> | undefined,
): ShelfState {
  const { basedOnVersion } = formula;
  if (basedOnVersion === null) return 'unfrozen';
  return changed ? 'changes' : (standings?.[basedOnVersion]?.state ?? 'draft');
}

export const waited = (until: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, Math.max(0, until - performance.now())));
