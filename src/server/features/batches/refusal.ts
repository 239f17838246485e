/** What a request to a batch comes to. */
import type { BatchRecord, NewBatchEvent } from '#contract';
import { keepUntilProblem, signProblem, type SignProblem, type UseByProblem } from '#core/batch';

export type BatchOutcome =
  | { readonly status: 'recorded'; readonly batch: BatchRecord }
  | { readonly status: 'no-version' | 'no-batch' | 'id-taken' | 'not-weighed' | 'closed' }
  | { readonly status: 'unsigned'; readonly problem: SignProblem }
  | { readonly status: 'use-by'; readonly problem: UseByProblem };

/** Why an event may not be recorded; null: it may. */
export function refusal(
  { plan, events, state }: BatchRecord,
  event: NewBatchEvent['event'],
): BatchOutcome | null {
  switch (event.kind) {
    case 'signed': {
      const problem = signProblem(state, events, event.name);
      return problem ? { status: 'unsigned', problem } : null;
    }
    case 'use-by': {
      const problem = keepUntilProblem(plan.keeping, event);
      return problem ? { status: 'use-by', problem } : null;
    }
    case 'called-off':
      return state === 'signed' ? { status: 'closed' } : null;
    // A record that was signed is only ever added to in words, or corrected as a whole.
    case 'verdict':
      return state === 'signed' || state === 'called-off' ? { status: 'closed' } : null;
    case 'lot':
    case 'temperature':
    case 'hand-work':
    case 'noted':
    case 'corrected':
      return null;
  }
}
