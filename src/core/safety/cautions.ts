/**
 * The usual cautions, as data: what, why, against which line. They estimate and never certify;
 * none of them can be switched off by a low pH.
 */
import { acidityOf, type PhReading } from '#core/acidity';
import type { Portion } from '#core/composition';
import { pouredOilOf, type Hazard, type Ingredient } from '#core/ingredient';
import type { Keeping } from './keeping';
import { THRESHOLDS, type Threshold, type ThresholdKey } from './thresholds';

export const CAUTION_CODES = [
  ...([
    'infused_oil',
    'raw_egg',
    'raw_egg_acid',
    'high_ph',
    'cold_holding',
    'garlic_or_herb_under_oil',
  ] as const),
  ...(['susceptible_guests', 'menu_notice', 'infants_honey', 'cold_service', 'salt_undissolved'] as const),
  ...(['soy_oil', 'boil_dried_beans', 'acid_and_metal', 'dressed_dishes', 'marinade', 'local_code'] as const),
] as const;
export type CautionCode = (typeof CAUTION_CODES)[number];

export type CautionWeight =
  /** Someone may come to harm. */
  | 'grave'
  /** To be done whenever this is made. */
  | 'care'
  /** Good to know. */
  | 'note';

export interface Caution {
  readonly code: CautionCode;
  readonly weight: CautionWeight;
  /** What was found, in the unit of the limit; null where there is nothing to measure. */
  readonly value: number | null;
  readonly limit: number | null;
  readonly unit: string;
  readonly source: string;
  readonly ingredients: readonly Ingredient[];
}

const ALLIUM_OR_HERB: readonly Hazard[] = ['raw_allium', 'cooked_allium', 'fresh_herb'];
const SUSCEPTIBLE: readonly Hazard[] = ['raw_egg', 'soft_or_blue_cheese'];
const OIL_SHARE = 0.05;
const SOUR_MASS_FRACTION = 0.001;

export interface CautionContext {
  readonly ph: PhReading;
  readonly keeping: Keeping;
  readonly saltUndissolved: boolean;
  readonly saltOfWaterPhase: number | null;
}

/** Graver first. */
export function cautionsOf(portions: readonly Portion[], context: CautionContext): readonly Caution[] {
  // What goes in "to taste" weighs nothing here and is in the jar all the same.
  if (portions.length === 0) return [];
  const { ph, keeping } = context;
  const withHazard = (hazards: readonly Hazard[]): readonly Ingredient[] => [
    ...new Set(
      portions
        .map(({ ingredient }) => ingredient)
        .filter((ingredient) => ingredient.hazards.some((hazard) => hazards.includes(hazard))),
    ),
  ];
  const cautions: Caution[] = [];
  const add = (
    code: CautionCode,
    weight: CautionWeight,
    threshold: ThresholdKey,
    about: { value?: number | null; limit?: number | null; ingredients?: readonly Ingredient[] } = {},
  ): void => {
    const { value: line, unit, source }: Threshold = THRESHOLDS[threshold];
    const measured = unit !== '';
    cautions.push({
      code,
      weight,
      value: about.value ?? null,
      limit: about.limit === undefined ? (measured ? line : null) : about.limit,
      unit,
      source,
      ingredients: about.ingredients ?? [],
    });
  };

  const total = portions.reduce((sum, { massG }) => sum + massG.nominal, 0);
  const pouredOil = portions.filter(({ ingredient }) => ingredient.category === 'oil');
  const oilG = portions.reduce(
    (sum, { ingredient, massG }) => sum + pouredOilOf(ingredient).g * massG.nominal,
    0,
  );
  const oilShare = total > 0 ? oilG / total : 0;
  const green = withHazard(ALLIUM_OR_HERB);
  const infused =
    green.length > 0 &&
    oilShare > OIL_SHARE &&
    (ph.reasons.includes('too-little-water') || ph.reasons.includes('water-from-plants-only'));
  if (infused) add('infused_oil', 'grave', 'garlicOilDays', { value: keeping.days, ingredients: green });

  const rawEgg = withHazard(['raw_egg']);
  if (rawEgg.length > 0) {
    add('raw_egg', 'grave', 'rawEggServed', { ingredients: rawEgg });
    if (ph.status !== 'below_calculated') {
      const acetic = acidityOf(portions)?.aceticInWaterPhaseMassFraction ?? 0;
      const shortOfAcetic = acetic < THRESHOLDS.rawEggAcetic.value;
      if (ph.high !== null && ph.high > THRESHOLDS.rawEggPh.value) {
        add('raw_egg_acid', 'grave', 'rawEggPh', { value: ph.high, ingredients: rawEgg });
      } else if (shortOfAcetic) {
        add('raw_egg_acid', 'grave', 'rawEggAcetic', { value: acetic, ingredients: rawEgg });
      } else add('raw_egg_acid', 'grave', 'rawEggPh', { ingredients: rawEgg });
    }
  }
  if (ph.high !== null && ph.high > THRESHOLDS.alarmPh.value)
    add('high_ph', 'grave', 'alarmPh', { value: ph.high });
  if (keeping.cold) {
    add('cold_holding', 'care', 'coldC', { ingredients: keeping.ingredients });
    add('cold_service', 'care', 'outOfColdServiceH');
  }
  if (!infused && green.length > 0 && oilShare > OIL_SHARE) {
    add('garlic_or_herb_under_oil', 'care', 'garlicOilDays', { value: keeping.days, ingredients: green });
  }
  const susceptible = withHazard(SUSCEPTIBLE);
  if (susceptible.length > 0)
    add('susceptible_guests', 'care', 'consumerNotice', { ingredients: susceptible });
  if (rawEgg.length > 0) add('menu_notice', 'care', 'consumerNotice', { ingredients: rawEgg });
  const honey = withHazard(['honey']);
  if (honey.length > 0) add('infants_honey', 'care', 'honeyMonths', { ingredients: honey });
  if (context.saltUndissolved)
    add('salt_undissolved', 'care', 'saltSaturation', { value: context.saltOfWaterPhase });
  const soy = pouredOil
    .map(({ ingredient }) => ingredient)
    .filter(({ allergensEu14 }) => allergensEu14.includes('soy'));
  if (soy.length > 0) add('soy_oil', 'note', 'allergensEu', { limit: null, ingredients: soy });
  const beans = withHazard(['plant_protein']).filter(
    ({ composition }) => composition.otherCarbohydrate > 0.1,
  );
  if (beans.length > 0) add('boil_dried_beans', 'note', 'driedBeansBoilMin', { ingredients: beans });
  if ((acidityOf(portions)?.tastedAcidityAsAceticMassFraction ?? 0) > SOUR_MASS_FRACTION) {
    add('acid_and_metal', 'note', 'acidMetal');
  }
  add('dressed_dishes', 'note', 'outOfColdServiceH');
  add('marinade', 'note', 'marinade');
  add('local_code', 'note', 'coldC', { limit: null });
  const rank: Record<CautionWeight, number> = { grave: 0, care: 1, note: 2 };
  return cautions.sort((a, b) => rank[a.weight] - rank[b.weight]);
}
