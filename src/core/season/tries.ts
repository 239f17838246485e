/** What is worth trying of a dressing: each line for another of its kind, whole or half; more of what must go. */
import { applySwap, swapIngredient, swappedPlainly } from '#core/balance';
import type { Ingredient } from '#core/ingredient';
import { exactly } from '#core/quantity';
import type { JudgedPortion } from '#core/reckoning';
import { massOf, priceOf, type SeasonRequest } from './stock';

export interface SeasonChange {
  readonly from: Ingredient;
  readonly to: Ingredient;
  /** In the portions, not the batch; the same thing: more of it. */
  readonly fromG: number;
  readonly toG: number;
}

const SHARES: readonly number[] = [1, 0.5];
const MORES: readonly number[] = [1.5, 1.25, 1.1];

export interface Try {
  readonly from: Ingredient;
  readonly to: Ingredient;
  readonly make: (portions: readonly JudgedPortion[]) => readonly JudgedPortion[];
  readonly said: (next: readonly JudgedPortion[]) => SeasonChange;
}

/** What is worth trying: what must go, and what is cheaper by weight; only of the same kind. */
export function triesOf(request: SeasonRequest, portions: readonly JudgedPortion[]): readonly Try[] {
  const { catalogue, stock, style, locked, calledAfter } = request;
  const onHand = [...stock].flatMap(([id, { onHandG, mustGo }]) => {
    const ingredient = catalogue.get(id);
    return ingredient && onHandG !== null && onHandG > 0 ? [{ ingredient, mustGo }] : [];
  });
  return portions.flatMap(({ ingredient: from, massG, form, pieces }, index): Try[] => {
    if (locked.has(from.id) || massG.nominal <= 0) return [];
    const mores: Try[] = stock.get(from.id)?.mustGo
      ? MORES.map((factor) => ({
          from,
          to: from,
          make: (of) =>
            of.map((one, i) => (i === index ? { ...one, massG: exactly(one.massG.nominal * factor) } : one)),
          said: (next) => ({ from, to: from, fromG: massOf(portions, from.id), toG: massOf(next, from.id) }),
        }))
      : [];
    // What has to go is not taken out again for what is cheap.
    if (stock.get(from.id)?.mustGo) return mores;
    const isCalledAfter = calledAfter.has(from.id);
    const price = priceOf(request, from);
    const swaps = onHand
      .filter(({ ingredient, mustGo }) => {
        if (ingredient.id === from.id || !isOfAKind(from, ingredient)) return false;
        const own = priceOf(request, ingredient);
        return mustGo || (!isCalledAfter && own !== null && price !== null && own < price);
      })
      .flatMap(({ ingredient: to }) =>
        SHARES.filter((share) => share < 1 || !isCalledAfter).map((share): Try => ({
          from,
          to,
          make: (of) => {
            const part = { ...of[index]!, massG: exactly(massG.nominal * share) };
            const rest = {
              ingredient: from,
              form,
              pieces: pieces ?? false,
              massG: exactly(massG.nominal * (1 - share)),
            };
            const parted = [
              ...of.slice(0, index),
              part,
              ...of.slice(index + 1),
              ...(share < 1 ? [rest] : []),
            ];
            const still = new Set(parted.flatMap((one, i) => (locked.has(one.ingredient.id) ? [i] : [])));
            const asked = { portions: parted, index, to, catalogue, style, locked: still };
            const plainly = swappedPlainly(asked);
            if (plainly) return merged(plainly);
            const [swap] = swapIngredient(asked).swaps;
            return swap ? merged(applySwap(parted, swap.lines)) : of;
          },
          said: (next) => ({
            from,
            to,
            fromG: massOf(portions, from.id) - massOf(next, from.id),
            toG: massOf(next, to.id) - massOf(portions, to.id),
          }),
        })),
      );
    return [...mores, ...swaps];
  });
}

/** Parsley does not stand for vinegar. Herbs, fruit and the rest stand for their own kind. */
const isOfAKind = (a: Ingredient, b: Ingredient): boolean =>
  (a.isAcidLiquid && b.isAcidLiquid) || (a.category === b.category && a.category !== 'water');

/** Lines of one thing in one form are one line. */
function merged(portions: readonly JudgedPortion[]): readonly JudgedPortion[] {
  const found: JudgedPortion[] = [];
  for (const portion of portions) {
    if (portion.massG.nominal <= 0) continue;
    const at = found.findIndex(
      ({ ingredient, form }) => ingredient.id === portion.ingredient.id && form === portion.form,
    );
    if (at < 0) found.push(portion);
    else found[at] = { ...found[at]!, massG: exactly(found[at]!.massG.nominal + portion.massG.nominal) };
  }
  return found;
}
