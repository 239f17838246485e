/** The next plain ratio of oil to acid that more oil comes to. By volume, as cooks say it. */
import { spoonVolumeMl } from '#core/ingredient';
import type { JudgedPortion } from '#core/reckoning';

const PLAIN_RATIOS = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6] as const;
/** Nearer than this it is there already. */
const THERE = 0.03;

export interface NextRatio {
  readonly ratio: number;
  /** Of the oil that is poured, ml. */
  readonly moreOilMl: number;
}

/** Null without an acid, and beyond the last plain ratio. */
export function nextRatio(portions: readonly JudgedPortion[]): NextRatio | null {
  const volumeOf = (wanted: (one: JudgedPortion) => boolean): number =>
    portions
      .filter(wanted)
      .reduce((sum, { ingredient, massG }) => sum + spoonVolumeMl(massG.nominal, ingredient), 0);
  const acidMl = volumeOf(({ ingredient }) => ingredient.isAcidLiquid);
  const oilMl = volumeOf(({ ingredient }) => ingredient.category === 'oil');
  if (!(acidMl > 0)) return null;
  const ratio = PLAIN_RATIOS.find((plain) => plain > (oilMl / acidMl) * (1 + THERE));
  return ratio === undefined ? null : { ratio, moreOilMl: ratio * acidMl - oilMl };
}
