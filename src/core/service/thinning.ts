/**
 * What thins a dressing in the bowl: water on leaves, juice that salt draws out of vegetables. Everything
 * dissolved in the dressing is then W/(D + W) weaker. All estimate.
 */

export const WATER_SOURCES = [
  'wet-leaves',
  'spun-leaves',
  'cucumber',
  'tomato',
  'courgette',
  'cabbage',
  'fruit',
] as const;
export type WaterSource = (typeof WATER_SOURCES)[number];

interface WaterValues {
  /** ml per 100 g at once, and what comes in the first half hour. */
  readonly atOnceMl: number;
  readonly laterMl: number;
  /** Share of it that what is advised leaves. */
  readonly leaves: number;
}

export const WATER: Readonly<Record<WaterSource, WaterValues>> = {
  'wet-leaves': water(14, 0, 0.2),
  'spun-leaves': water(3, 0, 1),
  cucumber: water(1, 9, 0.35),
  tomato: water(3, 8, 0.4),
  courgette: water(1, 10, 0.35),
  cabbage: water(0, 6, 0.4),
  fruit: water(2, 5, 0.7),
};

function water(atOnceMl: number, laterMl: number, leaves: number): WaterValues {
  return { atOnceMl, laterMl, leaves };
}

export interface WateryPart {
  readonly source: WaterSource;
  readonly massG: number;
}

export interface Thinning {
  readonly waterMl: number;
  /** Share by which acid and salt weaken, 0..1. */
  readonly weaker: number;
  /** The same after what is advised. */
  readonly afterAdvice: number;
  /** Where something is to be done about it. */
  readonly advice: readonly WaterSource[];
}

/** Below this nobody tastes it. */
const WORTH_SAYING = 0.05;

/** @param minutes from dressing to eating */
export function thinningOf(parts: readonly WateryPart[], dressingMl: number, minutes: number): Thinning {
  const late = Math.min(1, Math.max(0, minutes) / 30);
  const ml = ({ source, massG }: WateryPart): number =>
    (massG / 100) * (WATER[source].atOnceMl + late * WATER[source].laterMl);
  const share = (waterMl: number): number => (dressingMl > 0 ? waterMl / (dressingMl + waterMl) : 0);
  const waterMl = parts.reduce((sum, part) => sum + ml(part), 0);
  const after = parts.reduce((sum, part) => sum + ml(part) * WATER[part.source].leaves, 0);
  const advice = parts.filter((part) => WATER[part.source].leaves < 1 && share(ml(part)) >= WORTH_SAYING);
  return {
    waterMl,
    weaker: share(waterMl),
    afterAdvice: share(after),
    advice: [...new Set(advice.map(({ source }) => source))],
  };
}
