/**
 * What is to be said of a dressing beyond its sums: acidity, pH, palate, cautions, keeping,
 * allergens, nutrition. Palate and safety meet here and nowhere else. Apart from the sums, because
 * a shelf of a thousand needs those and not this.
 */
import {
  acidityOf,
  acidStrength,
  bracketedPh,
  equivalentRatio,
  meteredPh,
  phOf,
  waterActivityOf,
  type Acidity,
  type PhBound,
  type PhPortion,
  type PhReading,
  type WaterActivity,
} from '#core/acidity';
import { composition } from '#core/composition';
import type { ReadAddition } from '#core/formula';
import type { Ingredient } from '#core/ingredient';
import { nutritionOf, palateOf, type Nutrition, type Palate, type PalatePortion } from '#core/palate';
import { isHomeMade, safetyOf, type Allergens, type Caution, type Keeping } from '#core/safety';

export interface Judgement {
  readonly portions: readonly JudgedPortion[];
  readonly acidity: Acidity | null;
  readonly ph: PhReading;
  /** What safety reckons with: from above, and null where nothing is known. */
  readonly phBound: PhBound;
  readonly waterActivity: WaterActivity | null;
  /** g/100 ml as acetic of the acidic liquids together. */
  readonly acidStrength: number | null;
  readonly equivalentRatio: number | null;
  readonly palate: Palate;
  readonly nutrition: Nutrition | null;
  readonly allergens: Allergens;
  readonly cautions: readonly Caution[];
  readonly keeping: Keeping;
}

export interface Judged {
  readonly reading: ReadAddition;
  readonly form: string;
  /** The ingredient as it was typed: "home-made mayonnaise" is no bought one. */
  readonly said?: string;
}

/** A portion with all that palate and safety ask of it. */
export type JudgedPortion = PalatePortion & PhPortion;

/** @param unread counted lines that could not be read, as they were typed */
export function judge(additions: readonly Judged[], unread: readonly string[]): Judgement {
  return judgePortions(portionsOf(additions), unread);
}

export const portionsOf = (additions: readonly Judged[]): readonly JudgedPortion[] =>
  additions.map(({ reading, form, said = '' }) => ({
    ingredient: reading.ingredient,
    massG: reading.massG,
    form: isHomeMade(said) && !isHomeMade(form) ? ['home-made', form].filter(Boolean).join(', ') : form,
    pieces: hasPieces(reading, form),
  }));

/**
 * The judgement of what lies in the jar, however it came there.
 * @param unread lines that could not be read, as they were typed
 * @param metered pH a meter read of this jar as it stands; it may shorten and add, never lengthen or lift
 */
export function judgePortions(
  portions: readonly JudgedPortion[],
  unread: readonly string[] = [],
  metered: number | null = null,
): Judgement {
  const acidity = acidityOf(portions);
  const waterActivity = waterActivityOf(portions);
  const { state, keeping, cautions, allergens } = safetyOf(portions, {
    unread,
    meteredPh: metered,
    saltUndissolved: waterActivity?.saltUndissolved ?? false,
    saltOfWaterPhase: saltOfWaterPhase(portions),
  });
  // In oil no reading counts.
  const ph =
    metered !== null && !state.isDry
      ? meteredPh(metered, portions)
      : bracketedPh(phOf(portions, unread.length), portions, state.ph.upper);
  return {
    portions,
    acidity,
    ph,
    phBound: state.ph,
    waterActivity,
    acidStrength: acidStrength(portions),
    equivalentRatio: equivalentRatio(portions, composition(portions).mixedVolumeMl),
    palate: palateOf(portions),
    nutrition: nutritionOf(portions),
    allergens,
    cautions,
    keeping,
  };
}

function saltOfWaterPhase(portions: readonly PalatePortion[]): number | null {
  const grams = (key: 'salt' | 'water'): number =>
    portions.reduce((sum, { ingredient, massG }) => sum + ingredient.composition[key] * massG.nominal, 0);
  const [salt, water] = [grams('salt'), grams('water')];
  return salt + water > 0 ? salt / (salt + water) : null;
}

const BROKEN_UP =
  /paste|mashed|puréed|pureed|blended|pounded|minced|grated|chopped|snipped|rubbed|crushed|smooth/i;
const IN_PIECES = /\b(?:whole|halved|quartered|chunks?|crumbled|sliced|torn|leaves|sprigs?)\b/i;
/** Sold in pieces larger than 5 mm. */
const PIECES_BY_NATURE = /olives?|crumbled/i;

/** Whether pieces larger than 5 mm lie in it, whose inside the acid has not reached. */
function hasPieces({ ingredient, amount }: ReadAddition, form: string): boolean {
  if (BROKEN_UP.test(form) || /taken out|removed/i.test(form)) return false;
  if (wet(ingredient) && IN_PIECES.test(form)) return true;
  if (PIECES_BY_NATURE.test(ingredient.name) && ingredient.category === 'savoury') return true;
  return amount.kind === 'measured' && amount.terms.some(({ unit }) => unit === 'leaf' || unit === 'sprig');
}

const wet = ({ composition: { water }, category }: Ingredient): boolean =>
  water > 0.15 && ['aromatic', 'herb', 'veg', 'fruit', 'savoury'].includes(category);
