/**
 * What of a list is no addition: headings, what is told to be done, how much it makes, and the things of the dish.
 * A line that could be the dressing's is set aside only under a heading that says so; salad leaves, pasta and grains
 * never go in.
 */
import type { Ingredient, SurfaceKind } from '#core/ingredient';
import { stageOpenedBy } from './stages';

export type AsideReason = 'heading' | 'dish' | 'method' | 'yield';

/** What comes after a heading. */
export type Section = 'jar' | 'dish' | 'method';

const JAR =
  /\b(?:dressings?|vinaigrettes?|sauces?|mayo(?:nnaise)?|aioli|dips?|marinades?|emulsions?|base|jar|ingredients?|need|shopping list|pesto|salsa|drizzle|mixture|paste|zutaten|ingrédients)\b/i;
const METHOD =
  /\b(?:method|directions?|instructions?|preparation|steps?|how to|to make|procedure|zubereitung|préparation|notes?|tips?|storage|equipment|nutrition|variations?)\b/i;
const DISH =
  /\b(?:salads?|croutons?|toppings?|garnish(?:es)?|serve|serving|finish|bowls?|slaw|veg(?:etables?)?|chicken|fish|salmon|tuna|prawns?|steak|beef|lamb|pork|tofu|greens|leaves|plates?|platter|assembl[ey]|sandwich(?:es)?|wraps?|noodles?|pasta|grains?|rice|potatoe?s?|lentils?|beans?|crumbs?|crunch|roast(?:ed)?|tomato(?:es)?|carrots?|cabbage|beets?|beetroot|asparagus)\b/i;

const YIELD =
  /^(?:makes|yields?|serves|servings?|enough for|prep(?:aration)?(?: time)?|cook(?:ing)?(?: time)?|total(?: time)?|rest(?:ing)?(?: time)?|ready in|takes)\b[:\s]/i;
/** What a cook is told to do begins with a verb. */
export const VERB =
  /^(?:add|adjust|allow|beat|blend|blitz|bring|chill|chop|combine|cool|cover|crush|cut|dissolve|drain|dress|drizzle|emulsify|finish|fold|grate|grind|heat|keep|leave|let|mash|measure|mince|mix|peel|place|pour|press|process|pulse|put|reduce|refrigerate|remove|rest|rub|salt|season|serve|shake|simmer|slowly|stir|store|strain|taste|then|thin|toast|toss|trickle|use|wash|whisk|whizz|while|with)\b/i;
/** Of these no dressing is made; what may also be blended into one (rocket, spinach, watercress) is not among them. */
const SALAD_LEAVES =
  /\b(?:lettuces?|romaine|little gems?|gem hearts?|cos|iceberg|radicchio|endives?|chicory|frisée|frisee|escarole|mesclun|lamb.?s lettuce|mâche|(?:salad|mixed|baby|crisp) (?:leaves|greens)|mixed salad|butterhead|lollo|croutons?)\b/i;
const MOST_HEADING = 60;
const FEWEST_WORDS = 4;

/** Of a line as it stands: the part it opens; null where it is no heading. */
export function headingOf(source: string): Section | null {
  if (stageOpenedBy(source) !== null) return 'jar';
  const bare = source
    .trim()
    .replace(/^#+\s*/, '')
    .replace(/^\*\*(.*?)\*\*/, '$1')
    .replace(/^\*\*|\*\*$/g, '')
    .trim();
  if (bare.length > MOST_HEADING || /^[\d¼½¾⅓⅔⅛]/.test(bare)) return null;
  const words = bare.replace(/\s*:$/, '').trim();
  const isMarked = bare.endsWith(':') || source.trim().startsWith('#') || source.trim().startsWith('**');
  const isFor =
    /^for\s+(?:the\s+|your\s+|an?\s+)?[\p{L} '’&-]+$/iu.test(words) && words.split(' ').length <= 6;
  const isSole =
    /^(?:(?:the\s+)?(?:salad\s+)?dressing|(?:the\s+)?vinaigrette|ingredients?|method|directions?|instructions?|to serve|to finish|garnish|(?:the\s+)?salad)$/i.test(
      words,
    );
  if (!isMarked && !isFor && !isSole) return null;
  if (words === '' || words.includes(':') || /[.!?]$/.test(words)) return null;
  if (JAR.test(words)) return 'jar';
  if (METHOD.test(words)) return 'method';
  if (DISH.test(words)) return 'dish';
  return 'jar';
}

/** Nobody blends these into a dressing, though the pantry knows them. */
const DISH_SURFACES: ReadonlySet<SurfaceKind> = new Set<SurfaceKind>(['pasta', 'grain']);

/**
 * Why a line is no addition where it stands; null: it may be one.
 * @param section after the last heading; 'jar' before the first
 * @param read what was read of it: beside salad leaves, pasta and grains it is set aside only under a heading;
 *   null where anything of it was not read
 */
export function asideOf(
  text: string,
  section: Section,
  read: readonly Pick<Ingredient, 'surface'>[] | null,
): AsideReason | null {
  if (section !== 'jar') return section;
  if (SALAD_LEAVES.test(text)) return 'dish';
  if (read?.some(({ surface }) => surface !== undefined && DISH_SURFACES.has(surface))) return 'dish';
  if (read) return null;
  if (YIELD.test(text)) return 'yield';
  const isSentence = text.split(/\s+/).length >= FEWEST_WORDS;
  return VERB.test(text) && isSentence ? 'method' : null;
}
