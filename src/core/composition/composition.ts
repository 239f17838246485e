/** Composition of a formula: totals, their ranges under uncertain amounts, and who contributes what. */
import { fractionExtreme, sum } from '#core/numeric';
import type { Ingredient } from '#core/ingredient';
import type { Range } from '#core/quantity';
import { MEASURE_KEYS, MEASURES, type LinearMeasure, type MeasureKey } from './measures';
import { mixedVolumeMlPerG } from './mixedVolume';

/** An ingredient and how much of it goes in. */
export interface Portion {
  readonly ingredient: Ingredient;
  readonly massG: Range;
}

/** Bounds of a result; null where it is unbounded or undefined there. */
export interface Bounds {
  readonly low: number | null;
  readonly high: number | null;
}

export type TotalKey = 'massG' | 'mixedVolumeMl' | MeasureKey;

export interface CompositionTotals {
  readonly massG: number;
  readonly mixedVolumeMl: number;
  /** Undefined measures (no acid liquid, nothing at all) are null, never infinite. */
  readonly measures: Readonly<Record<MeasureKey, number | null>>;
  readonly ranges: Readonly<Record<TotalKey, Bounds>>;
}

/** Totals of any number of portions. Masses must be finite and ≥ 0. */
export function composition(portions: readonly Portion[]): CompositionTotals {
  const massOf = (pick: keyof Range): number => sum(portions.map(({ massG }) => massG[pick]));
  const volumeOf = (pick: keyof Range): number =>
    sum(portions.map(({ ingredient, massG }) => massG[pick] * mixedVolumeMlPerG(ingredient)));
  const measures = {} as Record<MeasureKey, number | null>;
  const ranges = {
    massG: { low: massOf('low'), high: massOf('high') },
    mixedVolumeMl: { low: volumeOf('low'), high: volumeOf('high') },
  } as Record<TotalKey, Bounds>;
  const uncertain = portions.some(({ massG }) => massG.low !== massG.high);
  for (const key of MEASURE_KEYS) {
    const value = nominalValue(portions, MEASURES[key]);
    measures[key] = value;
    ranges[key] = uncertain ? boundsOf(portions, MEASURES[key]) : { low: value, high: value };
  }
  return { massG: massOf('nominal'), mixedVolumeMl: volumeOf('nominal'), measures, ranges };
}

function nominalValue(portions: readonly Portion[], measure: LinearMeasure): number | null {
  const total = (part: keyof LinearMeasure): number =>
    sum(portions.map(({ ingredient, massG }) => measure[part](ingredient) * massG.nominal));
  const denominator = total('denominator');
  return denominator > 0 ? total('numerator') / denominator : null;
}

function boundsOf(portions: readonly Portion[], measure: LinearMeasure): Bounds {
  const terms = portions.map(({ ingredient, massG }) => ({
    numerator: measure.numerator(ingredient),
    denominator: measure.denominator(ingredient),
    low: massG.low,
    high: massG.high,
  }));
  return { low: fractionExtreme(terms, 'low'), high: fractionExtreme(terms, 'high') };
}
