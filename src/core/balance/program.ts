/**
 * Measures as rows of a linear program. Every measure is N/D, both linear in grams, so with additions
 * y to a dressing that has N0, D0:
 *   at most hi:  Σ (N_j − hi D_j) y_j ≤ hi D0 − N0
 *   at least lo: Σ (lo D_j − N_j) y_j ≤ N0 − lo D0
 */
import { exactly } from '#core/quantity';
import type { Ingredient } from '#core/ingredient';
import type { LinearRow } from '#core/numeric';
import type { HandUnit } from './gestures';
import { PALATE, PALATE_KEYS, type PalateKey, type PalatePortion, type Windows } from '#core/palate';

/** Something that may go in. */
export interface MayAdd {
  readonly ingredient: Ingredient;
  readonly form: string;
  /** What is left of it, g; null: enough. */
  readonly stockG: number | null;
  /** What a hand doses it with; left out: any amount can be had. */
  readonly hand?: readonly HandUnit[];
  /** How far a cook has to reach for it: it is in there, on hand, or what most kitchens have. Left out: it is in there. */
  readonly from?: 'jar' | 'pantry' | 'staple';
  /** What a gram of it costs, in the kitchen's money; left out: not known. */
  readonly pricePerG?: number;
}

export interface Limit {
  readonly low?: number;
  readonly high?: number;
}
export type Limits = Readonly<Partial<Record<PalateKey, Limit>>>;

/** N and D of one measure: of what is there, and per gram of each that may go in. */
export interface MeasureRow {
  readonly key: PalateKey;
  readonly n0: number;
  readonly d0: number;
  readonly n: readonly number[];
  readonly d: readonly number[];
}

export function measureRow(
  key: PalateKey,
  base: readonly PalatePortion[],
  additions: readonly Pick<MayAdd, 'ingredient' | 'form'>[],
): MeasureRow {
  const { numerator, denominator } = PALATE[key];
  const perGram = additions.map(({ ingredient, form }) => ({ ingredient, form, massG: exactly(1) }));
  const total = (of: (portion: PalatePortion) => number): number =>
    base.reduce((sum, portion) => sum + of(portion) * portion.massG.nominal, 0);
  return {
    key,
    n0: total(numerator),
    d0: total(denominator),
    n: perGram.map(numerator),
    d: perGram.map(denominator),
  };
}

export const measureRows = (
  base: readonly PalatePortion[],
  additions: readonly Pick<MayAdd, 'ingredient' | 'form'>[],
): readonly MeasureRow[] => PALATE_KEYS.map((key) => measureRow(key, base, additions));

/** A measure that neither is there nor can come has no row: it would ask the impossible. */
const canBe = ({ d0, d }: MeasureRow): boolean => d0 > 0 || d.some((value) => value > 0);

export function limitRows(rows: readonly MeasureRow[], limits: Limits): readonly LinearRow[] {
  return rows.filter(canBe).flatMap(({ key, n0, d0, n, d }): LinearRow[] => {
    const { low, high } = limits[key] ?? {};
    return [
      ...(high === undefined
        ? []
        : [{ coefficients: n.map((nj, j) => nj - high * d[j]!), high: high * d0 - n0 }]),
      ...(low === undefined
        ? []
        : [{ coefficients: n.map((nj, j) => low * d[j]! - nj), high: n0 - low * d0 }]),
    ];
  });
}

/** How much further out a measure that is already outside may go: half of what a taster notices. */
const LEEWAY_STEPS = 0.5;

/** "Stay in the window; where already outside, not noticeably worse than now." */
export function keepWithin(rows: readonly MeasureRow[], windows: Windows): Limits {
  const limits: Partial<Record<PalateKey, Limit>> = {};
  for (const row of rows) {
    const window = windows[row.key];
    if (!window) continue;
    const now = valueOf(row);
    const leeway = LEEWAY_STEPS * PALATE[row.key].step;
    limits[row.key] =
      now === null
        ? window
        : {
            low: now < window.low ? Math.max(0, now - leeway) : window.low,
            high: now > window.high ? now + leeway : window.high,
          };
  }
  return limits;
}

export const valueOf = ({ n0, d0 }: MeasureRow): number | null => (d0 > 1e-9 ? n0 / d0 : null);

/** Kitchen step of what a cook adds at a time, g per 100 g of dressing; tag: estimate. */
const DOSE_PER_100G = { poured: 5, sweet: 1.5, salt: 0.2, mustard: 2, thickener: 0.1, other: 1 } as const;

/** @param massG of the dressing: the dose grows with it, so that twice the batch gives twice the answer */
export function doseG({ category, pungencyIndex }: Ingredient, massG: number): number {
  const per100G = ((): number => {
    if (['oil', 'vinegar', 'citrus', 'water', 'creamy'].includes(category)) return DOSE_PER_100G.poured;
    if (category === 'sweet') return DOSE_PER_100G.sweet;
    if (category === 'salt') return DOSE_PER_100G.salt;
    if (category === 'thickener') return DOSE_PER_100G.thickener;
    if (category === 'emulsifier')
      return pungencyIndex.mustard > 0 ? DOSE_PER_100G.mustard : DOSE_PER_100G.poured;
    return DOSE_PER_100G.other;
  })();
  return (per100G * massG) / 100;
}
