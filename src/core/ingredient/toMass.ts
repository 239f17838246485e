/**
 * Amount of an ingredient to grams.
 *
 * Volume by the spoon density (g = ρ · ml); a weighed spoon or unit in the row overrides it. Spoon
 * weights in rows are of US spoons and are scaled to the kitchen's own. Counted units are already
 * edible grams. All ranges (amount, size, unit) multiply.
 */
import {
  DEFAULT_PART_VOLUME_ML,
  DEFAULT_SMALL_MEASURES,
  DRY_BIT_ML,
  exactly,
  GRAMS_PER,
  isLooseUnit,
  isMassUnit,
  isSmallMassUnit,
  isSmallVolumeUnit,
  isVolumeUnit,
  LOOSE_ML,
  less,
  plus,
  range,
  scaled,
  EGG_SIZE_FACTORS,
  SIZE_FACTORS,
  SPOON_VOLUMES,
  times,
  unitVolumeMl,
  type Amount,
  type AmountTerm,
  type Doubt,
  type Problem,
  type Range,
  type Size,
  type SmallMeasures,
  type SpoonSystem,
  type Unit,
} from '#core/quantity';
import { isPoured } from './category';
import type { Ingredient } from './ingredient';
import type { OwnMeasure, OwnMeasures } from './ownMeasure';
import { spreadOf } from './row';

/** How this kitchen measures. */
export interface Measuring {
  readonly spoons: SpoonSystem;
  readonly partVolumeMl: number;
  readonly smallMeasures: SmallMeasures;
  /** What cooks of this kitchen weighed themselves; left out: nothing. */
  readonly own?: OwnMeasures;
}

export const measuringWith = (
  spoons: SpoonSystem,
  partVolumeMl: number = DEFAULT_PART_VOLUME_ML,
): Measuring => ({ spoons, partVolumeMl, smallMeasures: DEFAULT_SMALL_MEASURES });

export type MassReading =
  | { readonly status: 'read'; readonly massG: Range; readonly doubts: readonly Doubt[] }
  | { readonly status: 'unread'; readonly problem: Problem };

/** Nobody fills more than this into one dressing; beyond it a digit slipped. */
const LIMIT_KG = 1000;

/**
 * @param own the cook's own measure the amount was typed with; null: the kitchen's
 * @param form what was done to it ("chopped", "leaves"): some units weigh otherwise then
 * @returns grams, or why it cannot be said; "to taste" is 0 g and listed all the same
 */
export function toMass(
  amount: Amount,
  ingredient: Ingredient,
  measuring: Measuring,
  form = '',
  own: OwnMeasure | null = null,
): MassReading {
  if (amount.kind === 'to-taste') return { status: 'read', massG: exactly(0), doubts: [] };
  let massG = exactly(0);
  const doubts: Doubt[] = [];
  for (const term of amount.terms) {
    const weight =
      own?.unit === term.unit
        ? { massG: ownWeight(own, ingredient, term) }
        : weightOfOne(term, ingredient, measuring, form);
    if ('code' in weight) return { status: 'unread', problem: weight };
    massG = (term.minus ? less : plus)(massG, times(term.count, weight.massG));
    if (weight.doubt) doubts.push(weight.doubt);
  }
  if (amount.terms.some(({ minus }) => minus) && massG.low <= 0)
    return { status: 'unread', problem: { code: 'negative', text: ingredient.name } };
  if (massG.high > LIMIT_KG * 1000) {
    return { status: 'unread', problem: { code: 'too-large', limitKg: LIMIT_KG } };
  }
  return { status: 'read', massG, doubts };
}

/** Of another thing the same hand takes the same volume; what is counted by weight stays as it was weighed. */
function ownWeight(own: OwnMeasure, ingredient: Ingredient, { size }: AmountTerm): Range {
  const alike = ingredient.id === own.ingredientId || isSmallMassUnit(own.unit);
  const density = alike ? 1 : ingredient.spoonDensityGPerMl / own.spoonDensityGPerMl;
  return scaled(own.massG, density * (size ? SIZE_FACTORS[size].nominal : 1));
}

/** Of these a bit is a pinch or two. */
const DRY: ReadonlySet<string> = new Set(['salt', 'spice', 'herb']);

interface UnitWeight {
  readonly massG: Range;
  readonly doubt?: Doubt;
}

function weightOfOne(
  term: AmountTerm,
  ingredient: Ingredient,
  measuring: Measuring,
  form: string,
): UnitWeight | Problem {
  const { unit } = term;
  if (unit === 'oz' && isPoured(ingredient)) return ouncesOfLiquid(ingredient, measuring, term);
  if (isMassUnit(unit)) return { massG: exactly(GRAMS_PER[unit]) };
  if (isVolumeUnit(unit)) return volumeWeight(unit, ingredient, measuring, form);
  const sized = (weight: Range): Range =>
    term.size ? scaled(sizeFactor(term.size, unit), weight.nominal) : weight;
  if (isSmallVolumeUnit(unit)) {
    const volumeMl = measuring.smallMeasures.volumeMl[unit];
    const weighed = ingredient.unitWeightsG[unit];
    const density = weighed ? weighed.nominal / volumeMl.nominal : ingredient.spoonDensityGPerMl;
    return { massG: sized(scaled(volumeMl, density)) };
  }
  if (isLooseUnit(unit)) {
    const volumeMl = unit === 'bit' && DRY.has(ingredient.category) ? DRY_BIT_ML : LOOSE_ML[unit];
    // A piece of a root holds no air, as a spoonful of it grated does.
    return { massG: scaled(volumeMl, unit === 'cm' ? 1 : ingredient.spoonDensityGPerMl) };
  }
  if (isSmallMassUnit(unit)) return { massG: sized(measuring.smallMeasures.massG[unit]) };
  return countedWeight(unit, ingredient, sized);
}

