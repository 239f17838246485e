import type { BatchRecord } from '#contract';
import { pullListOf, type PullList, type StockFacts } from '#core/batch';
import type { IngredientId } from '#core/ingredient';
import { entryOf, packPriceOf, type Kitchen, type Pantry } from '../../store/kitchen';

/** All that the kitchen knows of its stock: what a made thing is made of, too. */
export function stockOf(pantry: Pantry): ReadonlyMap<IngredientId, StockFacts> {
  const priceOf = packPriceOf(pantry);
  return new Map(
    (Object.keys(pantry) as IngredientId[]).map((id) => [
      id,
      { onHandG: entryOf(pantry, id).onHandG, price: priceOf(id) },
    ]),
  );
}

/** What everything these batches need comes to, with what is on hand now. */
export function pullOfBatches(batches: readonly BatchRecord[], { catalogue, pantry }: Kitchen): PullList {
  const requests = batches.flatMap(({ plan }) =>
    plan.lines.flatMap(({ ingredientId, plannedG, asideG }) => {
      const ingredient = catalogue.get(ingredientId);
      return ingredient ? [{ ingredient, massG: plannedG + asideG }] : [];
    }),
  );
  return pullListOf(requests, stockOf(pantry));
}
