/** Every measure of the composition as N/D, both linear in the grams of each ingredient. */
import type { Ingredient } from '#core/ingredient';
import { mixedVolumeMlPerG } from './mixedVolume';

/** What one gram of an ingredient adds to numerator and denominator. */
export interface LinearMeasure {
  readonly numerator: (ingredient: Ingredient) => number;
  readonly denominator: (ingredient: Ingredient) => number;
}

const one = (): number => 1;
const isOil = (i: Ingredient): boolean => i.category === 'oil';
const perGram = (value: (i: Ingredient) => number): LinearMeasure => ({
  numerator: value,
  denominator: one,
});

export const sugarsOf = ({ composition: c }: Ingredient): number =>
  c.sucrose + c.glucose + c.fructose + c.lactose;

export const MEASURES = {
  /** Poured oil to acidic liquid (vinegar, citrus), both as poured. */
  oilToAcidVolumeRatio: {
    numerator: (i) => (isOil(i) ? 1 / i.spoonDensityGPerMl : 0),
    denominator: (i) => (i.isAcidLiquid ? 1 / i.spoonDensityGPerMl : 0),
  },
  oilToAcidMassRatio: {
    numerator: (i) => (isOil(i) ? 1 : 0),
    denominator: (i) => (i.isAcidLiquid ? 1 : 0),
  },
  oilMassFraction: perGram((i) => (isOil(i) ? 1 : 0)),
  fatMassFraction: perGram((i) => i.composition.fat),
  oilVolumeFraction: {
    numerator: (i) => (isOil(i) ? 1 / i.spoonDensityGPerMl : 0),
    denominator: mixedVolumeMlPerG,
  },
  waterMassFraction: perGram((i) => i.composition.water),
  saltEquivalentMassFraction: perGram((i) => i.composition.salt),
  sugarMassFraction: perGram(sugarsOf),
} as const satisfies Record<string, LinearMeasure>;

export type MeasureKey = keyof typeof MEASURES;
export const MEASURE_KEYS = Object.keys(MEASURES) as readonly MeasureKey[];
