/**
 * How long a dressing may be kept, and whether cold: the least of all limits, with its name. The day
 * of making is day 1, at 5 °C or below. Days: estimates, bounded by the date marking of the FDA Food
 * Code (3-501.17, 7 days, as recalled). A kitchen may shorten them.
 */
import { countedOwnPh, isMildPiece } from '#core/acidity';
import type { Hazard, Ingredient } from '#core/ingredient';
import { atMost, isTcs, PH_LINES, SOME_ACID, STRONG_ACID, SYRUP_ACTIVITY, THIN_ACTIVITY } from './foodCode';
import { isDryPart, keepsOpened, type SafetyPart } from './parts';
import { hasWetToTaste, type SafetyState } from './state';
import type { UnderOil } from './underOil';

/** On a tie the earlier one names the limit. */
export const LIMIT_NAMES = [
  ...(['avocado', 'raw_egg', 'sprouts', 'raw_food', 'low_acid', 'not_all_read', 'no_acid_reserve'] as const),
  ...(['cooked_food', 'under_oil', 'pasteurised_egg', 'plant_protein', 'raw_allium'] as const),
  ...(['cooked_allium', 'fresh_herb', 'cut_plant', 'unlisted', 'opened_preserve'] as const),
  ...(['dairy', 'soft_or_blue_cheese', 'mayonnaise', 'fish', 'sour_juice'] as const),
  ...(['tcs', 'weak_acid', 'shelf'] as const),
] as const;
export type LimitName = (typeof LIMIT_NAMES)[number];

export interface Keeping {
  readonly days: number;
  /** What sets the days. */
  readonly limit: LimitName;
  /** Who brings it; empty where the whole does. */
  readonly ingredients: readonly Ingredient[];
  /** Must be held at 5 °C or below from the start. */
  readonly cold: boolean;
}

export const SHELF_DAYS = 14;
export const UNDER_OIL_DAYS = 4;
export const LOW_ACID_DAYS = 3;

/** Days of each limit; `null`: {@link juiceDays}. Every hazard's row asks for the cold, whatever the acid. */
export const LIMIT_DAYS: Readonly<Record<LimitName, number | null>> = {
  avocado: 1,
  raw_egg: 2,
  sprouts: 2,
  raw_food: 2,
  low_acid: LOW_ACID_DAYS,
  not_all_read: 3,
  no_acid_reserve: 3,
  cooked_food: 3,
  under_oil: UNDER_OIL_DAYS,
  pasteurised_egg: 4,
  plant_protein: 4,
  raw_allium: 4,
  cooked_allium: 4,
  fresh_herb: 4,
  cut_plant: 4,
  unlisted: 4,
  opened_preserve: 4,
  dairy: 5,
  soft_or_blue_cheese: 5,
  mayonnaise: 5,
  fish: 5,
  sour_juice: null,
  tcs: 7,
  weak_acid: 7,
  shelf: SHELF_DAYS,
};
const JUICE_DAYS = { sour: 7, else: 4 };

/** Hazards that perish, and the limit each sets. */
const LIMIT_OF_HAZARD: Partial<Record<Hazard, LimitName>> = {
  avocado: 'avocado',
  raw_egg: 'raw_egg',
  sprouts: 'sprouts',
  raw_food: 'raw_food',
  cooked_food: 'cooked_food',
  pasteurised_egg: 'pasteurised_egg',
  plant_protein: 'plant_protein',
  raw_allium: 'raw_allium',
  cooked_allium: 'cooked_allium',
  fresh_herb: 'fresh_herb',
  raw_vegetable_or_fruit: 'cut_plant',
  unlisted: 'unlisted',
  opened_preserve: 'opened_preserve',
  dairy: 'dairy',
  soft_or_blue_cheese: 'soft_or_blue_cheese',
  mayonnaise: 'mayonnaise',
  fish: 'fish',
  sour_juice: 'sour_juice',
};
/** What a maker's salt, sugar or acid keeps for months once opened sets no limit. */
const KEPT_BY_ITS_MAKER: ReadonlySet<Hazard> = new Set<Hazard>(['opened_preserve', 'fish']);
const MOST_SOUR_JUICE_PH = 3;

interface Limit {
  readonly limit: LimitName;
  readonly days: number;
  readonly ingredients: readonly Ingredient[];
}

export function keepingOf(state: SafetyState, underOil: UnderOil | null): Keeping {
  const perishable = perishableLimits(state, underOil);
  const limits = [...perishable, ...acidLimits(state, perishable.length > 0)];
  const least = limits.reduce((a, b) => (isEarlier(b, a) ? b : a));
  return {
    days: least.days,
    limit: least.limit,
    ingredients: least.ingredients,
    cold: !maySitUncooled(state, perishable.length > 0),
  };
}

