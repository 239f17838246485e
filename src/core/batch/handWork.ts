/**
 * Peeling, grating, juicing and picking by hand: seconds by the gram of what goes in. Common practice, the middle of what a
 * practised hand takes; a kitchen's own pace moves all of it. Range: one jar to a morning's work; what a machine or a
 * bottle saves has to be said in the words of the line ("bottled", "ready grated").
 */
import type { Category, Ingredient } from '#core/ingredient';

export const HAND_WORKS = ['juice', 'zest', 'peel-and-chop', 'grate', 'pick', 'crack'] as const;
export type HandWorkKind = (typeof HAND_WORKS)[number];

/** Seconds by the gram. */
const PER_GRAM: Readonly<Record<HandWorkKind, number>> = {
  juice: 0.6,
  zest: 6,
  'peel-and-chop': 1.5,
  grate: 1.2,
  pick: 4,
  crack: 0.9,
};
/** A clove is peeled for five grams, an onion for a hundred. */
const GARLIC_PER_GRAM = 5;

const READY = /\b(?:bottled|ready|frozen|tinned|jarred|bought|pre-?(?:peeled|cut|chopped|grated|minced))\b/i;
const READY_BY_NAME = /\b(?:dried|powder(?:ed)?|paste|pickled|purée|tinned)\b/i;
const GRATED = /\b(?:grated|shaved|microplaned)\b/i;
const CUT = /\b(?:chopped|minced|diced|sliced|grated|crushed|shredded|peeled|julienned|snipped)\b/i;
const JUICED = /\bjuice of\b|\bjuiced?\b.*\b(?:lemons?|limes?|oranges?)\b|\bsqueezed\b/i;
const CHEESES = /\b(?:parmesan|pecorino|cheddar|cheese)\b/i;
const CHOPPED_AT_LEAST: ReadonlySet<Category> = new Set(['aromatic', 'veg']);

/** Null: it is poured or spooned as it is. @param said the amount and words as typed */
export function handWorkKind(
  { id, name, category }: Ingredient,
  form: string,
  said: string,
): HandWorkKind | null {
  const words = `${said} ${form}`;
  if (READY.test(words) || READY_BY_NAME.test(name)) return null;
  if (category === 'citrus') return JUICED.test(words) ? 'juice' : null;
  if (/_zest$/.test(id)) return 'zest';
  if (category === 'herb') return 'pick';
  if (CHOPPED_AT_LEAST.has(category)) return GRATED.test(words) ? 'grate' : 'peel-and-chop';
  if (/^egg/.test(id)) return 'crack';
  if (CHEESES.test(name) && GRATED.test(words)) return 'grate';
  return category === 'fruit' && CUT.test(words) ? 'peel-and-chop' : null;
}

export interface HandWorkLine {
  readonly ingredient: Ingredient;
  readonly form: string;
  readonly said: string;
  /** > 0. */
  readonly massG: number;
}

export interface HandWork {
  readonly seconds: number;
  readonly things: readonly {
    readonly ingredient: Ingredient;
    readonly kind: HandWorkKind;
    readonly seconds: number;
  }[];
}

/** @param pace how this kitchen's hands compare; 1: as common practice, 2: twice as long */
export function handWorkOf(lines: readonly HandWorkLine[], pace = 1): HandWork {
  const things = lines.flatMap(({ ingredient, form, said, massG }) => {
    const kind = massG > 0 ? handWorkKind(ingredient, form, said) : null;
    if (!kind) return [];
    const perGram = ingredient.id.startsWith('garlic') ? GARLIC_PER_GRAM : PER_GRAM[kind];
    return [{ ingredient, kind, seconds: pace * perGram * massG }];
  });
  return { seconds: things.reduce((sum, { seconds }) => sum + seconds, 0), things };
}

export const PACE_LIMITS = { low: 0.2, high: 5 } as const;
/** How far one morning moves what is believed. */
const TRUST = 0.5;

/** The pace after another time was taken. @param saidS, @param tookS > 0 */
export function paceAfter(pace: number, saidS: number, tookS: number): number {
  const next = pace * (tookS / saidS) ** TRUST;
  return Math.min(PACE_LIMITS.high, Math.max(PACE_LIMITS.low, next));
}
