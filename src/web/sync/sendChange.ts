import type { ChangeRequest, ErrorBody, FormulaRecord } from '#contract';
import type { Conflict, FormulaId } from '#core/formula';

export type SendOutcome =
  | { readonly status: 'saved'; readonly record: FormulaRecord }
  | { readonly status: 'conflict'; readonly record: FormulaRecord; readonly conflicts: readonly Conflict[] }
  /** Not reached or not able at present: the same change is sent again later. */
  | { readonly status: 'unreachable' }
  /** The passcode is asked for again; then the same change is sent. */
  | { readonly status: 'signed-out' }
  | { readonly status: 'refused'; readonly message: string };

/** Sends one change of a formula. Never throws. */
export async function sendChange(id: FormulaId, change: ChangeRequest): Promise<SendOutcome> {
  try {
    const response = await fetch(`/api/formulas/${id}/changes`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(change),
      signal: AbortSignal.timeout(15_000),
    });
    if (response.ok) return { status: 'saved', record: (await response.json()) as FormulaRecord };
    if (response.status === 401) return { status: 'signed-out' };
    if (response.status >= 500) return { status: 'unreachable' };
    const { error } = (await response.json()) as ErrorBody;
    if (error.code === 'conflict') {
      const { record, conflicts } = error.details as {
        record: FormulaRecord;
        conflicts: Conflict[];
      };
      return { status: 'conflict', record, conflicts };
    }
    return { status: 'refused', message: error.message };
  } catch {
    return { status: 'unreachable' };
  }
}
