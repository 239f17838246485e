/**
 * How long a dressing may be kept at 5 °C or below, the day of making being day 1: the least of
 * all that apply. Days: estimate, after the date-marking of the FDA Food Code (7 at most) and home
 * advice. A kitchen may shorten them. Acid never lengthens them; a calculated pH may shorten.
 */
import type { PhReading } from '#core/acidity';
import type { Portion } from '#core/composition';
import type { Hazard, Ingredient } from '#core/ingredient';
import { THRESHOLDS } from './thresholds';

export type KeepingReason = Hazard | 'shelf_stable' | 'high_ph' | 'not_all_read';

export interface Keeping {
  readonly days: number;
  readonly reason: KeepingReason;
  /** What sets the limit. */
  readonly ingredients: readonly Ingredient[];
  /** Must be held cold from the start. */
  readonly cold: boolean;
}

export const SHELF_STABLE_DAYS = 14;
export const HIGH_PH_DAYS = 3;
const UNREAD_DAYS = 4;

export const HAZARD_DAYS: Readonly<Record<Hazard, number>> = {
  raw_egg: 2,
  pasteurised_egg: 4,
  mayonnaise: 5,
  dairy: 5,
  soft_or_blue_cheese: 5,
  fish: 5,
  raw_allium: 4,
  cooked_allium: 4,
  fresh_herb: 4,
  raw_vegetable_or_fruit: 4,
  opened_preserve: 4,
  plant_protein: 4,
  avocado: 1,
  unlisted: 4,
  honey: SHELF_STABLE_DAYS,
  dry: SHELF_STABLE_DAYS,
};
const NOT_PERISHABLE: ReadonlySet<Hazard> = new Set<Hazard>(['honey', 'dry']);

/** Days of one hazard of one ingredient: what keeps for months once opened is not what sets the limit. */
function daysOf(ingredient: Ingredient, hazard: Hazard): number {
  return hazard === 'opened_preserve' && ingredient.keepsOpened ? SHELF_STABLE_DAYS : HAZARD_DAYS[hazard];
}

/** @param unreadCount lines that could not be read: taken to be perishable */
export function keepingOf(portions: readonly Portion[], ph: PhReading, unreadCount = 0): Keeping {
  let keeping: Keeping = { days: SHELF_STABLE_DAYS, reason: 'shelf_stable', ingredients: [], cold: false };
  const shorten = (days: number, reason: KeepingReason, ingredient: Ingredient | null): void => {
    if (days < keeping.days)
      keeping = { days, reason, ingredients: ingredient ? [ingredient] : [], cold: true };
    else if (days === keeping.days && reason === keeping.reason && ingredient) {
      keeping = { ...keeping, ingredients: [...keeping.ingredients, ingredient] };
    }
  };
  // What goes in "to taste" weighs nothing here and is in the jar all the same.
  for (const { ingredient } of portions) {
    for (const hazard of ingredient.hazards) {
      if (!NOT_PERISHABLE.has(hazard)) shorten(daysOf(ingredient, hazard), hazard, ingredient);
    }
  }
  if (unreadCount > 0) shorten(UNREAD_DAYS, 'not_all_read', null);
  if (ph.high !== null && ph.high > THRESHOLDS.alarmPh.value) shorten(HIGH_PH_DAYS, 'high_ph', null);
  return keeping;
}
