/** The dish of a formula that is looked at: its list read, what it takes, and what arrives in the mouth. */
import { useMemo } from 'react';
import type { DishesContent, KeptDish } from '#contract';
import { pouredFrom, type PouredDressing } from '#core/dish';
import { emulsionState, holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds, usualTool } from '#core/emulsion';
import type { Formula } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import type { DressedEntry } from '#core/service';
import { readBowl, type ReadBowl } from '#kitchen/bowl';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';

export interface Bowl extends ReadBowl {
  readonly dressing: PouredDressing | null;
}

export function useBowl(
  kept: KeptDish | null,
  covers: number | null,
  own: readonly DressedEntry[],
  read: { readonly reckoning: Reckoning; readonly judgement: Judgement; readonly formula: Formula },
  kitchen: Kitchen,
): Bowl | null {
  const { reckoning, judgement, formula } = read;
  const context = useMemo(() => contextFor(formula, kitchen), [formula, kitchen]);
  const dressing = useMemo(() => {
    const vessel = vesselOf(formula, kitchen.vessels);
    const tool = formula.tool ?? usualTool(vessel);
    const volumeMl = reckoning.totals.mixedVolumeMl;
    if (!(volumeMl > 0)) return null;
    const seconds = formula.mixSeconds ?? usualSeconds(tool);
    const state = emulsionState(
      holdRequest(judgement.portions, {
        tool,
        seconds,
        volumeMl,
        heightM: USUAL_HEIGHT_M,
        temperatureC: ROOM_C,
      }),
    );
    return pouredFrom(judgement.portions, state?.thickness.classes[1] ?? null);
  }, [formula, kitchen.vessels, reckoning, judgement]);
  return useMemo(
    () => kept && { ...readBowl(kept, covers, own, context), dressing },
    [kept, covers, context, own, dressing],
  );
}

export const dishWith = ({ dishes }: DishesContent, next: KeptDish): DishesContent => ({
  dishes: dishes.some(({ id }) => id === next.id)
    ? dishes.map((one) => (one.id === next.id ? next : one))
    : [...dishes, next],
});
