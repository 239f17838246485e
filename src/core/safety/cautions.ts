/**
 * The usual cautions, as data: what, why, against which line, in three tiers. They estimate and never
 * certify. What takes one away stands where it is found, nowhere else; see ARCHITECTURE, "safety".
 */
import type { Hazard, Ingredient } from '#core/ingredient';
import type { Allergens } from './allergens';
import { atMost, PH_LINES, STRONG_ACID } from './foodCode';
import { isLowAcid, type Keeping } from './keeping';
import { namesRawBeans } from './lineWords';
import { poursOil } from './parts';
import type { SafetyState } from './state';
import { THRESHOLDS, type Threshold, type ThresholdKey } from './thresholds';
import { driedUnderOil, type UnderOil } from './underOil';

export type CautionTier =
  /** What may hurt somebody now. */
  | 1
  /** Keeping, and what to do in making. */
  | 2
  /** On request. */
  | 3;

interface CautionRow {
  readonly tier: CautionTier;
  /** Said when it is served; elsewhere on request. */
  readonly whenServed: boolean;
  readonly line: ThresholdKey;
}
const row = (tier: CautionTier, line: ThresholdKey, whenServed = false): CautionRow => ({
  tier,
  line,
  whenServed,
});

/** In the order they are said. */
export const CAUTION_TABLE = {
  infused_oil: row(1, 'garlicOilDays'),
  raw_egg: row(1, 'rawEggServed'),
  raw_egg_acid: row(1, 'rawEggPh'),
  sprouts: row(1, 'sprouts'),
  raw_food: row(1, 'rawFood'),
  allergen_unknown: row(1, 'allergensEu'),
  infants_honey: row(1, 'honeyMonths'),
  unread: row(2, 'unread'),
  high_ph: row(2, 'alarmPh'),
  cold_holding: row(2, 'coldC'),
  garlic_or_herb_under_oil: row(2, 'garlicOilDays'),
  boil_dried_beans: row(2, 'driedBeansBoilMin'),
  keep_dry: row(2, 'garlicOilDays'),
  susceptible_guests: row(2, 'consumerNotice', true),
  menu_notice: row(2, 'consumerNotice', true),
  cold_service: row(2, 'outOfColdServiceH', true),
  salt_undissolved: row(3, 'saltSaturation'),
  soy_oil: row(3, 'allergensEu'),
  acid_and_metal: row(3, 'acidMetal'),
  dressed_dishes: row(3, 'outOfColdServiceH'),
  marinade: row(3, 'marinade'),
  local_code: row(3, 'coldC'),
} as const satisfies Record<string, CautionRow>;
export type CautionCode = keyof typeof CAUTION_TABLE;
export const CAUTION_CODES = Object.keys(CAUTION_TABLE) as readonly CautionCode[];

export interface Caution {
  readonly code: CautionCode;
  readonly tier: CautionTier;
  readonly whenServed: boolean;
  /** What was found, in the unit of the limit; null where there is nothing to measure, or it is not known. */
  readonly value: number | null;
  readonly limit: number | null;
  readonly unit: string;
  readonly source: string;
  readonly ingredients: readonly Ingredient[];
  /** As typed: lines that could not be read, ingredients nobody was asked about. */
  readonly words: readonly string[];
}

const SUSCEPTIBLE: readonly Hazard[] = ['raw_egg', 'soft_or_blue_cheese', 'sprouts', 'raw_food'];
/** Share of the whole, as acetic; sour enough to take metal up. Common practice. */
const SOUR_MASS_FRACTION = 0.001;

export interface CautionContext {
  readonly keeping: Keeping;
  readonly underOil: UnderOil | null;
  readonly allergens: Allergens;
  readonly saltUndissolved: boolean;
  readonly saltOfWaterPhase: number | null;
}

