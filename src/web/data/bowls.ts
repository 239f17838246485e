/** The dishes of several formulas, as far as they are known here, and what each takes. */
import { useEffect, useMemo } from 'react';
import { shallowEqual } from 'react-redux';
import type { DishesContent, KeptDish, PlanDish, ShelfRecord } from '#contract';
import { entriesOf, needByKind, readBowl, type NeedOf } from '#kitchen/bowl';
import { contextFor, type Kitchen } from '#kitchen/reading';
import { keyOf } from '../sync/shared';
import { useAppSelector } from '../sync/store';
import { openShared } from '../sync/sync';
import { useDressingsQuery } from './kitchenApi';

const NONE: readonly KeptDish[] = [];

/** By formula; what is not known yet, or not reached, has none. */
function useBowlsOf(formulaIds: readonly string[]): Readonly<Record<string, readonly KeptDish[]>> {
  const wanted = [...new Set(formulaIds)].sort().join(' ');
  useEffect(() => {
    for (const id of wanted.split(' ').filter(Boolean)) openShared(keyOf('dishes', id)).catch(() => undefined);
  }, [wanted]);
  return useAppSelector(
    ({ work }) =>
      Object.fromEntries(
        wanted
          .split(' ')
          .filter(Boolean)
          .map((id) => [
            id,
            (work.byKey[keyOf('dishes', id)]?.doc as DishesContent | undefined)?.dishes ?? NONE,
          ]),
      ),
    shallowEqual,
  );
}

export interface PlannedBowls {
  /** By its list where it has one, else by its kind and weight. */
  readonly needOf: NeedOf;
  /** Null: it has no list, or the list is gone. */
  readonly bowlOf: (dish: PlanDish) => KeptDish | null;
}

export function usePlannedBowls(
  dishes: readonly PlanDish[],
  shelf: readonly ShelfRecord[],
  kitchen: Kitchen,
): PlannedBowls {
  const bowls = useBowlsOf(
    dishes.flatMap(({ formulaId, bowlId }) => (bowlId === undefined ? [] : [formulaId])),
  );
  const { data: records } = useDressingsQuery();
  return useMemo(() => {
    const own = entriesOf(records ?? []);
    const bowlOf = ({ formulaId, bowlId }: PlanDish): KeptDish | null =>
      bowls[formulaId]?.find(({ id }) => id === bowlId) ?? null;
    const needOf: NeedOf = (dish, covers) => {
      const kept = bowlOf(dish);
      const formula = shelf.find(({ id }) => id === dish.formulaId)?.formula;
      const read = kept && formula ? readBowl(kept, covers, own, contextFor(formula, kitchen)) : null;
      return read && read.things.length > 0 ? read.need : needByKind(dish, covers);
    };
    return { bowlOf, needOf };
  }, [bowls, records, shelf, kitchen]);
}
