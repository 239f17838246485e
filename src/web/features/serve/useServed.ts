/** What is served: the version that is usual, the dish that the address names, and how much it takes. */
import { useMemo } from 'react';
import type { VersionRecord } from '#contract';
import { judgeFormula, reckonFormula } from '#core/reckoning';
import { dressingFor } from '#core/service';
import { usualVersion } from '#kitchen/batch';
import { entriesOf } from '#kitchen/bowl';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';
import { useDressingsQuery, useStandingsQuery } from '../../data/kitchenApi';
import { useShared } from '../../sync/useWork';
import type { WorkingFormula } from '../../sync/working';
import { coversOf } from './BowlList';
import { NO_BOWL, useDish, type Dish } from './dish';
import { useBowl, type Bowl } from './useBowl';

export function useServed(working: WorkingFormula, versions: readonly VersionRecord[]) {
  const kitchen = useKitchen();
  const standings = useStandingsQuery(working.id).data;
  const dressings = useDressingsQuery().data;
  const own = useMemo(() => entriesOf(dressings ?? []), [dressings]);
  const { thing } = useShared('dishes', working.id);
  const newest = [...versions].sort((a, b) => b.number - a.number);
  const usual = usualVersion(standings, newest[0]?.number ?? 0);
  const version = newest.find(({ number }) => number === usual) ?? null;
  // A dressing that was never frozen can be served, too: as it is composed.
  const formula = version?.formula ?? working.formula;
  const read = useMemo(() => {
    const reckoning = reckonFormula(
      formula,
      vesselOf(formula, kitchen.vessels),
      contextFor(formula, kitchen),
    );
    return { reckoning, judgement: judgeFormula(reckoning) };
  }, [formula, kitchen]);
  const { reckoning, judgement } = read;
  const plain = useDish();
  const listed = thing?.doc.dishes.find(({ id }) => id === plain.bowl) ?? thing?.doc.dishes[0] ?? null;
  const kept = plain.bowl === NO_BOWL ? null : listed;
  const coversText = plain.coversTyped ?? String(kept?.servings ?? plain.coversText);
  const covers = kept ? coversOf(coversText) : plain.covers;
  const bowl = useBowl(kept, covers, own, { reckoning, judgement, formula }, kitchen);
  const dish: Dish = bowl ? asDish(bowl, plain, coversText, covers) : plain;
  const need =
    bowl?.need ?? (dish.massG === null ? null : dressingFor(dish.kind, dish.massG, dish.dressed, own));
  return {
    ...{ kitchen, own, thing, version, formula, reckoning, judgement },
    ...{ plain, listed, coversText, covers, bowl, dish, need },
  };
}

/** A bowl as the other cards know a dish: by what most of it is. */
function asDish(bowl: Bowl, plain: Dish, coversText: string, covers: number | null): Dish {
  const kind = bowl.kind ?? plain.kind;
  return {
    ...plain,
    kind,
    dressed: bowl.kept.dressed,
    moment: plain.momentTyped ?? bowl.moment,
    coversText,
    covers,
    massG: bowl.massG > 0 ? bowl.massG : null,
    servingG: covers !== null && covers > 0 ? bowl.massG / covers : null,
    watery: [],
  };
}