const isEarlier = (a: Limit, b: Limit): boolean =>
  a.days < b.days || (a.days === b.days && LIMIT_NAMES.indexOf(a.limit) < LIMIT_NAMES.indexOf(b.limit));

/** Every row marked perishable that applies. */
function perishableLimits(state: SafetyState, underOil: UnderOil | null): readonly Limit[] {
  const found = new Map<LimitName, readonly Ingredient[]>();
  for (const [hazard] of state.hazards) {
    const limit = LIMIT_OF_HAZARD[hazard];
    if (!limit) continue;
    const from = bringing(state.parts, hazard, state);
    if (from.length > 0) found.set(limit, from);
  }
  for (const hazard of state.wordedHazards) {
    const limit = LIMIT_OF_HAZARD[hazard];
    if (limit && !found.has(limit)) found.set(limit, []);
  }
  if (state.unread.length > 0) found.set('not_all_read', []);
  if (underOil) found.set('under_oil', underOil.plants);
  return [...found].map(([limit, ingredients]) => ({
    limit,
    ingredients,
    days: LIMIT_DAYS[limit] ?? juiceDays(state, ingredients),
  }));
}

function bringing(
  parts: readonly SafetyPart[],
  hazard: Hazard,
  { hazards }: SafetyState,
): readonly Ingredient[] {
  const from = hazards.get(hazard) ?? [];
  if (!KEPT_BY_ITS_MAKER.has(hazard)) return from;
  return from.filter((ingredient) =>
    parts.some((part) => part.ingredient === ingredient && !keepsOpened(part)),
  );
}

/** Fresh sour juice is cold for flavour and yeast: a week while all of it is sour, else like other fruit. */
function juiceDays({ ph }: SafetyState, juices: readonly Ingredient[]): number {
  const sour = juices.every((juice) => (countedOwnPh(juice) ?? 7) <= MOST_SOUR_JUICE_PH);
  return sour && atMost(ph.upper, PH_LINES.sourJuice) ? JUICE_DAYS.sour : JUICE_DAYS.else;
}

/** What acid, water and salt set, whatever is in it. */
function acidLimits(state: SafetyState, perishable: boolean): readonly Limit[] {
  const whole = (limit: LimitName, days: number): Limit => ({ limit, days, ingredients: [] });
  const limits = [whole('shelf', SHELF_DAYS)];
  if (state.isDry) return limits;
  const { waterActivityUpper: activity, acidInWaterPhase: acid } = state;
  const control = controlOf(state, perishable);
  if (control !== 'none') limits.push(control === 'tcs' ? whole('tcs', 7) : whole('low_acid', LOW_ACID_DAYS));
  if (activity > THIN_ACTIVITY) {
    if (acid < SOME_ACID) limits.push(whole('no_acid_reserve', 3));
    else if (acid < STRONG_ACID) limits.push(whole('weak_acid', 7));
  }
  return limits;
}

function controlOf(state: SafetyState, perishable: boolean): 'none' | 'tcs' | 'low_acid' {
  const { ph, waterActivityUpper, byHand, isDry } = state;
  if (isDry || !isTcs(ph.upper, waterActivityUpper, !perishable && byHand.length === 0)) return 'none';
  return atMost(ph.upper, PH_LINES.tableB[1]) ? 'tcs' : 'low_acid';
}

/** Neither acid nor dry enough by its numbers, whatever else shortens it. */
export const isLowAcid = (state: SafetyState, underOil: UnderOil | null): boolean =>
  controlOf(state, perishableLimits(state, underOil).length > 0) === 'low_acid';

/** One of three shown reasons, in full; never because something is unknown, and never by a meter. */
function maySitUncooled(state: SafetyState, perishable: boolean): boolean {
  const { parts, byHand, ph, aceticInWaterPhase, waterActivityUpper } = state;
  const pieces = parts.some(isMildPiece);
  if (perishable || byHand.length > 0 || pieces || hasWetToTaste(parts)) return false;
  const sour = atMost(ph.calculated, PH_LINES.uncooled) && aceticInWaterPhase >= STRONG_ACID;
  return state.isDry || sour || (waterActivityUpper <= SYRUP_ACTIVITY && allDissolved(parts));
}

const DISSOLVING: ReadonlySet<string> = new Set(['oil', 'salt', 'sweet']);
const allDissolved = (parts: readonly SafetyPart[]): boolean =>
  parts.every((part) => !isDryPart(part) || DISSOLVING.has(part.ingredient.category));
