/**
 * Free text to a draft: which lines are ingredients, which are headings, which are method. Every line that
 * is not blank comes out in exactly one place; what is doubtful says so and is asked for.
 */
import { readLines, type AdditionLine, type ReadingContext, type Tool } from '#core/formula';
import { readTelling, toldServings, toldTool, type Told } from './telling';
import { asideOf, headingOf, VERB, type Section } from './sections';
import { stageOpenedBy } from './stages';
import { searchIngredients, type Ingredient } from '#core/ingredient';

export type Confidence = 'sure' | 'check' | 'ask';

export interface PastedLine {
  /** As it stood there. */
  readonly source: string;
  /** From 1. */
  readonly at: number;
  /** From 0: a line may say more than one thing, "salt and pepper". */
  readonly part: number;
  readonly line: AdditionLine;
  readonly confidence: Confidence;
  /** What it may have meant, best first. */
  readonly near: readonly Ingredient[];
}

export interface PastedRecipe {
  /** Null where nothing looks like a name. */
  readonly title: string | null;
  readonly lines: readonly PastedLine[];
  /** Method and remarks, in order, as they stood. */
  readonly notes: readonly { readonly at: number; readonly text: string }[];
  /** Things of the dish, not of the jar: under a heading that says so, or salad leaves. */
  readonly dish: readonly { readonly at: number; readonly text: string }[];
  /** What it is said to be mixed with; null: nobody said. */
  readonly tool: Tool | null;
  /** For how many the dish is said to be; null: nobody said. */
  readonly servings: number | null;
  /** Headings that only part the text. */
  readonly headings: readonly { readonly at: number; readonly text: string }[];
}

