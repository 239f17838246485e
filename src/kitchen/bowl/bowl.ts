/** A kept dish as it is asked for: its list read, and what it takes by the table and by what this kitchen has learnt. */
import type { DressingRecord, KeptDish, PlanDish } from '#contract';
import {
  bestMomentFor,
  dressingForDish,
  lessonOfDish,
  mainKindOf,
  readDish,
  type DishLesson,
  type DishLine,
} from '#core/dish';
import type { ReadingContext } from '#core/formula';
import {
  DISHES,
  dressingFor,
  mlPer100GOf,
  type DishKind,
  type DressedEntry,
  type DressingNeed,
  type Moment,
} from '#core/service';

export interface ReadBowl {
  readonly kept: KeptDish;
  /** For the servings that are asked for, g. */
  readonly lines: readonly DishLine[];
  readonly things: readonly NonNullable<DishLine['thing']>[];
  readonly massG: number;
  readonly need: DressingNeed;
  /** Its things by the table, before anything was learnt, ml. */
  readonly tableMl: number;
  readonly lesson: DishLesson;
  /** What it is most of; null: nothing of it is more than a part. */
  readonly kind: DishKind | null;
  readonly moment: Moment;
}

/** @param covers above 0; null: as many as the list is for */
export function readBowl(
  kept: KeptDish,
  covers: number | null,
  own: readonly DressedEntry[],
  context: ReadingContext,
): ReadBowl {
  const times = (covers ?? kept.servings) / kept.servings;
  const lines = readDish(kept.text, context).map(({ thing, ...line }) => ({
    ...line,
    thing: thing && { ...thing, massG: thing.massG * times },
  }));
  const things = lines.flatMap(({ thing }) => (thing ? [thing] : []));
  const { dressed, id } = kept;
  const found = dressingForDish(things, dressed);
  const kind = mainKindOf(things);
  // Its own bowls speak for it; those of its kind for what it shares with them.
  const others = own.filter((entry) => entry.dishId !== id);
  const byKind = kind ? mlPer100GOf(kind, dressed, others) / DISHES[kind].mlPer100G[dressed] : 1;
  const lesson = lessonOfDish(id, own);
  const learned = byKind * lesson.mlTimes;
  return {
    kept,
    lines,
    things,
    massG: things.reduce((sum, { massG }) => sum + massG, 0),
    need: {
      ml: found.nominalMl * learned,
      lowMl: found.lowMl * learned,
      highMl: found.highMl * learned,
    },
    tableMl: found.nominalMl,
    lesson,
    kind,
    moment: bestMomentFor(things),
  };
}

/** What this kitchen has dressed, as the figures learn from it. */
export const entriesOf = (records: readonly DressingRecord[]): readonly DressedEntry[] =>
  records.map(({ kind, dressed, massG, ml, dishId, verdict, tableMl, at }) => ({
    ...{ kind, dressed, ml, dishId, verdict, tableMl, at },
    mlPer100G: (ml / massG) * 100,
  }));

/** What a dish of the plan takes, for so many covers. */
export type NeedOf = (dish: PlanDish, covers: number) => DressingNeed;
export const needByKind: NeedOf = ({ kind, servingG, dressed }, covers) =>
  dressingFor(kind, servingG * covers, dressed);
