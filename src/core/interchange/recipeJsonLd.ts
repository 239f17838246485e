/** schema.org Recipe as JSON-LD: out of a formula, and out of a saved page's source. Nothing is fetched. */

export interface RecipeText {
  readonly name: string;
  readonly ingredients: readonly string[];
  readonly instructions: readonly string[];
  readonly yields: string;
  /** Places to stop: which of the ingredients opens one. */
  readonly stages?: readonly { readonly name: string; readonly from: number }[];
}

export interface RecipeJsonLd {
  readonly '@context': 'https://schema.org';
  readonly '@type': 'Recipe';
  readonly name: string;
  readonly recipeYield: string;
  readonly recipeIngredient: readonly string[];
  readonly recipeInstructions: readonly { readonly '@type': 'HowToStep'; readonly text: string }[];
}

export const toJsonLd = ({ name, ingredients, instructions, yields }: RecipeText): RecipeJsonLd => ({
  '@context': 'https://schema.org',
  '@type': 'Recipe',
  name,
  recipeYield: yields,
  recipeIngredient: ingredients,
  recipeInstructions: instructions.map((text) => ({ '@type': 'HowToStep', text })),
});

export type JsonLdReading =
  { readonly status: 'read'; readonly recipes: readonly RecipeText[] } | { readonly status: 'none' };

const SCRIPT = /<script\b[^>]*type\s*=\s*["']?application\/ld\+json["']?[^>]*>([\s\S]*?)<\/script>/gi;
const DEEPEST = 12;

/** @param text JSON, or the source of a page with JSON-LD in it */
export function fromJsonLd(text: string): JsonLdReading {
  const scripts = [...text.matchAll(SCRIPT)].map(([, body]) => body!);
  const recipes = (scripts.length > 0 ? scripts : [text]).flatMap((body) => {
    const value = parsed(body);
    return value === undefined ? [] : recipesIn(value, 0);
  });
  return recipes.length > 0 ? { status: 'read', recipes } : { status: 'none' };
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text.trim()) as unknown;
  } catch {
    return undefined;
  }
}

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): readonly unknown[] =>
  Array.isArray(value) ? (value as readonly unknown[]) : value === undefined || value === null ? [] : [value];

function recipesIn(value: unknown, depth: number): readonly RecipeText[] {
  if (depth > DEEPEST) return [];
  if (Array.isArray(value)) return value.flatMap((item) => recipesIn(item, depth + 1));
  if (!isObject(value)) return [];
  if (listOf(value['@type']).some((type) => type === 'Recipe' || type === 'https://schema.org/Recipe'))
    return [recipeFrom(value)];
  return listOf(value['@graph']).flatMap((item) => recipesIn(item, depth + 1));
}

const recipeFrom = (value: Readonly<Record<string, unknown>>): RecipeText => ({
  name: plainText(value.name),
  ingredients: listOf(value.recipeIngredient ?? value.ingredients)
    .map(plainText)
    .filter(Boolean),
  instructions: listOf(value.recipeInstructions).flatMap((step) => stepsIn(step, 0)),
  yields: plainText(listOf(value.recipeYield)[0]),
});

function stepsIn(value: unknown, depth: number): readonly string[] {
  if (depth > DEEPEST) return [];
  if (typeof value === 'string') return value.split(/\n+/).map(plainText).filter(Boolean);
  if (!isObject(value)) return [];
  const inside = listOf(value.itemListElement);
  if (inside.length > 0) return inside.flatMap((step) => stepsIn(step, depth + 1));
  const text = plainText(value.text ?? value.name);
  return text ? [text] : [];
}

const ENTITIES: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  deg: '°',
};

/** Tags and entities of a page do not belong into a kitchen. */
function plainText(value: unknown): string {
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return '';
  return value
    .replace(/<[^>]*>/g, ' ')
    .replace(/&#(\d{1,6});/g, (_all, code: string) => String.fromCodePoint(Math.min(0x10ffff, Number(code))))
    .replace(/&#x([0-9a-f]{1,5});/gi, (_all, code: string) => String.fromCodePoint(parseInt(code, 16)))
    .replace(/&(\w+);/g, (all, name: string) => ENTITIES[name] ?? all)
    .replace(/\s+/g, ' ')
    .trim();
}
