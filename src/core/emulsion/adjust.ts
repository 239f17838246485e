/** Thinner or thicker to a wanted class: how much of what, by the model itself. */
import { limitOf, mostOilM3, MIXING_C } from './drops';
import { emulsionState, type EmulsionState, type HoldRequest } from './state';
import { oilDensityKgPerM3, oilValuesOf } from './oils';
import { EMPTY_PART, type EmulsionPart } from './part';
import { phasesOf } from './phases';
import { thicknessOf } from './thickness';
import { THICKNESS_CLASSES, type ThicknessClass } from '#core/ingredient';

const rank = (name: ThicknessClass): number => THICKNESS_CLASSES.indexOf(name);
const HALVINGS = 40;
/** More than this many times the sauce is another sauce. */
const MOST_TIMES = 4;

/**
 * Grams of something watery that make it no thicker than `wanted`, with the drops as they are, by bisection; null where
 * four times the sauce would not. 0 where it is already.
 */
export function thinToG(
  { amounts, mixing, temperatureC }: HoldRequest,
  { fresh }: Pick<EmulsionState, 'fresh'>,
  thinner: EmulsionPart,
  wanted: ThicknessClass,
): number | null {
  const thickAt = (massG: number): number => {
    const thinned = [...amounts, { part: thinner, massG }];
    const phases = phasesOf(thinned, temperatureC, mixing.tool);
    const atMixing = phasesOf(thinned, mixing.temperatureC ?? MIXING_C, mixing.tool);
    return phases && atMixing ? rank(thicknessOf(phases, fresh, limitOf(atMixing)).class) : 0;
  };
  if (thickAt(0) <= rank(wanted)) return 0;
  let [low, high] = [0, MOST_TIMES * amounts.reduce((sum, { massG }) => sum + massG, 0)];
  if (thickAt(high) > rank(wanted)) return null;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = 0.5 * (low + high);
    if (thickAt(middle) > rank(wanted)) low = middle;
    else high = middle;
  }
  return high;
}

/** As much of what still fits as this: nobody pours to the last drop of a limit. */
const OF_THE_ROOM = 0.95;
const STEPS = 40;

/** ml of the oil that is in it to a wanted class; null where oil alone does not get there before it splits. */
export function thickenWithOilMl(request: HoldRequest, wanted: ThicknessClass): number | null {
  const state = emulsionState(request);
  if (!state?.fresh || state.phases.surfaces.length === 0) return null;
  if (rank(state.thickness.class) >= rank(wanted)) return 0;
  const { continuousM3, freeOilM3, preEmulsifiedM3, oils } = state.phases;
  const oil = { ...EMPTY_PART, freeOil: 1, oilId: oils[0]?.id ?? null };
  const density = oilDensityKgPerM3(oilValuesOf(oil.oilId), request.temperatureC);
  const roomM3 = mostOilM3(continuousM3, state.limit.mostOil) - freeOilM3 - preEmulsifiedM3;
  for (let i = 1; i <= STEPS; i++) {
    const volumeM3 = (OF_THE_ROOM * roomM3 * i) / STEPS;
    if (volumeM3 <= 0) return null;
    const more = emulsionState({
      ...request,
      amounts: [...request.amounts, { part: oil, massG: volumeM3 * density * 1000 }],
    });
    if (more && rank(more.thickness.class) >= rank(wanted)) return volumeM3 * 1e6;
  }
  return null;
}
