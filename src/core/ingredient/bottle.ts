/** The very bottle in use: its own label strength or measured pH stands in for the table's. */
import type { Ingredient } from './ingredient';

export interface BottleValues {
  /** Acidity as printed, g per 100 ml as acetic acid; null: as the table. */
  readonly acidityGPer100Ml: number | null;
  /** Read with a calibrated meter on the bottle itself; null: as the table. */
  readonly ph: number | null;
}

/** What an acidity on a bottle may be; beyond it something was mistyped. Spirit vinegars for cleaning reach 25. */
export const ACIDITY_LIMITS = { low: 0.5, high: 30 } as const;

/**
 * The ingredient with the bottle's values. A label's acidity is g/100 ml, so its mass fraction is
 * acidity / density / 100 (EU and US label practice); what the acid gains the water loses. Only
 * things whose main acid is acetic take a label acidity; others keep theirs.
 */
export function withBottle(ingredient: Ingredient, bottle: BottleValues): Ingredient {
  const { composition, spoonDensityGPerMl } = ingredient;
  const { acidityGPer100Ml, ph } = bottle;
  let next = composition;
  if (acidityGPer100Ml !== null && composition.acetic > 0) {
    const acetic = acidityGPer100Ml / spoonDensityGPerMl / 100;
    next = { ...composition, acetic, water: Math.max(0, composition.water - (acetic - composition.acetic)) };
  }
  return {
    ...ingredient,
    composition: next,
    typicalPh: ph ?? ingredient.typicalPh,
    phMeasured: ph !== null,
    tablePh: ingredient.typicalPh,
  };
}

export const takesLabelAcidity = (ingredient: Ingredient): boolean => ingredient.composition.acetic > 0;
