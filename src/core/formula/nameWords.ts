/**
 * From the words after an amount to an ingredient: whole, then without words that only praise or describe it, then as
 * the first of two alternatives. What a word takes off is kept as form. A reading that is not certain is none.
 */
import { exactIngredient, findIngredient, type Catalogue, type Ingredient } from '#core/ingredient';
import type { Doubt } from '#core/quantity';

export interface NamedIngredient {
  readonly found: ReturnType<typeof findIngredient>;
  readonly formWords: string;
  readonly doubts: readonly Doubt[];
}

/** Words that leave a thing what it is. Not "dried", "smoked" or "sweet": those name another thing. */
const DESCRIBES = new Set(
  `very really finely coarsely roughly thinly freshly lightly well quite nice lovely good great best better decent
  fancy quality proper real favourite favorite usual fresh raw ripe unripe organic local homemade house leftover bought
  chopped minced grated crushed sliced diced snipped ground toasted peeled packed rubbed picked mashed pounded squeezed
  softened melted cold warm hot boiling boiled lukewarm tepid iced chilled cool whole plain natural unflavored unflavoured
  unsweetened unfiltered filtered raw smooth runny creamy thick strong mild stirred salted rinsed drained washed pitted
  medjool free-range tender young baby large big small medium little extra pure refined our own all-purpose everyday
  some more grey loosely firmly tightly`
    .split(/\s+/)
    .filter(Boolean),
);
const COMPOUND =
  /^(?:best|high|good|top|full|well|mild|free|home|store|left|all|extra|thumb|bite|medium|room)-(?:quality|fat|stirred|tasting|flavou?red|range|made|bought|over|purpose|sized|hot|shaken|mixed|drained|temperature|strength)$/;
const MOST_WORDS = 5;

const describes = (word: string): boolean => DESCRIBES.has(word) || COMPOUND.test(word);
const isCertain = (found: ReturnType<typeof findIngredient>): found is Certain =>
  found.status === 'found' && !found.guessed;
const certainly = (ingredient: Ingredient): Certain => ({ status: 'found', ingredient, guessed: false });
type Certain = { readonly status: 'found'; readonly ingredient: Ingredient; readonly guessed: false };

export function nameIngredient(words: string, catalogue: Catalogue): NamedIngredient {
  const whole = findIngredient(words, catalogue);
  if (isCertain(whole)) return { found: whole, formWords: '', doubts: [] };
  const described = withoutDescriptions(words, catalogue);
  if (described) return { ...described, doubts: [] };
  const first = firstOfTwo(words, catalogue);
  if (first) return first;
  return { found: whole, formWords: '', doubts: [] };
}

/** Fewest words off first: "light olive oil" is one before "olive oil" is. */
function withoutDescriptions(words: string, catalogue: Catalogue): Omit<NamedIngredient, 'doubts'> | null {
  const list = words.split(/[\s,]+/).filter(Boolean);
  const off = list.flatMap((word, place) => (describes(word.toLowerCase()) ? [place] : []));
  if (off.length === 0 || off.length > MOST_WORDS || off.length === list.length)
    return leafOf(list, catalogue);
  const choices = Array.from({ length: 2 ** off.length - 1 }, (_, bits) =>
    off.filter((_place, n) => ((bits + 1) >> n) & 1),
  ).sort((a, b) => a.length - b.length);
  for (const gone of choices) {
    const kept = list.filter((_word, place) => !gone.includes(place));
    const formWords = gone.map((place) => list[place]!).join(' ');
    const exact = exactIngredient(kept.join(' '), catalogue);
    if (exact) return { found: certainly(exact), formWords };
    const leaf = leafOf(kept, catalogue);
    if (leaf) return { found: leaf.found, formWords: `${formWords} ${leaf.formWords}`.trim() };
  }
  return null;
}

/** "basil leaves": the plant, and what of it. */
function leafOf(list: readonly string[], catalogue: Catalogue): Omit<NamedIngredient, 'doubts'> | null {
  const last = list.at(-1) ?? '';
  if (list.length < 2 || !/^lea(?:f|ves)$/i.test(last)) return null;
  const plant = exactIngredient(list.slice(0, -1).join(' '), catalogue);
  return plant && { found: certainly(plant), formWords: last };
}

const OR = /^(.*?)\bor (.+)$/i;

/** The other of two, as it was kept with the form: "or sunflower oil". */
export function otherOfTwo(form: string, taken: Ingredient, catalogue: Catalogue): Doubt | null {
  const words = OR.exec(form)?.[2]?.split(',')[0]?.trim();
  const other = words ? exactIngredient(words, catalogue) : null;
  return other && other.id !== taken.id
    ? { code: 'first-of-two', taken: taken.name, other: other.name, otherId: other.id }
    : null;
}

/** The form once the other is taken: the first is now the other. */
export const swappedForm = (form: string, taken: string): string =>
  form.replace(OR, (_all, before: string) => `${before}or ${taken}`);

/** "vegetable or sunflower oil", "Dijon or wholegrain mustard": the first may borrow the noun of the second. */
function firstOfTwo(words: string, catalogue: Catalogue): NamedIngredient | null {
  const match = /^(.+?)\s+(?:or|\/)\s+(?:else\s+)?(.+)$/i.exec(words);
  if (!match) return null;
  const [, one, two] = match as unknown as [string, string, string];
  const nouns = two.split(/\s+/);
  const borrowed = [2, 1].flatMap((n) => (nouns.length > n ? [`${one} ${nouns.slice(-n).join(' ')}`] : []));
  for (const candidate of [...borrowed, one, two]) {
    const exact = exactIngredient(candidate, catalogue);
    const named = exact
      ? { found: certainly(exact), formWords: '' }
      : withoutDescriptions(candidate, catalogue);
    if (!named || named.found.status !== 'found') continue;
    const other = candidate === two ? one : two;
    const taken = named.found.ingredient.name;
    return {
      found: named.found,
      formWords: `${named.formWords} or ${other}`.trim(),
      doubts: [{ code: 'first-of-two', taken, other }],
    };
  }
  return null;
}
