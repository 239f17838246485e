/** What a cook uses whole: a yolk, a clove, a fillet, half a lemon. A formulated amount goes to the nearest of them. */
import type { Ingredient } from '#core/ingredient';

export interface Whole {
  /** As it is said for one. */
  readonly unit: 'yolk' | 'egg' | 'clove' | 'fillet' | 'juice' | 'each';
  readonly massG: number;
  /** Halves are used where the rest keeps: fruit. */
  readonly step: number;
}

const WHOLE = ['yolk', 'egg', 'clove', 'fillet', 'juice'] as const;
const HALVED: ReadonlySet<Whole['unit']> = new Set<Whole['unit']>(['juice', 'each']);
/** From this volume on everything is weighed, ml; estimate. */
export const WEIGHED_FROM_ML = 2000;

/** Null for what is measured. */
export function wholeOf({ id, category, unitWeightsG }: Ingredient): Whole | null {
  const unit =
    WHOLE.find((one) => unitWeightsG[one]) ?? (category === 'emulsifier' || id === 'avocado' ? 'each' : null);
  const weight = unit && unitWeightsG[unit];
  if (!unit || !weight || (unit === 'clove' && category !== 'aromatic')) return null;
  // An egg stirred whole is counted as an egg.
  const said = unit === 'each' && category === 'emulsifier' ? 'egg' : unit;
  return { unit: said, massG: weight.nominal, step: HALVED.has(said) ? 0.5 : 1 };
}

/** Less of a whole thing than this share of its step is left as it is: half a clove is grated off. */
const LEAST_SHARE = 0.6;

/** The nearest whole amount that is there, g; null where it is too little to count, or nothing whole is left. */
export function nearestWhole(
  massG: number,
  { massG: oneG, step }: Whole,
  mostG: number | null,
): number | null {
  const stepG = oneG * step;
  if (massG < LEAST_SHARE * stepG) return null;
  const most = mostG === null ? Infinity : Math.floor(mostG / stepG + 1e-6);
  const count = Math.min(most, Math.max(1, Math.round(massG / stepG)));
  return count >= 1 ? count * stepG : null;
}
