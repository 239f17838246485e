/**
 * The list of a bought bottle's label, read: things in descending order, percentages where they stand, and what is an
 * additive by its function. A thing made of others is taken as itself where the pantry knows it, else as its parts.
 */
import {
  findIngredient,
  isNounOf,
  type Catalogue,
  type Ingredient,
  type IngredientId,
} from '#core/ingredient';
import { labelPart, partsOf, type LabelPart } from './labelPart';

export const ADDITIVES = [
  ...(['thickener', 'acid', 'preservative', 'antioxidant', 'colour', 'flavouring', 'enhancer'] as const),
  ...(['sweetener', 'emulsifier', 'unknown'] as const),
] as const;
export type Additive = (typeof ADDITIVES)[number];

export interface LabelItem {
  /** As it stands there, without its percentage. */
  readonly text: string;
  /** Null: nothing of this kitchen; see `additive`. */
  readonly ingredient: Ingredient | null;
  readonly printed: LabelPart['printed'];
  /** What it is there for, where a kitchen leaves it out; null: it is no additive. */
  readonly additive: Additive | null;
  /** After "contains less than 2 % of": it may be more than what stands before it. */
  readonly inAnyOrder?: boolean;
  /** One of the parts of this: the list orders the whole of it, and its brackets the parts. */
  readonly of?: { readonly text: string; readonly printed: LabelPart['printed'] };
}

const FUNCTIONS: readonly (readonly [RegExp, Additive])[] = [
  [
    /\b(?:thickeners?|stabili[sz]ers?|xanthan|guar|locust bean|carob|pectin|modified (?:maize |corn |potato )?starch|cellulose|carrageenan|e ?4(?:0[0-9]|1[0-9]|4[0-9]|6[0-9])|e ?14\d\d)\b/i,
    'thickener',
  ],
  [
    /\b(?:citric acid|lactic acid|acetic acid|malic acid|tartaric acid|acidity regulators?|acid(?:ifier)?s?|e ?(?:260|270|296|330|334))\b(?! vinegar)/i,
    'acid',
  ],
  [/\b(?:sorbate|benzoate|sorbic|preservatives?|e ?2[0-4]\d)\b/i, 'preservative'],
  [
    /\b(?:edta|antioxidants?|ascorbic|tocopherols?|rosemary extract|e ?3(?:0\d|1\d|8\d|92))\b/i,
    'antioxidant',
  ],
  [/\b(?:colou?rs?|carotenes?|lutein|paprika extract|caramel|e ?1[0-7]\d)\b/i, 'colour'],
  [/\b(?:flavou?rings?|aromas?|flavou?rs?)\b/i, 'flavouring'],
  [/\b(?:glutamate|flavou?r enhancers?|yeast extract|e ?6\d\d)\b/i, 'enhancer'],
  [/\b(?:sucralose|saccharins?|aspartame|acesulfame|steviol|sweeteners?|e ?9\d\d)\b/i, 'sweetener'],
  [/\b(?:mono- and diglycerides|polysorbate|emulsifiers?|e ?47\d|e ?43\d)\b/i, 'emulsifier'],
];
/** What a kitchen takes in its place. */
const INSTEAD: Readonly<Partial<Record<Additive, IngredientId>>> = { thickener: 'xanthan' as IngredientId };

const HEAD = /^\s*(?:ingredients?|contains)\s*[:.-]\s*/i;
/** Says nothing of what it is. */
const PRAISE =
  /\b(?:organic|natural|pasteuri[sz]ed|free[- ]range|refined|reconstituted|from concentrate|in varying proportions?|of modena)\b|[*†¹²³]/gi;
