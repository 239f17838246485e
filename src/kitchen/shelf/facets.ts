/** What the shelf can sort and filter by, reckoned once a formula and kitchen. */
import { shortages } from '#core/composition';
import type { Formula } from '#core/formula';
import { normaliseName } from '#core/ingredient';
import { isCreamy, palateContributions } from '#core/palate';
import { reckonFormula, unreadOf, type Reckoning } from '#core/reckoning';
import { allergenGroup } from '#core/safety';
import { contextFor, entryOf, vesselOf, type Kitchen } from '#kitchen/reading';

export interface Facets {
  /** Name of the acid that brings most; null without one. */
  readonly acid: string | null;
  readonly creamy: boolean | null;
  readonly allergens: ReadonlySet<string>;
  /** Something in it may hold any allergen: it is offered to nobody who avoids one. */
  readonly allergensOpen: boolean;
  /** How many ingredients are short or of unknown stock. */
  readonly missing: number;
  /** By volume, as poured; null without acid. */
  readonly oilToAcid: number | null;
  readonly volumeMl: number;
}

export const reckonShelved = (formula: Formula, kitchen: Kitchen): Reckoning =>
  reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));

export function facetsOf(formula: Formula, kitchen: Kitchen): Facets {
  const { portions, additions, totals } = reckonShelved(formula, kitchen);
  const acids = portions.filter(({ ingredient }) => ingredient.isAcidLiquid);
  const first = palateContributions(
    acids.map((portion) => ({ ...portion, form: '' })),
    'acid',
  )[0];
  return {
    acid: first?.portion.ingredient.name ?? null,
    creamy: isCreamy(portions),
    allergens: new Set(portions.flatMap(({ ingredient }) => ingredient.allergensEu14.map(allergenGroup))),
    allergensOpen:
      unreadOf(additions).length > 0 ||
      portions.some(({ ingredient: { byHand } }) => byHand !== undefined && !byHand.allergensAnswered) ||
      portions.some(({ ingredient: { made } }) => made !== undefined && made.unread.length > 0),
    missing: shortages(portions, (id) => entryOf(kitchen.pantry, id).onHandG).length,
    oilToAcid: totals.measures.oilToAcidVolumeRatio,
    volumeMl: totals.mixedVolumeMl,
  };
}

/** Acids and allergens of a formula, for the choices: without reckoning. */
export function choicesOf({ additions }: Formula, { catalogue }: Pick<Kitchen, 'catalogue'>) {
  const acids = new Set<string>();
  const allergens = new Set<string>();
  for (const { ingredientId } of additions) {
    const ingredient = ingredientId && catalogue.get(ingredientId);
    if (!ingredient) continue;
    if (ingredient.isAcidLiquid) acids.add(ingredient.name);
    for (const allergen of ingredient.allergensEu14) allergens.add(allergenGroup(allergen));
  }
  return { acids, allergens };
}

/** Name and ingredients as plain words to search in; needs no reckoning. */
export const searchText = ({ name, additions }: Formula): string =>
  normaliseName(
    [name, ...additions.flatMap(({ ingredientText, note }) => [ingredientText, note])]
      .filter(Boolean)
      .join(' '),
  );
