/** Every measure of the composition as N/D, both linear in the grams of each ingredient. */
import { acidLiquidOf, pouredOilOf, type Ingredient } from '#core/ingredient';
import { mixedVolumeMlPerG } from './mixedVolume';

/** What one gram of an ingredient adds to numerator and denominator. */
export interface LinearMeasure {
  readonly numerator: (ingredient: Ingredient) => number;
  readonly denominator: (ingredient: Ingredient) => number;
}

const one = (): number => 1;
const perGram = (value: (i: Ingredient) => number): LinearMeasure => ({
  numerator: value,
  denominator: one,
});

export const sugarsOf = ({ composition: c }: Ingredient): number =>
  c.sucrose + c.glucose + c.fructose + c.lactose;

export const MEASURES = {
  /** Poured oil to acidic liquid (vinegar, citrus), both as poured. */
  oilToAcidVolumeRatio: {
    numerator: (i) => pouredOilOf(i).ml,
    denominator: (i) => acidLiquidOf(i).ml,
  },
  oilToAcidMassRatio: {
    numerator: (i) => pouredOilOf(i).g,
    denominator: (i) => acidLiquidOf(i).g,
  },
  oilMassFraction: perGram((i) => pouredOilOf(i).g),
  fatMassFraction: perGram((i) => i.composition.fat),
  oilVolumeFraction: {
    numerator: (i) => pouredOilOf(i).ml,
    denominator: mixedVolumeMlPerG,
  },
  waterMassFraction: perGram((i) => i.composition.water),
  saltEquivalentMassFraction: perGram((i) => i.composition.salt),
  sugarMassFraction: perGram(sugarsOf),
} as const satisfies Record<string, LinearMeasure>;

export type MeasureKey = keyof typeof MEASURES;
export const MEASURE_KEYS = Object.keys(MEASURES) as readonly MeasureKey[];
