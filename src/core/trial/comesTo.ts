/** What the jars of a kitchen come to, formula by formula: what the mouth keeps saying, and since which bottle. Rules: estimate. */
import type { Complaint } from '#core/balance';
import type { FormulaId } from '#core/formula';
import { isKind, standingEvents } from './event';
import { LOOKED_AT, bottlesIn, byFormula, isTasted, type Bottle, type KitchenJar } from './kitchenNews';
import { complaintsOf } from './tasting';
import { standingOf } from './trial';

export interface ComesTo {
  readonly formulaId: FormulaId;
  /** What was said of the jars as they were made; null: they were right. */
  readonly complaint: Complaint | null;
  /** The jars it was said of, oldest first. */
  readonly jarIds: readonly string[];
  /** Of so many that were tasted lately. */
  readonly of: number;
  /** A bottle that all of those jars were made with, and none that was tasted before it: since then it is so. */
  readonly since: Bottle | null;
}

/** Twice may be chance of a hand; three times right in a row is worth saying. */
const OFTEN = 2;
const RIGHT_IN_A_ROW = 3;

/** The first thing a mouth said of a jar: of it as made, before anything mended it. */
const firstSaid = ({ events }: KitchenJar): readonly Complaint[] => {
  const tasting = standingEvents(events).find(isKind('tasted'))?.event;
  return tasting ? complaintsOf(tasting).map(({ complaint }) => complaint) : [];
};

function sinceBottle(with_: readonly KitchenJar[], all: readonly KitchenJar[]): Bottle | null {
  const rest = all.filter((jar) => !with_.includes(jar));
  if (rest.length === 0) return null;
  const has = (jar: KitchenJar, bottle: Bottle): boolean =>
    bottlesIn(jar).some(
      (other) => other.ingredientId === bottle.ingredientId && other.bottle === bottle.bottle,
    );
  return (
    bottlesIn(with_[0]!).find(
      (bottle) => with_.every((jar) => has(jar, bottle)) && !rest.some((jar) => has(jar, bottle)),
    ) ?? null
  );
}

/**
 * One thing a formula, of its latest jars that were tasted: the complaint that came at least twice and in at least
 * half of them; else that the last three or more were right as made. The most often said first.
 *
 * @param jars in any order; those that nobody tasted say nothing
 */
export function whatItComesTo(jars: readonly KitchenJar[]): readonly ComesTo[] {
  return [...byFormula(jars)]
    .flatMap(([formulaId, all]): ComesTo[] => {
      const tasted = all.filter(isTasted).slice(-LOOKED_AT);
      const saidOf = new Map<Complaint, KitchenJar[]>();
      for (const jar of tasted)
        for (const complaint of firstSaid(jar))
          saidOf.set(complaint, [...(saidOf.get(complaint) ?? []), jar]);
      const [most] = [...saidOf].sort(([, a], [, b]) => b.length - a.length);
      if (most && most[1].length >= OFTEN && most[1].length * 2 >= tasted.length) {
        const [complaint, which] = most;
        const jarIds = which.map(({ id }) => id);
        return [{ formulaId, complaint, jarIds, of: tasted.length, since: sinceBottle(which, tasted) }];
      }
      const notRight = tasted.findLastIndex(({ events }) => standingOf(events) !== 'right');
      const right = tasted.slice(notRight + 1);
      return right.length >= RIGHT_IN_A_ROW
        ? [
            {
              formulaId,
              complaint: null,
              jarIds: right.map(({ id }) => id),
              of: tasted.length,
              since: null,
            },
          ]
        : [];
    })
    .sort((a, b) =>
      a.complaint === null || b.complaint === null
        ? Number(a.complaint === null) - Number(b.complaint === null)
        : b.jarIds.length - a.jarIds.length,
    );
}
