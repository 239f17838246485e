/** What a cook does about it: by what is found of the bowl, as findings and never as sentences. */
import { MOMENT_MINUTES, TIMING, type DishKind, type Moment } from '#core/service';
import type { Hazard } from '#core/ingredient';
import { PALATE } from '#core/palate';
import type { DishAtTime, DishMeasure, DishThing, PouredDressing } from './dish';
import { drawnLeft } from './preparation';
import { surfaceKindOf, surfaceOf } from './surfaces';

export type DishReason =
  /** A thing brings so much of a measure: the dressing needs so much less of it, 0..1. */
  | {
      readonly code: 'brings';
      readonly measure: DishMeasure;
      readonly index: number;
      readonly share: number;
      readonly lessShare: number;
    }
  /** What arrives is weaker by this share, for it is drunk, or thinned by water. */
  | { readonly code: 'weaker'; readonly share: number; readonly by: 'drunk' | 'water' | 'pool' }
  | { readonly code: 'salt-again'; readonly minutes: number }
  | { readonly code: 'spin-dry'; readonly waterG: number }
  | { readonly code: 'salt-and-drain' | 'seed'; readonly index: number; readonly waterG: number }
  | { readonly code: 'half-now'; readonly drunkShare: number }
  | { readonly code: 'limp'; readonly index: number; readonly minutes: number }
  | { readonly code: 'pool'; readonly share: number }
  /** Warm things and a sauce held by yolk or cream: it may run. */
  | { readonly code: 'warm-runs'; readonly index: number }
  /** Warm things and raw garlic or onion. */
  | { readonly code: 'warm-mellows'; readonly index: number }
  /** Things that must not stand warm once they are cut, cooked and dressed. */
  | { readonly code: 'time-and-cold'; readonly indexes: readonly number[] };

/** Below this nobody tastes or sees it; tag: estimate. */
const WORTH_SAYING = 0.1;
const BRINGS = 0.2;
const WATER_WORTH_G = 2;
const DRUNK_WORTH = 0.2;
const PERISHES: ReadonlySet<Hazard> = new Set<Hazard>([
  ...(['cooked_food', 'raw_vegetable_or_fruit', 'plant_protein', 'fish', 'dairy'] as const),
  ...(['soft_or_blue_cheese', 'sprouts', 'raw_food', 'avocado', 'cooked_allium'] as const),
]);
const RUNS_WHEN_WARM: ReadonlySet<PouredDressing['thickness']> = new Set([
  'coats-a-spoon',
  'spoonable',
  'holds-its-shape',
  'stiff',
] as const);

/** The kind that most of it is; null: nothing of it is more than a part. */
export function mainKindOf(things: readonly DishThing[]): DishKind | null {
  const byKind = new Map<DishKind, number>();
  for (const { ingredient, massG } of things) {
    const { kind } = surfaceOf(ingredient);
    if (kind) byKind.set(kind, massG + (byKind.get(kind) ?? 0));
  }
  return (
    [...byKind].reduce<readonly [DishKind, number] | null>(
      (a, b) => (a && a[1] >= b[1] ? a : b),
      null,
    )?.[0] ?? null
  );
}

/** When it is best dressed before it is eaten. */
export function bestMomentFor(things: readonly DishThing[]): Moment {
  const kind = mainKindOf(things);
  return kind === null ? 'at-once' : TIMING[kind].best;
}
export const minutesOf = (moment: Moment): number => MOMENT_MINUTES[moment];

/** @param at the bowl after `minutes` with this dressing */
export function dishReasons(
  things: readonly DishThing[],
  dressing: PouredDressing,
  minutes: number,
  at: DishAtTime,
): readonly DishReason[] {
  const reasons: DishReason[] = [];
  const liquidMl = at.clingsMl + at.drunkMl + at.poolMl;
  for (const measure of ['salt', 'sweet', 'acid'] as const) {
    // A sweetness that the dressing does not have cannot be held back from it.
    if (measure !== 'salt' && dressing.holds[measure] < PALATE[measure].step) continue;
    const own = at.from[measure].find(({ index }) => index === null)?.share ?? 0;
    for (const { index, share } of at.from[measure]) {
      if (index === null || share < BRINGS || share * at.asDressing[measure] < PALATE[measure].step) continue;
      // The dressing is taken for right by itself: what comes on top may stay out of it.
      const lessShare = own > 0 ? Math.min(1, share / own) : 1;
      reasons.push({ code: 'brings', measure, index, share, lessShare });
    }
  }
  const arrives = dressing.holds.salt > 0 ? at.asDressing.salt / dressing.holds.salt : 1;
  const waterShare = (at.drawnWaterG + at.wetWaterG) / liquidMl;
  const [drunkShare, poolShare] = [at.drunkMl / liquidMl, at.poolMl / liquidMl];
  if (arrives < 1 - WORTH_SAYING) {
    const most = Math.max(drunkShare / 2, waterShare, poolShare);
    reasons.push({
      code: 'weaker',
      share: 1 - arrives,
      by: most === poolShare ? 'pool' : most === waterShare ? 'water' : 'drunk',
    });
  }
  // What drinks takes the salt in with it.
  if (minutes >= 5 && (arrives < 1 - WORTH_SAYING || drunkShare >= DRUNK_WORTH))
    reasons.push({ code: 'salt-again', minutes });
  if (at.wetWaterG >= WATER_WORTH_G && at.wetWaterG / liquidMl >= WORTH_SAYING / 2)
    if (things.some(({ preparation: { wet } }) => wet))
      reasons.push({ code: 'spin-dry', waterG: at.wetWaterG });
  const drawable = things.map(
    ({ ingredient, massG, preparation }) =>
      (massG / 100) * surfaceOf(ingredient).drawnMl * drawnLeft(preparation),
  );
  const drawableG = drawable.reduce((a, b) => a + b, 0);
  for (const [index, { ingredient, preparation }] of things.entries()) {
    const waterG = drawableG > 0 ? at.drawnWaterG * (drawable[index]! / drawableG) : 0;
    if (waterG < WATER_WORTH_G || waterG / liquidMl < WORTH_SAYING / 2 || preparation.salted) continue;
    const kind = surfaceKindOf(ingredient);
    if (kind === 'watery' && !preparation.seeded) reasons.push({ code: 'seed', index, waterG });
    else if (kind === 'watery' || kind === 'shredded')
      reasons.push({ code: 'salt-and-drain', index, waterG });
  }
  if (drunkShare >= DRUNK_WORTH) reasons.push({ code: 'half-now', drunkShare });
  for (const [index, { ingredient }] of things.entries()) {
    const { limpMin } = surfaceOf(ingredient);
    if (limpMin !== null && minutes > limpMin) reasons.push({ code: 'limp', index, minutes: limpMin });
  }
  if (poolShare >= WORTH_SAYING) reasons.push({ code: 'pool', share: poolShare });
  const warm = things.findIndex(({ preparation }) => preparation.warm);
  if (warm >= 0 && RUNS_WHEN_WARM.has(dressing.thickness)) reasons.push({ code: 'warm-runs', index: warm });
  if (warm >= 0 && dressing.rawAllium) reasons.push({ code: 'warm-mellows', index: warm });
  const perishing = things.flatMap(({ ingredient: { hazards } }, index) =>
    hazards.some((hazard) => PERISHES.has(hazard)) ? [index] : [],
  );
  if (perishing.length > 0) reasons.push({ code: 'time-and-cold', indexes: perishing });
  return reasons;
}
