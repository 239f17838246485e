/**
 * Each ingredient's strong ion difference: what makes the charge balance give the ingredient,
 * alone, its own pH. Additive, so that mixtures follow from their parts. Solved once an ingredient
 * (and corner of uncertainty) and kept.
 */
import type { Ingredient } from '#core/ingredient';
import { ACID_KEYS, ACIDS, NACL_G_PER_MOL, type AcidKey } from './acids';
import { strongIonDifferenceAt } from './chargeBalance';

/** One assumption about what the table does not know for sure. */
export interface Corner {
  readonly bufferFactor: number;
  readonly acidFactor: number;
  /** In standard shifts of the table's pH: −1, 0 or 1. */
  readonly phShift: number;
  /** 0: the salt's effect on the acids is left out. */
  readonly saltFactor: number;
}
export const CENTRE: Corner = { bufferFactor: 1, acidFactor: 1, phShift: 0, saltFactor: 1 };

/** Spread of a type's pH from bottle to bottle, and of one that was measured; tag: estimate. */
const PH_SPREAD = { table: 0.2, measured: 0.1 };
/** Below this there is no water phase of its own. */
const LEAST_WATER = 0.05;

/** mol per g of ingredient. */
export const acidMolPerG = (ingredient: Ingredient, key: AcidKey): number =>
  ingredient.composition[key] / ACIDS[key].molarMassGPerMol;

/** All protons its organic acids could give, meq/100 g. */
export function organicAcidMeqPer100G(ingredient: Ingredient): number {
  return ACID_KEYS.reduce((sum, key) => sum + 1e5 * ACIDS[key].pKa.length * acidMolPerG(ingredient, key), 0);
}

/** Eq of protons per pH unit and g of ingredient. */
export const bufferEqPerPhPerG = ({ composition, proteinBufferMmolPerPhPerG }: Ingredient): number =>
  (composition.protein * proteinBufferMmolPerPhPerG) / 1000;

const keyOf = ({ bufferFactor, acidFactor, phShift, saltFactor }: Corner): string =>
  `${bufferFactor}/${acidFactor}/${phShift}/${saltFactor}`;
const known = new WeakMap<Ingredient, Map<string, number>>();

/** meq/100 g. Dry rows have none; dry rows that carry acid count it half neutralised (estimate). */
export function strongIonDifferenceMeqPer100G(ingredient: Ingredient, corner: Corner = CENTRE): number {
  let values = known.get(ingredient);
  if (!values) known.set(ingredient, (values = new Map()));
  const key = keyOf(corner);
  let value = values.get(key);
  if (value === undefined) values.set(key, (value = solve(ingredient, corner)));
  return value;
}

function solve(ingredient: Ingredient, corner: Corner): number {
  const { composition, typicalPh } = ingredient;
  const { water } = composition;
  if (water <= LEAST_WATER || typicalPh === null || ingredient.category === 'water') {
    return (organicAcidMeqPer100G(ingredient) * corner.acidFactor) / 2;
  }
  const spread = ingredient.phMeasured ? PH_SPREAD.measured : PH_SPREAD.table;
  const perKgWater = 1000 / water;
  const eqPerKg = strongIonDifferenceAt(typicalPh + corner.phShift * spread, {
    acidMolPerKg: Object.fromEntries(
      ACID_KEYS.map((key) => [key, acidMolPerG(ingredient, key) * corner.acidFactor * perKgWater]),
    ) as Record<AcidKey, number>,
    bufferEqPerPhPerKg: bufferEqPerPhPerG(ingredient) * corner.bufferFactor * perKgWater,
    saltMolPerKg: (composition.salt / NACL_G_PER_MOL) * perKgWater * corner.saltFactor,
  });
  // eq/kg water × g water in 100 g = meq/100 g
  return eqPerKg * water * 100;
}
