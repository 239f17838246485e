import type { BatchRecord } from '#contract';
import { pullListOf, type PullList } from '#core/batch';
import type { Kitchen } from '#kitchen/reading';
import { stockOf } from './batchPlanning';

/** What everything these batches need comes to, with what is on hand now. */
export function pullOfBatches(
  batches: readonly BatchRecord[],
  { catalogue, pantry }: Pick<Kitchen, 'catalogue' | 'pantry'>,
): PullList {
  const requests = batches.flatMap(({ plan }) =>
    plan.lines.flatMap(({ ingredientId, plannedG, asideG }) => {
      const ingredient = catalogue.get(ingredientId);
      return ingredient ? [{ ingredient, massG: plannedG + asideG }] : [];
    }),
  );
  return pullListOf(requests, stockOf(pantry));
}
