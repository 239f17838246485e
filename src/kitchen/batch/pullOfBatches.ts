import type { BatchRecord } from '#contract';
import { pullListOf, type PullList } from '#core/batch';
import { madeId } from '#core/ingredient';
import type { Kitchen } from '#kitchen/reading';
import { stockOf } from './batchPlanning';

/** What everything these batches need comes to, with what is on hand now. */
export function pullOfBatches(
  batches: readonly BatchRecord[],
  { catalogue, pantry }: Pick<Kitchen, 'catalogue' | 'pantry'>,
): PullList {
  const requests = batches.flatMap(({ plan, base }) => {
    // Its base is made in a batch of its own, and fetched for there; one that was called off is not.
    const poured = base && base.state !== 'called-off' ? madeId(base.formulaId, base.version) : null;
    return plan.lines.flatMap(({ ingredientId, plannedG, asideG }) => {
      const ingredient = catalogue.get(ingredientId);
      return ingredient && ingredientId !== poured ? [{ ingredient, massG: plannedG + asideG }] : [];
    });
  });
  return pullListOf(requests, stockOf(pantry));
}