/** Graver first; none for an empty jar. */
export function cautionsOf(state: SafetyState, context: CautionContext): readonly Caution[] {
  if (state.parts.length === 0 && state.unread.length === 0) return [];
  const { keeping, underOil, allergens } = context;
  const { ph } = state;
  const cautions: Caution[] = [];
  const add = (
    code: CautionCode,
    about: Partial<Pick<Caution, 'value' | 'limit' | 'ingredients' | 'words'>> & { line?: ThresholdKey } = {},
  ): void => {
    const { tier, whenServed, line } = CAUTION_TABLE[code];
    const { value, unit, source }: Threshold = THRESHOLDS[about.line ?? line];
    cautions.push({
      code,
      tier,
      whenServed,
      unit,
      source,
      value: about.value ?? null,
      limit: about.limit === undefined ? (unit === '' ? null : value) : about.limit,
      ingredients: about.ingredients ?? [],
      words: about.words ?? [],
    });
  };
  const from = (...hazards: readonly Hazard[]): readonly Ingredient[] => [
    ...new Set(hazards.flatMap((hazard) => state.hazards.get(hazard) ?? [])),
  ];
  const has = (...hazards: readonly Hazard[]): boolean =>
    hazards.some((hazard) => state.hazards.has(hazard) || state.wordedHazards.has(hazard));

  if (underOil && !underOil.reached)
    add('infused_oil', { value: keeping.days, ingredients: underOil.plants });
  if (has('raw_egg')) {
    add('raw_egg', { ingredients: from('raw_egg') });
    if (!atMost(ph.upper, PH_LINES.rawEgg)) add('raw_egg_acid', { value: ph.upper });
    else if (state.aceticInWaterPhase < STRONG_ACID)
      add('raw_egg_acid', { line: 'rawEggAcetic', value: state.aceticInWaterPhase });
  }
  if (has('sprouts')) add('sprouts', { ingredients: from('sprouts') });
  if (has('raw_food')) add('raw_food', { ingredients: from('raw_food') });
  if (allergens.missing.length > 0) add('allergen_unknown', { limit: null, words: allergens.missing });
  if (has('honey')) add('infants_honey', { ingredients: from('honey') });

  if (state.unread.length > 0) add('unread', { words: state.unread });
  // Where a line is not read, that line is what to mend, and the days are its own.
  else if (isLowAcid(state, underOil)) add('high_ph', { value: ph.upper });
  if (keeping.cold) {
    add('cold_holding', { ingredients: keeping.ingredients });
    add('cold_service');
  }
  if (underOil?.reached)
    add('garlic_or_herb_under_oil', { value: keeping.days, ingredients: underOil.plants });
  const rawBeans = [
    ...state.parts.flatMap(({ ingredient, form = '' }) =>
      ingredient.traits.includes('bean') ? [`${form} ${ingredient.name}`] : [],
    ),
    ...state.unread,
  ].filter(namesRawBeans);
  if (rawBeans.length > 0) add('boil_dried_beans', { words: rawBeans });
  const dried = driedUnderOil(state);
  if (dried.length > 0) add('keep_dry', { limit: null, ingredients: dried });
  if (has(...SUSCEPTIBLE)) add('susceptible_guests', { ingredients: from(...SUSCEPTIBLE) });
  if (has('raw_egg')) add('menu_notice', { ingredients: from('raw_egg') });

  if (context.saltUndissolved) add('salt_undissolved', { value: context.saltOfWaterPhase });
  const soy = state.parts
    .filter((part) => poursOil(part) && part.ingredient.allergensEu14.includes('soy'))
    .map(({ ingredient }) => ingredient);
  if (soy.length > 0) add('soy_oil', { limit: null, ingredients: [...new Set(soy)] });
  if (state.acidInWaterPhase > SOUR_MASS_FRACTION) add('acid_and_metal');
  add('dressed_dishes');
  add('marinade');
  add('local_code', { limit: null });
  return inOrder(cautions);
}

export const inOrder = (cautions: readonly Caution[]): readonly Caution[] =>
  [...cautions].sort(
    (a, b) => a.tier - b.tier || CAUTION_CODES.indexOf(a.code) - CAUTION_CODES.indexOf(b.code),
  );
