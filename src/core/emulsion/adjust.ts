/** Thinner or thicker to a wanted class: how much of what, with the drops as they are. */
import type { Drops } from './dropSize';
import type { EmulsionPart, PartAmount } from './part';
import { phasesOf, type Phases } from './phases';
import { thicknessOf, THICKNESS_CLASSES, type ThicknessClass } from './thickness';

const rank = (name: ThicknessClass): number => THICKNESS_CLASSES.indexOf(name);

/**
 * Grams of something watery that make it no thicker than `wanted`, by bisection; null where four times the
 * sauce would not. 0 where it is already.
 */
export function thinToG(
  amounts: readonly PartAmount[],
  drops: Drops,
  temperatureC: number,
  thinner: EmulsionPart,
  wanted: ThicknessClass,
): number | null {
  const thickAt = (massG: number): number => {
    const phases = phasesOf([...amounts, { part: thinner, massG }], temperatureC);
    return phases ? rank(thicknessOf(phases, drops).class) : 0;
  };
  if (thickAt(0) <= rank(wanted)) return 0;
  const total = amounts.reduce((sum, { massG }) => sum + massG, 0);
  let [low, high] = [0, 4 * total];
  if (thickAt(high) > rank(wanted)) return null;
  for (let i = 0; i < 50; i++) {
    const middle = 0.5 * (low + high);
    if (thickAt(middle) > rank(wanted)) low = middle;
    else high = middle;
  }
  return high;
}

/** Oil fraction at which a class begins, as cooks build it; estimate. */
const OIL_FOR: Partial<Record<ThicknessClass, number>> = {
  'holds-its-shape': 0.78,
  spoonable: 0.72,
  'coats-a-spoon': 0.65,
};

/** ml of oil to a wanted class; null where oil alone does not decide it, or too little covers its drops. */
export function thickenWithOilMl(
  phases: Phases,
  drops: Drops,
  mostOil: number,
  wanted: ThicknessClass,
): number | null {
  const phi = OIL_FOR[wanted];
  if (phi === undefined || phi > mostOil) return null;
  const oilM3 = phases.freeOilM3 + phases.preEmulsifiedM3;
  const addM3 = (phases.continuousM3 * phi) / (1 - phi) - oilM3;
  if (addM3 <= 0) return 0;
  const coverage = (phases.coverableM2 * drops.sauterMeanDiameterM) / (6 * (oilM3 + addM3));
  return coverage >= 1 ? addM3 * 1e6 : null;
}
