/**
 * Volume once mixed, 20 °C: ideal mixing of component volumes. A teaspoon of salt does not take
 * 5 ml in the jar, it takes about 1.9.
 *
 * Apparent specific volumes (ml/g), tag: estimate; fitted so that 10 % NaCl gives 1.071 g/ml (CRC
 * Handbook: 1.0707) and 50 % sucrose 1.233 g/ml (ICUMSA: 1.2296). Poured oils keep their own
 * density. Not for dry mixes: air between grains is not counted.
 */
import type { Ingredient } from '#core/ingredient';

const SPECIFIC_VOLUME_ML_PER_G = {
  water: 1.002,
  fat: 1.09,
  protein: 0.74,
  carbohydrate: 0.62,
  salt: 0.31,
  acetic: 0.87,
  otherAcids: 0.6,
  /** In much water: 12 % by weight is 0.979 g/ml (CRC Handbook, recalled). */
  ethanol: 1.18,
  remainder: 0.5,
} as const;

/** Lipoprotein of yolk is denser than oil; estimate. */
const BOUND_LIPID_ML_PER_G = 0.98;

const known = new WeakMap<Ingredient, number>();

/** Millilitres that one gram takes once mixed (0.3-1.1). */
export function mixedVolumeMlPerG(ingredient: Ingredient): number {
  let volume = known.get(ingredient);
  if (volume === undefined) {
    volume = reckon(ingredient);
    known.set(ingredient, volume);
  }
  return volume;
}

function reckon(ingredient: Ingredient): number {
  if (ingredient.made) return ingredient.made.mixedVolumeMlPerG;
  if (ingredient.category === 'oil') return 1 / ingredient.spoonDensityGPerMl;
  const c = ingredient.composition;
  const v = SPECIFIC_VOLUME_ML_PER_G;
  const carbohydrate = c.sucrose + c.glucose + c.fructose + c.lactose + c.otherCarbohydrate;
  const otherAcids = c.citric + c.lactic + c.malic + c.tartaric;
  const listed = c.water + c.fat + c.protein + carbohydrate + c.salt + c.acetic + otherAcids + c.ethanol;
  return (
    v.water * c.water +
    (ingredient.emulsion?.oilState === 'bound' ? BOUND_LIPID_ML_PER_G : v.fat) * c.fat +
    v.protein * c.protein +
    v.carbohydrate * carbohydrate +
    v.salt * c.salt +
    v.acetic * c.acetic +
    v.otherAcids * otherAcids +
    v.ethanol * c.ethanol +
    v.remainder * Math.max(0, 1 - listed)
  );
}
