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
  readonly name: string;
  /** ml per 100 g at once, and what comes in the first half hour. */
  readonly atOnceMl: number;
  readonly laterMl: number;
  /** What to do about it. */
  readonly says: string;
  /** Share of it that this leaves. */
  readonly leaves: number;
}

export const WATER: Readonly<Record<WaterSource, WaterValues>> = {
  'wet-leaves': water('Leaves, washed and shaken', 14, 0, 'Spin them dry, then a cloth.', 0.2),
  'spun-leaves': water('Leaves, spun dry', 3, 0, 'Dry enough.', 1),
  cucumber: water('Cucumber', 1, 9, 'Seed it; salt it 20 minutes and pour the juice away.', 0.35),
  tomato: water('Tomato', 3, 8, 'Seed it, or salt it and drain; dress it last.', 0.4),
  courgette: water('Courgette', 1, 10, 'Salt it 20 minutes and press it.', 0.35),
  cabbage: water('Cabbage, shredded', 0, 6, 'Salt and knead it first, pour off, then dress.', 0.4),
  fruit: water('Cut fruit', 2, 5, 'Add it at the table; hold back a third of the dressing.', 0.7),
};

function water(name: string, atOnceMl: number, laterMl: number, says: string, leaves: number): WaterValues {
  return { name, atOnceMl, laterMl, says, leaves };
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
  readonly advice: readonly { readonly source: WaterSource; readonly says: string }[];
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
    advice: [...new Set(advice.map(({ source }) => source))].map((source) => ({
      source,
      says: WATER[source].says,
    })),
  };
}
