/** The dish of a formula that is looked at: its list read, what it takes, and what arrives in the mouth. */
import { useMemo } from 'react';
import type { DishesContent, KeptDish } from '#contract';
import {
  dressingForDish,
  mainKindOf,
  pouredFrom,
  readDish,
  type DishLine,
  type PouredDressing,
} from '#core/dish';
import { emulsionState, holdRequest, ROOM_C, USUAL_HEIGHT_M, usualSeconds, usualTool } from '#core/emulsion';
import type { Formula } from '#core/formula';
import type { Judgement, Reckoning } from '#core/reckoning';
import { DISHES, mlPer100GOf, type DressedEntry, type DressingNeed } from '#core/service';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';

export interface Bowl {
  readonly kept: KeptDish;
  /** For the servings that are asked for, g. */
  readonly lines: readonly DishLine[];
  readonly things: readonly NonNullable<DishLine['thing']>[];
  readonly massG: number;
  readonly need: DressingNeed;
  /** How far this kitchen's own bowls have drawn the figure; 1: not at all. */
  readonly learned: number;
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
  return useMemo(() => {
    if (!kept) return null;
    const times = (covers ?? kept.servings) / kept.servings;
    const lines = readDish(kept.text, context).map(({ thing, ...line }) => ({
      ...line,
      thing: thing && { ...thing, massG: thing.massG * times },
    }));
    const things = lines.flatMap(({ thing }) => (thing ? [thing] : []));
    const { dressed } = kept;
    const found = dressingForDish(things, dressed);
    const kind = mainKindOf(things);
    const learned = kind ? mlPer100GOf(kind, dressed, own) / DISHES[kind].mlPer100G[dressed] : 1;
    return {
      kept,
      lines,
      things,
      dressing,
      learned,
      massG: things.reduce((sum, { massG }) => sum + massG, 0),
      need: {
        ml: found.nominalMl * learned,
        lowMl: found.lowMl * learned,
        highMl: found.highMl * learned,
      },
    };
  }, [kept, covers, context, own, dressing]);
}

export const dishWith = ({ dishes }: DishesContent, next: KeptDish): DishesContent => ({
  dishes: dishes.some(({ id }) => id === next.id)
    ? dishes.map((one) => (one.id === next.id ? next : one))
    : [...dishes, next],
});
