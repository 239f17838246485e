/** What there is, what it costs, and what must go. */
import type { Catalogue, Ingredient, IngredientId } from '#core/ingredient';
import type { Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';

export interface Stock {
  /** g; null: nobody said. */
  readonly onHandG: number | null;
  /** Money a gram, of what is edible of it; null: nobody said. */
  readonly pricePerG: number | null;
  readonly mustGo: boolean;
}

export interface SeasonRequest {
  readonly portions: readonly JudgedPortion[];
  /** Things whose amounts the cook locked. */
  readonly locked: ReadonlySet<IngredientId>;
  /** Things it is called after: a walnut dressing without walnut is another. Half of it gives way to what must go, no more. */
  readonly calledAfter: ReadonlySet<IngredientId>;
  readonly style: Style | null;
  readonly catalogue: Catalogue;
  readonly stock: ReadonlyMap<IngredientId, Stock>;
  /** How many times these portions the batch is, > 0. */
  readonly times: number;
}

/** Of what must go, so much goes into the batch. */
export interface UsedUp {
  readonly ingredient: Ingredient;
  readonly massG: number;
}

export const priceOf = ({ stock }: SeasonRequest, { id, category }: Ingredient): number | null =>
  category === 'water' ? 0 : (stock.get(id)?.pricePerG ?? null);
export const massOf = (portions: readonly JudgedPortion[], id: IngredientId): number =>
  portions.reduce((sum, { ingredient, massG }) => sum + (ingredient.id === id ? massG.nominal : 0), 0);

/** What stock does not reach for: no more of it than the dressing took before. */
export function isOnHand({ stock, times, portions }: SeasonRequest, next: readonly JudgedPortion[]): boolean {
  return next.every(({ ingredient: { id, category } }) => {
    if (category === 'water') return true;
    const had = massOf(portions, id);
    const needs = massOf(next, id);
    if (needs <= had * (1 + 1e-9)) return true;
    const onHandG = stock.get(id)?.onHandG ?? null;
    // Not known counts as none for what comes new.
    if (onHandG === null) return had > 0;
    return needs * times <= onHandG * (1 + 1e-9);
  });
}

/** Money still to be spent on the batch; null where something has no price. */
export function costOf(request: SeasonRequest, portions: readonly JudgedPortion[]): number | null {
  let total = 0;
  const paid = new Map<IngredientId, number>();
  for (const { ingredient, massG } of portions) {
    const { id } = ingredient;
    const of = request.stock.get(id);
    let needG = massG.nominal * request.times;
    if (of?.mustGo) {
      const left = paid.get(id) ?? of.onHandG ?? 0;
      paid.set(id, Math.max(0, left - needG));
      needG = Math.max(0, needG - left);
    }
    if (needG <= 0) continue;
    const price = priceOf(request, ingredient);
    if (price === null) return null;
    total += needG * price;
  }
  return total;
}

/** Only the lines that differ are asked for their price: what stands in both costs the same. */
export function savingOf(request: SeasonRequest, next: readonly JudgedPortion[]): number | null {
  const ids = new Set([...request.portions, ...next].map(({ ingredient }) => ingredient.id));
  const differs = (portions: readonly JudgedPortion[]): readonly JudgedPortion[] =>
    portions.filter(
      ({ ingredient: { id } }) =>
        ids.has(id) && Math.abs(massOf(request.portions, id) - massOf(next, id)) > 1e-9,
    );
  const [was, is] = [costOf(request, differs(request.portions)), costOf(request, differs(next))];
  return was === null || is === null ? null : was - is;
}

export function usedUp(
  { stock, times }: SeasonRequest,
  portions: readonly JudgedPortion[],
): readonly UsedUp[] {
  return [...new Map(portions.map(({ ingredient }) => [ingredient.id, ingredient])).values()].flatMap(
    (ingredient) => {
      const of = stock.get(ingredient.id);
      const massG = Math.min(massOf(portions, ingredient.id) * times, of?.onHandG ?? 0);
      return of?.mustGo && massG > 0 ? [{ ingredient, massG }] : [];
    },
  );
}

/** What is left of the stock once a batch is made; never below nothing. */
export const leftAfter = (
  stock: SeasonRequest['stock'],
  portions: readonly JudgedPortion[],
  times: number,
): SeasonRequest['stock'] =>
  new Map(
    [...stock].map(([id, one]) => [
      id,
      {
        ...one,
        onHandG: one.onHandG === null ? null : Math.max(0, one.onHandG - massOf(portions, id) * times),
      },
    ]),
  );
