/** What lies in the jar as safety looks at it: formulas inside taken apart, each part with its hazards. */
import { countedOwnPh, isWet, type BoundPart } from '#core/acidity';
import type { Portion } from '#core/composition';
import { pouredOilOf, type Hazard, type Ingredient } from '#core/ingredient';
import { exactly } from '#core/quantity';
import { hazardsInWords, isHardBoiled, isHomeMade, namesLowAcidPlant } from './lineWords';

/** One part; 0 g is "to taste", and it is in the jar all the same. */
export interface SafetyPart extends Portion {
  readonly form?: string;
  /** Larger than 5 mm: the inside has not met the acid. */
  readonly pieces?: boolean;
}

/** A formula inside, as its parts; `unread` gains its lines that could not be read. */
export function takenApart(parts: readonly SafetyPart[], unread: string[]): readonly SafetyPart[] {
  return parts.flatMap((part): readonly SafetyPart[] => {
    const { made } = part.ingredient;
    if (!made) return [part];
    unread.push(...made.unread);
    return takenApart(
      made.parts.map(({ ingredient, massFraction, form, pieces }) => ({
        ingredient,
        form,
        pieces,
        massG: exactly(massFraction * part.massG.nominal),
      })),
      unread,
    );
  });
}

export const toTaste = ({ massG }: Portion): boolean => !(massG.nominal > 0);
export const homeMade = ({ form = '' }: SafetyPart): boolean => isHomeMade(form);
export const asBoundPart = (part: SafetyPart): BoundPart => ({ ...part, homeMade: homeMade(part) });

/** Its row's hazards, those its words give away, and raw egg in what a kitchen made under a bought thing's name. */
export function hazardsOf(part: SafetyPart): readonly Hazard[] {
  const { ingredient, form = '' } = part;
  const { hazards, byHand, name } = ingredient;
  const found = new Set<Hazard>(hazards);
  if (byHand) {
    for (const hazard of hazardsInWords(name)) found.add(hazard);
    if (isWet(ingredient) && !byHand.keepsUncooled) found.add('unlisted');
    else found.delete('unlisted');
  }
  // Boiled hard it is another food: the one exception to "what was done to it removes no hazard".
  if (found.has('raw_egg') && isHardBoiled(form)) {
    found.delete('raw_egg');
    found.add('cooked_food');
  }
  if (homeMade(part) && found.has('mayonnaise')) found.add('raw_egg');
  // "Raw salmon" is not the cooked one of the row, whose name ends before its comma.
  if (form !== '' && hazardsInWords(`${form} ${name.split(',')[0]!}`).includes('raw_food'))
    found.add('raw_food');
  return [...found];
}

/** What its maker preserved for months once opened; a kitchen's own is not. */
export const keepsOpened = (part: SafetyPart): boolean => part.ingredient.keepsOpened && !homeMade(part);

export const poursOil = ({ ingredient }: SafetyPart): boolean => pouredOilOf(ingredient).g > 0;

const MOST_SOUR_PLANT_PH = 4.6;
const GROWN: ReadonlySet<string> = new Set(['aromatic', 'herb', 'veg', 'spice']);

/**
 * A plant part that spoils under oil once it is wet: low-acid or of unknown acidity, and neither pepper,
 * seed, nor what keeps opened. Dried ones too: whether they get wet is another question.
 */
export function isLowAcidPlant(part: SafetyPart): boolean {
  const { ingredient } = part;
  const { category, traits, byHand, name } = ingredient;
  if (byHand && namesLowAcidPlant(name)) return true;
  if (!(GROWN.has(category) || traits.includes('bean'))) return false;
  if (traits.includes('pepper_or_seed') || keepsOpened(part)) return false;
  const ph = homeMade(part) || (byHand && !byHand.phFromLabel) ? null : countedOwnPh(ingredient);
  return ph === null || ph > MOST_SOUR_PLANT_PH;
}

export const isDryPart = ({ ingredient }: { ingredient: Ingredient }): boolean => !isWet(ingredient);
