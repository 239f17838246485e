/** What the shelf can sort and filter by, reckoned once a formula and kitchen. */
import type { ShelfRecord } from '#contract';
import { shortages } from '#core/composition';
import { normaliseName } from '#core/ingredient';
import { isCreamy, palateContributions } from '#core/palate';
import { allergenGroup } from '#core/safety';
import { judgeFormula, reckonFormula, unreadOf, type Judgement, type Reckoning } from '#core/reckoning';
import { contextFor, entryOf, vesselOf, type Kitchen } from '#kitchen/reading';

export interface Facets {
  readonly reckoning: Reckoning;
  /** Name of the acid that brings most; null without one. */
  readonly acid: string | null;
  readonly creamy: boolean | null;
  readonly allergens: ReadonlySet<string>;
  /** Something in it may hold any allergen: it is offered to nobody who avoids one. */
  readonly allergensOpen: boolean;
  /** How many ingredients are short or of unknown stock. */
  readonly missing: number;
}

const known = new WeakMap<Kitchen, WeakMap<ShelfRecord, Facets>>();

export function facetsOf(record: ShelfRecord, kitchen: Kitchen): Facets {
  let ofKitchen = known.get(kitchen);
  if (!ofKitchen) known.set(kitchen, (ofKitchen = new WeakMap()));
  let facets = ofKitchen.get(record);
  if (!facets) ofKitchen.set(record, (facets = reckonFacets(record, kitchen)));
  return facets;
}

export const hasFacets = (record: ShelfRecord, kitchen: Kitchen): boolean =>
  known.get(kitchen)?.has(record) ?? false;

function reckonFacets({ formula }: ShelfRecord, kitchen: Kitchen): Facets {
  const reckoning = reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen));
  const { portions } = reckoning;
  const acids = portions.filter(({ ingredient }) => ingredient.isAcidLiquid);
  const first = palateContributions(
    acids.map((portion) => ({ ...portion, form: '' })),
    'acid',
  )[0];
  return {
    reckoning,
    acid: first?.portion.ingredient.name ?? null,
    creamy: isCreamy(portions),
    allergens: new Set(portions.flatMap(({ ingredient }) => ingredient.allergensEu14.map(allergenGroup))),
    allergensOpen:
      unreadOf(reckoning.additions).length > 0 ||
      portions.some(({ ingredient: { byHand } }) => byHand !== undefined && !byHand.allergensAnswered) ||
      portions.some(({ ingredient: { made } }) => made !== undefined && made.unread.length > 0),
    missing: shortages(portions, (id) => entryOf(kitchen.pantry, id).onHandG).length,
  };
}

const texts = new WeakMap<ShelfRecord, string>();
/** Name and ingredients as plain words to search in; needs no reckoning. */
export function searchText(record: ShelfRecord): string {
  let text = texts.get(record);
  if (text === undefined) {
    const { name, additions } = record.formula;
    text = normaliseName([name, ...additions.map(({ ingredientText }) => ingredientText)].join(' '));
    texts.set(record, text);
  }
  return text;
}

const judged = new WeakMap<Reckoning, Judgement>();
/** Cautions of a jar that is looked at; a filter never needs them. */
export function judgementOf({ reckoning }: Facets): Judgement {
  let judgement = judged.get(reckoning);
  if (!judgement) judged.set(reckoning, (judgement = judgeFormula(reckoning)));
  return judgement;
}