const BULLET = /^\s*(?:[-*•·–‣▪●○]|\[[ x]?\]|☐)\s+/i;
const NUMBERED = /^\s*(?:step\s*)?\d{1,2}[.)]\s+/i;
const INGREDIENT_HEADING =
  /^(?:ingredients?|you(?:'|’)?ll need|you need|shopping list|what you need|zutaten|ingrédients)\b.{0,30}$/i;
const METHOD_HEADING =
  /^(?:method|directions?|instructions?|preparation|steps?|how to make(?: it)?|to make|procedure|zubereitung|préparation)\b(?!\s*\d).{0,30}$/i;
const NOTE_HEADING =
  /^(?:notes?|tips?|storage|to serve|serving|source|nutrition|equipment|variations?)\b.{0,30}$/i;
const FACT =
  /^(?:makes|yields?|serves|servings?|prep(?:aration)?(?: time)?|cook(?:ing)?(?: time)?|total(?: time)?|rest(?:ing)?(?: time)?)\b[:\s]/i;
/** The amount stands behind: "olive oil – 90 ml", "honey: 1 tsp", "salt (2 g)". */
const BEHIND = /^(.{2,60}?)\s*(?:[:–—…]|\.{2,}|\s-\s|\t)\s*((?:~|about |ca\.? )?[\d¼½¾⅓⅔⅛⅜⅝⅞].{0,30})$/i;
const IN_BRACKETS = /^([^\d(]{2,60}?)\s*\(((?:\d|[¼½¾⅓⅔⅛]).{0,20})\)\s*$/;
const HAS_AMOUNT =
  /^(?:~|about |ca\.? |approx\.? |scant |heaped |generous |level )?(?:[\d¼½¾⅓⅔⅛⅜⅝⅞]|an? |one |two |three |four |five |six |half |several |some |a few |juice |zest |pinch|dash|splash|handful|salt|pepper)/i;
const LONG = 90;

type Where = 'unknown' | 'ingredients' | 'method' | 'notes';

export function readPasted(text: string, context: ReadingContext): PastedRecipe {
  const lines: PastedLine[] = [];
  const notes: { at: number; text: string }[] = [];
  const headings: { at: number; text: string }[] = [];
  const dish: { at: number; text: string }[] = [];
  let title: string | null = null;
  let where: Where = 'unknown';
  let section: Section = 'jar';
  text.split(/\r\n|\r|\n/).forEach((raw, index) => {
    const at = index + 1;
    const source = raw.trim();
    if (source === '') return;
    const bare = source
      .replace(/^#+\s*/, '')
      .replace(/^\*\*(.*)\*\*:?$/, '$1')
      .replace(/:$/, '')
      .trim();
    const named = whereOf(bare);
    const part = named ? (named === 'ingredients' ? 'jar' : 'method') : headingOf(source);
    // The first line of all may be the name: "Salad dressing" opens nothing.
    if (part && (named || source.endsWith(':') || index > 0 || stageOpenedBy(source) !== null)) {
      if (named) where = named;
      else if (part === 'method') where = 'method';
      else if (where !== 'unknown' || part === 'jar') where = 'ingredients';
      section = part;
      headings.push({ at, text: source });
      return;
    }
    const item = source.replace(BULLET, '').trim();
    const isStep = NUMBERED.test(item) && !BULLET.test(source);
    if (section === 'dish' && !isStep && !FACT.test(item)) {
      dish.push({ at, text: item });
      return;
    }
    if (where !== 'method' && where !== 'notes' && !isStep && !FACT.test(item)) {
      const found = ingredientLines(item, source, at, where === 'ingredients', lines.length > 0, context);
      const read = found.flatMap(({ line: { reading } }) =>
        reading.status === 'read' ? [reading.ingredient] : [],
      );
      // Prose that names leaves is no leaf.
      const isProse = found.length === 0 && item.length > LONG;
      if (!isProse && asideOf(item, 'jar', read.length > 0 ? read : null) === 'dish') {
        dish.push({ at, text: item });
        return;
      }
      if (found.length > 0) {
        lines.push(...found);
        return;
      }
    }
    // The first words of all, where they are few and no sentence, are the name.
    if (
      title === null &&
      lines.length === 0 &&
      notes.length === 0 &&
      where === 'unknown' &&
      looksLikeTitle(bare)
    ) {
      title = bare;
      return;
    }
    const telling = lines.length === 0 && section === 'jar' ? readTelling(item, context) : null;
    if (telling) {
      lines.push(...toldLines(telling, at));
      const only = telling
        .filter((piece) => piece.lines.length === 0 && !piece.rests && piece.ofDish === null)
        .map((piece) => piece.source);
      dish.push(...telling.flatMap(({ ofDish }) => (ofDish === null ? [] : [{ at, text: ofDish }])));
      if (only.length > 0) notes.push({ at, text: only.join('; ') });
      return;
    }
    notes.push({ at, text: source });
  });
  return { title, lines, notes, dish, tool: toldTool(text), servings: toldServings(text), headings };
}

function whereOf(bare: string): Where | null {
  if (INGREDIENT_HEADING.test(bare)) return 'ingredients';
  if (METHOD_HEADING.test(bare)) return 'method';
  return NOTE_HEADING.test(bare) ? 'notes' : null;
}

const looksLikeTitle = (text: string): boolean =>
  text.length <= 70 && !/[.!?]$/.test(text) && !VERB.test(text) && !FACT.test(text);

/** None where it is prose, or words that name nothing known outside a list of ingredients. */
function ingredientLines(
  item: string,
  source: string,
  at: number,
  inList: boolean,
  /** Lines of a list stand before it. */
  begun: boolean,
  context: ReadingContext,
): readonly PastedLine[] {
  const candidate = turned(item);
  if (candidate.length > LONG && !inList) return [];
  const read = readLines(plain(candidate), context);
  if (read.every(({ reading }) => reading.status === 'read')) {
    if (!inList && VERB.test(item) && !HAS_AMOUNT.test(item)) return [];
    return read.flatMap((line, part): PastedLine[] => {
      const doubts = line.reading.status === 'read' ? line.reading.doubts : [];
      // A name alone is a title or a heading, unless the list has begun.
      if (!inList && !begun && doubts.some(({ code }) => code === 'no-amount-said')) return [];
      return [{ source, at, part, line, confidence: doubts.length === 0 ? 'sure' : 'check', near: [] }];
    });
  }
  const line = read[0]!;
  const sentence = VERB.test(item) || /[.!?]$/.test(item) || candidate.length > LONG;
  if (!inList && (sentence || !HAS_AMOUNT.test(candidate))) return [];
  if (inList && sentence && !HAS_AMOUNT.test(candidate)) return [];
  const near = isUnknown(line) ? searchIngredients(line.ingredientText, context.catalogue, 4) : [];
  return [{ source, at, part: 0, line, confidence: 'ask', near }];
}

/** What goes in, in the order in which it is told. */
const toldLines = (telling: readonly Told[], at: number): readonly PastedLine[] =>
  telling
    .flatMap(({ source, lines }) => lines.map((line) => ({ source, line })))
    .map(({ source, line }, part): PastedLine => {
      const doubts = line.reading.status === 'read' ? line.reading.doubts : [];
      return { source, at, part, line, confidence: doubts.length === 0 ? 'sure' : 'check', near: [] };
    });

/** Its name was not understood; where the amount was not, another name mends nothing. */
const isUnknown = ({ reading }: AdditionLine): boolean =>
  reading.status === 'unread' &&
  (reading.problem.code === 'unknown-ingredient' || reading.problem.code === 'ambiguous-ingredient');

/** "Olive oil – 90 ml" → "90 ml olive oil". */
function turned(item: string): string {
  if (HAS_AMOUNT.test(item)) return item;
  const found = BEHIND.exec(item) ?? IN_BRACKETS.exec(item);
  return found ? `${found[2]!.trim()} ${found[1]!.trim()}` : item;
}

/** Words that say nothing of the amount. */
const plain = (text: string): string =>
  text
    .replace(/^(?:~|about |approx\.? |approximately |ca\.? |roughly )/i, '')
    .replace(/\s*\((?:optional|about [^)]*|or [^)]*|see [^)]*|\d[^)]*)\)/gi, '')
    .replace(
      /,?\s*\b(?:optional|divided|or to taste|plus more (?:to|for) \w+|if (?:liked|needed|using))\b.*$/i,
      '',
    )
    .replace(/\*+/g, '')
    .trim();
