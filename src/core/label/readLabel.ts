/**
 * The list of a bought bottle's label, read: things in descending order, percentages where they stand, and what is an
 * additive by its function. A thing made of others is taken as itself where the pantry knows it, else as its parts.
 */
import { findIngredient, type Catalogue, type Ingredient, type IngredientId } from '#core/ingredient';

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
  /** g per 100 g as printed, with half of its last digit either way; null: none stands there. */
  readonly printed: { readonly low: number; readonly high: number } | null;
  /** What it is there for, where a kitchen leaves it out; null: it is no additive. */
  readonly additive: Additive | null;
  /** After "contains less than 2 % of": it may be more than what stands before it. */
  readonly inAnyOrder?: boolean;
}

const FUNCTIONS: readonly (readonly [RegExp, Additive])[] = [
  [
    /\b(?:xanthan|guar|locust bean|carob|pectin|modified (?:maize |corn |potato )?starch|cellulose|carrageenan|e ?4(?:0[0-9]|1[0-9]|4[0-9]|6[0-9])|e ?14\d\d)\b/i,
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
const PERCENT = /\(?\s*(\d{1,3})(?:[.,](\d{1,2}))?\s*%\s*\)?/;
const NOISE =
  /\b(?:organic|natural|pasteuri[sz]ed|free[- ]range|refined|concentrated?|reconstituted|dried|from concentrate|in varying proportions?)\b|[*†¹²³]/gi;

/** At the commas outside all brackets. */
function parts(text: string): readonly string[] {
  const found: string[] = [];
  let [depth, start] = [0, 0];
  for (let i = 0; i <= text.length; i++) {
    const sign = text[i];
    if (sign === '(' || sign === '[') depth += 1;
    else if (sign === ')' || sign === ']') depth = Math.max(0, depth - 1);
    // A comma between digits is a decimal sign.
    const splits = depth === 0 && (sign === ',' || sign === ';') && !/\d,\d/.test(text.slice(i - 1, i + 2));
    if (!splits && i < text.length) continue;
    found.push(text.slice(start, i).trim());
    start = i + 1;
  }
  return found.filter(Boolean);
}

function printedIn(text: string): LabelItem['printed'] {
  const found = PERCENT.exec(text);
  if (!found) return null;
  const [, whole, decimals = ''] = found;
  const value = Number(`${whole!}.${decimals || '0'}`);
  const half = 0.5 * 10 ** -decimals.length;
  return value <= 100 ? { low: Math.max(0, value - half), high: Math.min(100, value + half) } : null;
}

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
  return parts(
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
  const printed = printedIn(part);
  const plain = part.replace(PERCENT, ' ').replace(/\s+/g, ' ').trim();
  const inside = /^(.*?)[([](.+)[)\]](.*)$/.exec(plain);
  const name = (inside ? `${inside[1]!} ${inside[3]!}` : plain)
    .replace(NOISE, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const additive = FUNCTIONS.find(([words]) => words.test(plain))?.[1] ?? null;
  const found = name === '' ? null : findIngredient(name, catalogue);
  if (found?.status === 'found' && additive === null)
    return [{ text: name, ingredient: found.ingredient, printed, additive: null }];
  if (additive !== null) {
    const instead = INSTEAD[additive];
    return [{ text: plain, ingredient: (instead && catalogue.get(instead)) ?? null, printed, additive }];
  }
  // "Mayonnaise (rapeseed oil, egg yolk)" that the pantry does not know: its parts, one after the other.
  const own = inside ? parts(inside[2]!).flatMap((one) => itemsOf(one, catalogue)) : [];
  if (own.some(({ ingredient }) => ingredient !== null)) return own;
  const near = found?.status === 'ambiguous' ? (found.near[0] ?? null) : null;
  return [{ text: name || plain, ingredient: near, printed, additive: near ? null : 'unknown' }];
}