const STATE = /\b(?:dried|concentrated?)\b/gi;
/** Who is allergic to it, not what it is made of: Annex II of Regulation (EU) 1169/2011, from memory. */
const ALLERGEN =
  /^(?:cow'?s )?(?:milk|eggs?|fish|gluten|wheat|rye|barley|oats?|soy(?:a|beans?)?|mustard|celery|sesame|sulphites?|sulfites?|nuts?|almonds?|hazelnuts?|walnuts?|peanuts?|lupin|crustaceans?|molluscs?)$/i;

export const MOST_ITEMS = 40;

/** @param text as it stands on the bottle; more things than {@link MOST_ITEMS} are passed over */
export function readLabel(text: string, catalogue: Catalogue): readonly LabelItem[] {
  const limit = LESS_THAN.exec(text);
  // At the very start it says nothing of what comes before.
  if (!limit || limit.index === 0) return readList(text, catalogue);
  const most = Number(limit[1] ?? limit[2]);
  const after = readList(text.slice(limit.index + limit[0].length), catalogue);
  return [
    ...readList(text.slice(0, limit.index), catalogue),
    ...after.map((item, place) => ({
      ...item,
      printed: item.printed ?? { low: 0, high: most },
      inAnyOrder: place > 0,
    })),
  ].slice(0, MOST_ITEMS);
}

function readList(text: string, catalogue: Catalogue): readonly LabelItem[] {
  return partsOf(
    text
      .replace(HEAD, '')
      .replace(/\s+/g, ' ')
      .replace(/\.\s*$/, ''),
  )
    .flatMap((part) => itemsOf(part, catalogue))
    .slice(0, MOST_ITEMS);
}

/** "Contains less than 2 % of: salt, mustard flour, spices": what comes after it is each no more, in any order. */
const LESS_THAN =
  /[,;.]?\s*\(?\b(?:contains?|with)?\s*(?:less than|under|no more than|at most|<)\s*(\d{1,2})(?:[.,]\d)?\s*%(?:\s*(?:or less)?\s*(?:each\s*)?(?:of)?)?\s*:?|[,;.]?\s*\bcontains?\s+(\d{1,2})\s*%\s*or less(?:\s+of)?(?:\s+the following)?\s*:?/i;

function itemsOf(part: string, catalogue: Catalogue): readonly LabelItem[] {
  const { name: said, printed, inside } = labelPart(part);
  const name = said.replace(PRAISE, ' ').replace(/\s+/g, ' ').trim();
  // What a bracket says is added to a thing makes it no additive: "mustard (seeds, vinegar, preservative E224)".
  const additive = additiveIn(name);
  if (additive !== null) {
    const instead = INSTEAD[additive];
    return [
      {
        text: textOf(said, inside),
        ingredient: (instead && catalogue.get(instead)) ?? null,
        printed,
        additive,
      },
    ];
  }
  const ingredient = known(name, catalogue);
  if (ingredient) return [{ text: name, ingredient, printed, additive: null }];
  // "Salad cream (rapeseed oil, egg yolk)" that the pantry does not know: its parts, one after the other.
  const own = ALLERGEN.test(inside) ? [] : partsOf(inside).flatMap((one) => itemsOf(one, catalogue));
  if (own.some((item) => item.ingredient !== null)) {
    const of = { text: name, printed };
    // A share in there is one of the thing, or of the bottle: nobody says which.
    return own.map((item) => ({ ...item, printed: null, of }));
  }
  return [
    { text: textOf(said, inside), ingredient: null, printed, additive: additiveIn(inside) ?? 'unknown' },
  ];
}

const additiveIn = (text: string): Additive | null =>
  FUNCTIONS.find(([words]) => words.test(text))?.[1] ?? null;
const textOf = (name: string, inside: string): string => (inside === '' ? name : `${name} (${inside})`);

/** As it is called; dried it is a powder sooner than fresh; of several the first that is one, as mustard oil is no mustard. */
function known(name: string, catalogue: Catalogue): Ingredient | null {
  const plain = name.replace(STATE, ' ').replace(/\s+/g, ' ').trim();
  const isDried = /\bdried\b/i.test(name);
  for (const called of [name, ...(isDried ? [`${plain} powder`] : []), plain]) {
    if (called === '') continue;
    const found = findIngredient(called, catalogue);
    if (found.status === 'found') return found.ingredient;
    const near = found.status === 'ambiguous' ? found.near.find((one) => isNounOf(called, one)) : undefined;
    if (near) return near;
  }
  return null;
}
