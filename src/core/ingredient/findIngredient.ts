/** From the words a cook types to an ingredient: exact id, name or alias first, then a guess that says so. */
import type { Catalogue, Ingredient } from './ingredient';

export type Found =
  | { readonly status: 'found'; readonly ingredient: Ingredient; readonly guessed: boolean }
  | { readonly status: 'ambiguous'; readonly near: readonly Ingredient[] }
  | { readonly status: 'unknown'; readonly near: readonly Ingredient[] };

/** Lower case, no accents or punctuation, plural "s" dropped word by word. Underscores stay: they are ids. */
export function normaliseName(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{Mn}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}_%.]+/gu, ' ')
    .trim()
    .split(' ')
    .map(singular)
    .map((word) => SPELLINGS[word] ?? word)
    .join(' ');
}

/** One thing, written in several ways. */
const SPELLINGS: Readonly<Record<string, string>> = {
  yogurt: 'yoghurt',
  chili: 'chilli',
  chile: 'chilli',
  chily: 'chilli',
  chilly: 'chilli',
  mayo: 'mayonnaise',
};
const UNCHANGED = new Set(['molasse', 'molasses', 'hummus', 'citrus']);

function singular(word: string): string {
  if (UNCHANGED.has(word) || word.length < 4) return word;
  if (word.endsWith('oes')) return word.slice(0, -2);
  if (word.endsWith('ies')) return `${word.slice(0, -3)}y`;
  return /[^su]s$/.test(word) ? word.slice(0, -1) : word;
}

interface Entry {
  readonly ingredient: Ingredient;
  readonly names: readonly string[];
  readonly words: ReadonlySet<string>;
  /** The noun of each name: "oil" of walnut oil. */
  readonly heads: ReadonlySet<string>;
}

/** "Walnut oil, cold-pressed" is an oil; figures and brackets are no nouns. */
function headOf(name: string): string {
  const before = name.split(/[,(]/)[0]!;
  const words = normaliseName(before)
    .split(' ')
    .filter((word) => /^\p{L}+$/u.test(word));
  return words.at(-1) ?? '';
}

/** Whether what was typed says the noun of this thing: mustard oil is no mustard. */
export function isNounOf(text: string, { name, aliases }: Ingredient): boolean {
  const words = new Set(normaliseName(text).split(' '));
  return [name, ...aliases].some((one) => words.has(headOf(one)));
}

const indexes = new WeakMap<Catalogue, readonly Entry[]>();
const byNames = new WeakMap<Catalogue, ReadonlyMap<string, Ingredient>>();

function indexOf(catalogue: Catalogue): readonly Entry[] {
  let index = indexes.get(catalogue);
  if (!index) {
    index = [...catalogue.values()].map((ingredient) => {
      const said = [ingredient.name, ...ingredient.aliases];
      const names = [ingredient.id, ...said].map(normaliseName);
      const heads = new Set(said.map(headOf));
      return { ingredient, names, heads, words: new Set(names.flatMap((name) => name.split(' '))) };
    });
    indexes.set(catalogue, index);
  }
  return index;
}

/** A word that more things bear than this (oil, vinegar, white) names none of them; estimate. */
const MOST_BEARERS = 12;
const bearers = new WeakMap<Catalogue, ReadonlyMap<string, number>>();

function bearersOf(catalogue: Catalogue): ReadonlyMap<string, number> {
  let counts = bearers.get(catalogue);
  if (!counts) {
    const found = new Map<string, number>();
    for (const { words } of indexOf(catalogue))
      for (const word of words) found.set(word, (found.get(word) ?? 0) + 1);
    counts = found;
    bearers.set(catalogue, counts);
  }
  return counts;
}

/** Whether a dressing is called after it: "Walnut & cider house" after walnut oil and cider vinegar. */
export function isNamedAfter(title: string, { id }: Pick<Ingredient, 'id'>, catalogue: Catalogue): boolean {
  const entry = indexOf(catalogue).find(({ ingredient }) => ingredient.id === id);
  const said = normaliseName(title).split(' ');
  const counts = bearersOf(catalogue);
  return said.some((word) => entry?.words.has(word) === true && counts.get(word)! <= MOST_BEARERS);
}

/** By id, name or alias alone; the first row that has it. */
export function exactIngredient(text: string, catalogue: Catalogue): Ingredient | null {
  let names = byNames.get(catalogue);
  if (!names) {
    const entries = indexOf(catalogue).flatMap((entry) =>
      entry.names.map((name) => [name, entry.ingredient] as const),
    );
    names = new Map(entries.reverse());
    byNames.set(catalogue, names);
  }
  return names.get(normaliseName(text)) ?? null;
}

/**
 * Finds what `text` names. A guess is made only where exactly one ingredient has all its words, and only where its
 * noun was said: walnuts are not walnut oil, and wine is no vinegar.
 */
export function findIngredient(text: string, catalogue: Catalogue): Found {
  const wanted = normaliseName(text);
  const index = indexOf(catalogue);
  const exact = exactIngredient(text, catalogue);
  if (exact) return { status: 'found', ingredient: exact, guessed: false };
  const words = wanted.split(' ').filter(Boolean);
  if (words.length === 0) return { status: 'unknown', near: [] };
  const fits = index.filter((entry) => words.every((word) => entry.words.has(word)));
  // A formula is named in full: "walnut" means the oil, not every dressing with walnut in its name.
  const plain = fits.filter(({ ingredient }) => !ingredient.made);
  const all = plain.length > 0 ? plain : fits;
  if (all.length === 1 && words.some((word) => all[0]!.heads.has(word)))
    return { status: 'found', ingredient: all[0]!.ingredient, guessed: true };
  // What bears the noun comes first: mustard oil is no mustard.
  const first = all.filter(({ heads }) => words.some((word) => heads.has(word)));
  const rest = all.filter((entry) => !first.includes(entry));
  if (all.length > 1) return { status: 'ambiguous', near: [...first, ...rest].slice(0, 5).map(toIngredient) };
  return { status: 'unknown', near: searchIngredients(text, catalogue, 3) };
}

const toIngredient = (entry: Entry): Ingredient => entry.ingredient;

/** Completion: best matches first; words may be beginnings of words. Empty text gives nothing. */
export function searchIngredients(text: string, catalogue: Catalogue, limit: number): readonly Ingredient[] {
  const wanted = normaliseName(text);
  if (!wanted) return [];
  const words = wanted.split(' ');
  return indexOf(catalogue)
    .map((entry) => ({ entry, score: matchScore(entry, wanted, words) - (entry.ingredient.made ? 15 : 0) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score || a.entry.ingredient.name.localeCompare(b.entry.ingredient.name))
    .slice(0, limit)
    .map(({ entry }) => entry.ingredient);
}

function matchScore(entry: Entry, wanted: string, words: readonly string[]): number {
  if (entry.names.includes(wanted)) return 100;
  if (entry.names.some((name) => name.startsWith(wanted))) return 80 - wanted.length / 100;
  const list = [...entry.words];
  const hits = words.filter((word) => list.some((other) => other.startsWith(word)));
  if (hits.length === words.length) return 60;
  // One word wrong or misspelt still brings its neighbours; short beginnings would bring everything.
  const strong = hits.filter((word) => word.length >= 4);
  return strong.length > 0 ? (20 * strong.length) / words.length : 0;
}