/** Eggs are sold by size: a row's is the large one. */
const sizeFactor = (size: Size, unit: Unit): Range =>
  unit === 'yolk' || unit === 'egg' ? EGG_SIZE_FACTORS[size] : SIZE_FACTORS[size];

function ouncesOfLiquid(ingredient: Ingredient, measuring: Measuring, term: AmountTerm): UnitWeight {
  const byWeight = GRAMS_PER.oz;
  const byVolume = SPOON_VOLUMES[measuring.spoons].fluidOunceMl * ingredient.spoonDensityGPerMl;
  const count = Number(term.count.nominal.toFixed(3));
  return {
    massG: range(byWeight, Math.min(byWeight, byVolume), Math.max(byWeight, byVolume)),
    doubt: {
      code: 'ounce-weight-or-volume',
      choices: [`${count} oz by weight`, `${count} fl oz`],
    },
  };
}

function volumeWeight(
  unit: Parameters<typeof unitVolumeMl>[0],
  ingredient: Ingredient,
  measuring: Measuring,
  form: string,
): UnitWeight {
  const volumeMl = unitVolumeMl(unit, measuring.spoons, measuring.partVolumeMl);
  const density = spoonDensityFor(unit, ingredient, form);
  const massG = exactly(volumeMl * density);
  return unit === 'part'
    ? { massG, doubt: { code: 'part-size', partVolumeMl: measuring.partVolumeMl } }
    : { massG };
}

const FORMS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:chopped|diced|sliced|snipped|shredded)\b/i, 'chopped'],
  [/\b(?:minced|crushed|pressed)\b/i, 'minced'],
  [/\bgrated\b/i, 'grated'],
  [/\b(?:mashed|pounded|paste)\b/i, 'mashed'],
  [/\b(?:leaves|leaf|whole leaves)\b/i, 'leaves'],
];
const US_SPOON_ML: Partial<Record<Unit, number>> = {
  tsp: SPOON_VOLUMES.us.tspMl,
  tbsp: SPOON_VOLUMES.us.tbspMl,
  cup: SPOON_VOLUMES.us.cupMl,
};

/** g/ml of what a spoon of this size holds: a weighed spoon of that form, a weighed spoon, else the row's density. */
function spoonDensityFor(unit: Unit, ingredient: Ingredient, form: string): number {
  const spoonMl = US_SPOON_ML[unit];
  if (spoonMl === undefined) return ingredient.spoonDensityGPerMl;
  const formKey = FORMS.find(([pattern]) => pattern.test(form))?.[1];
  const weights = ingredient.unitWeightsG;
  const order: Unit[] = [unit, 'tsp', 'tbsp', 'cup'];
  for (const suffix of formKey ? [`_${formKey}`, ''] : ['']) {
    for (const spoon of order) {
      const weight = weights[`${spoon}${suffix}`];
      if (weight) return weight.nominal / US_SPOON_ML[spoon]!;
    }
  }
  return ingredient.spoonDensityGPerMl;
}

/** What "1 lemon" or "2 anchovies" may mean where the row has no weight for one whole. */
const NATURAL_UNITS = ['clove', 'fillet', 'egg', 'yolk', 'juice', 'zest', 'piece'] as const;
const ONE_WHOLE: ReadonlySet<string> = new Set(['each', 'egg', 'piece', 'clove', 'fillet']);

function countedWeight(
  unit: Unit,
  ingredient: Ingredient,
  sized: (weight: Range) => Range,
): UnitWeight | Problem {
  const weights = ingredient.unitWeightsG;
  const direct = weights[unit];
  if (direct) return { massG: sized(spreadOf(unit, direct)) };
  const whole = weights.each;
  if (whole && ONE_WHOLE.has(unit)) return { massG: sized(spreadOf('each', whole)) };
  if (unit === 'each') {
    const natural = NATURAL_UNITS.find((candidate) => weights[candidate]);
    if (natural) {
      return {
        massG: sized(spreadOf(natural, weights[natural]!)),
        doubt: { code: 'counted-as', unit: sayCounted(natural), ingredient: ingredient.name },
      };
    }
    return { code: 'no-unit', ingredient: ingredient.name, units: unitsFor(ingredient) };
  }
  return {
    code: 'no-unit-weight',
    unit,
    ingredient: ingredient.name,
    units: ['g', 'ml', 'tsp', 'tbsp', ...unitsFor(ingredient)],
  };
}

const sayCounted = (unit: string): string =>
  unit === 'juice' || unit === 'zest' ? `the ${unit} of one` : `one ${unit}`;

/** Counted units the row knows, for the sentence that says what would be understood. */
function unitsFor(ingredient: Ingredient): readonly string[] {
  return Object.keys(ingredient.unitWeightsG).filter((unit) => /^[a-z]+$/.test(unit) && unit !== 'each');
}

/**
 * Grams back to a plain volume as a cook measures it, ml.
 * @param massG grams, ≥ 0
 */
export const spoonVolumeMl = (massG: number, ingredient: Ingredient): number =>
  massG / ingredient.spoonDensityGPerMl;
