/**
 * A dressing as it is told, in whole sentences: "first goes in a spoon of mustard, then two tablespoons of vinegar, and
 * last, slowly, six of oil". Taken apart into what goes in, in its order, and what is only told.
 */
import { NUMBER_WORDS } from '#core/quantity';
import { readLines, restOf, type AdditionLine, type ReadingContext, type Tool } from '#core/formula';

export interface Told {
  /** The words of this piece, as they stood. */
  readonly source: string;
  /** Empty: nothing goes in here. */
  readonly lines: readonly AdditionLine[];
  /** It is left to stand here: said with the line before. */
  readonly rests: boolean;
  /** A thing of the dish that it is poured over, as it would be typed; null: none. */
  readonly ofDish: string | null;
}

const NUMBER = String.raw`(?:\d|[¼½¾⅓⅔⅛]|an?\b|one\b|two\b|three\b|four\b|five\b|six\b|seven\b|eight\b|nine\b|ten\b|half\b|quarter\b|some\b|the (?:juice|zest|yolks?)\b|juice of\b|zest of\b|another\b|about\b|maybe\b|roughly\b|around\b|nearly\b|just (?:under|over)\b)`;
/** A new piece begins: the sentence ends, or what comes next is told as next. */
const BETWEEN = new RegExp(
  [
    String.raw`[.;!?]+(?=\s|$)`,
    String.raw`\n+`,
    String.raw`,?\s*\b(?:and\s+)?(?:then|next|after (?:that|which)|finally|lastly|at last|and last|followed by|afterwards)\b,?`,
    String.raw`,\s*(?:and\s+|with\s+|plus\s+)?(?=${NUMBER})`,
    String.raw`\s+(?:and|plus|with|into|over|onto)\s+(?=${NUMBER})`,
    String.raw`(?<!\b(?:an?|the|big|good|little|small|tiny|last|of))(?:,\s+|\s+)(?:and\s+)?(?=(?:stir|whisk|beat|mix|pour|drizzle|throw|shake|blend|add|season)\b)`,
  ].join('|'),
  'giu',
);
const FILLER =
  /^(?:so|ok(?:ay)?|well|right|now|and|but|also|first(?:ly| of all)?|second(?:ly)?|third(?:ly)?|last(?:ly)?|then|next|here|there|i(?:'ll|'d)?|you|we|usually|always|normally|just|like to|want to|would|will|take|need|have|got|start(?:ing)?(?: off)? with|begin(?:ning)?(?: off)? with|in goes?|goes? in|in go|comes?|put(?: in)?|add(?: in)?|pour(?: in)?|stir(?: in)?|whisk(?: in)?|shake(?: up| together)?|beat(?: in)?|mix(?: in)?|blend(?: in)?|throw(?: in)?|toss(?: in)?|drizzle in|drop(?: in)?|squeeze in|use|with|slowly|gradually|carefully|quickly|drop by drop|in a (?:thin|slow|steady) (?:stream|trickle)|little by little|a little at a time|bit by bit|season(?: it| everything)?(?: with)?|finish(?: it)?(?: with)?|sharpen(?: it)?(?: with)?|sweeten(?: it)?(?: with)?|thin(?: it)?(?: with)?|it|that|everything|to it)\b[,:]?\s*/i;
const TRAILING =
  /[,\s]+(?:(?:go(?:es)?|went) in(?:to (?:it|the (?:jar|bowl)))?(?: (?:first|last|next))?|(?:in)?to the (?:jar|bowl|mix(?:ture)?|blender|rest)|in there|as well|too|please|at the (?:end|start)|first|last|next|to (?:start|begin|finish)(?: with)?|slowly|gradually|drop by drop|in a (?:thin|slow|steady) (?:stream|trickle)|little by little|while (?:whisking|stirring|blending))$/i;
const HAS_NUMBER = new RegExp(String.raw`^${NUMBER}`, 'iu');
/** "two tablespoons of vinegar, then six of oil": the spoon of before is meant. */
const OF_THE_SAME =
  /^((?:about |maybe |roughly )?(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten|a couple|a few)) (?:more )?of (.+)$/i;
const SPOKEN_UNIT =
  /\b(tablespoons?|teaspoons?|tbsp|tsp|cups?|spoons?|spoonfuls?|parts?|millilitres?|ml|grams?|g)\b/i;
const FEWEST = 2;

/** From here to the end of the sentence it is told what is dressed, and not with what. */
const DISH_TURN =
  /\b(?:toss(?:ed)?(?: (?:it|that|them|everything|all))?(?: all)? (?:with|through|over)|(?:pour(?:ed)?|spoon(?:ed)?|drizzled?) (?:it|that|this|everything|the dressing) (?:over|onto)|(?:it )?(?:dresses|goes (?:over|onto|on)|is for)|served? (?:it |this )?(?:with|over|on)|for (?:an?|the|my|our) (?:[a-z-]+ ){0,2}(?:salad|slaw|bowl) (?:of|with|from)|(?:salad|slaw|bowl) (?:itself )?(?:is|has|of|gets|takes|are))\b:?/i;

/** @returns null where it tells of fewer than two additions: then it is method, or a list */
export function readTelling(text: string, context: ReadingContext): readonly Told[] | null {
  const told: { source: string; lines: readonly AdditionLine[]; rests: boolean; ofDish: string | null }[] =
    [];
  let unit: string | null = null;
  for (const { source, ofDish } of pieces(text)) {
    if (ofDish !== null) {
      told.push({ source, lines: [], rests: false, ofDish });
      continue;
    }
    let words = prepared(stripped(source));
    const same: RegExpExecArray | null = OF_THE_SAME.exec(words);
    if (same && unit && !SPOKEN_UNIT.test(same[2]!.split(' ')[0]!))
      words = `${same[1]!} ${unit} of ${same[2]!}`;
    unit = SPOKEN_UNIT.exec(words)?.[1] ?? unit;
    const lines = HAS_NUMBER.test(words) ? readLines(words, context) : named(words, context);
    const isIn = lines.every(({ reading }) => reading.status === 'read');
    const rest = isIn && lines.length > 0 ? null : restOf(source);
    const before = told.findLast((piece) => piece.lines.length > 0);
    if (rest && before) before.lines = withRest(before.lines, rest.said);
    told.push({
      source,
      lines: isIn ? lines : [],
      rests: rest !== null && before !== undefined,
      ofDish: null,
    });
  }
  return told.filter(({ lines }) => lines.length > 0).length >= FEWEST ? told : null;
}

/** "chop a shallot" is a shallot, chopped. */
const PREPARE = /^(chop|mince|grate|crush|mash|slice|dice|pound|peel|toast)\s+(?:up\s+)?(.+)$/i;
const DONE: Readonly<Record<string, string>> = {
  mince: 'minced',
  grate: 'grated',
  slice: 'sliced',
  dice: 'diced',
  chop: 'chopped',
};
function prepared(words: string): string {
  const found = PREPARE.exec(words);
  if (!found) return words;
  const verb = found[1]!.toLowerCase();
  return `${found[2]!}, ${DONE[verb] ?? `${verb}ed`}`;
}

/** Kept in the words of the line after which it is left to stand; the making reads it there. */
const withRest = (lines: readonly AdditionLine[], said: string): readonly AdditionLine[] =>
  lines.map((line, index) =>
    index === lines.length - 1
      ? { ...line, form: [line.form, `left ${said}`].filter(Boolean).join(', ') }
      : line,
  );

/** "salt", "a bit of pepper to taste": known by name, without an amount. */
function named(words: string, context: ReadingContext): readonly AdditionLine[] {
  if (words === '' || words.split(' ').length > 6) return [];
  return readLines(words, context).filter(({ reading }) => reading.status === 'read');
}

function pieces(text: string): readonly { readonly source: string; readonly ofDish: string | null }[] {
  return text.split(SENTENCE_ENDS).flatMap((sentence) => {
    const turn = DISH_TURN.exec(sentence);
    const jar = split(turn ? sentence.slice(0, turn.index) : sentence);
    // "and serve it with bread" is no list of a dish where nothing of it is counted.
    const dish = turn ? split(sentence.slice(turn.index + turn[0].length)) : [];
    return [
      ...jar.map((source) => ({ source, ofDish: null })),
      ...dish.flatMap((source) => {
        const words = stripped(source.replace(/^(?:and|with|plus)\s+/i, ''));
        return words === '' ? [] : [{ source, ofDish: words }];
      }),
    ];
  });
}
const SENTENCE_ENDS = /[.;!?]+(?=\s|$)|\n+/u;
const split = (text: string): readonly string[] =>
  text
    .split(BETWEEN)
    .map((piece) => piece.trim())
    .filter(Boolean);

function stripped(piece: string): string {
  let words = piece.replace(/\s+/g, ' ').replace(/^[,:\s]+|[,:\s]+$/g, '');
  for (let before = ''; before !== words;) {
    before = words;
    words = words.replace(FILLER, '').replace(TRAILING, '').trim();
  }
  return words;
}

const TOLD_TOOLS: readonly (readonly [RegExp, Tool])[] = [
  [/\b(?:stick|hand|immersion) blender\b/i, 'stick'],
  [/\b(?:blender|blend|blitz|whizz)\b/i, 'blender'],
  [/\b(?:food )?processor\b/i, 'processor'],
  [/\b(?:pestle|mortar)\b/i, 'mortar'],
  [/\bfork\b/i, 'fork'],
  [/\bwhisk(?:ing|ed)?\b/i, 'whisk'],
  [/\bshak(?:e|ing|en)\b/i, 'shake'],
];

/** What it is mixed with, as far as it is told; null: nobody said. */
export const toldTool = (text: string): Tool | null =>
  TOLD_TOOLS.find(([words]) => words.test(text))?.[1] ?? null;

const SERVES = new RegExp(
  String.raw`\b(?:serves|feeds|servings?:?|enough for|for (?=\S+(?: (?:to|or) \S+)? (?:people|persons|guests|eaters|covers)\b))\s*(?:about |around )?(\d{1,4}|${Object.keys(NUMBER_WORDS).join('|')})\b`,
  'i',
);
/** For how many it is said to be; null: nobody said. */
export function toldServings(text: string): number | null {
  const said = SERVES.exec(text)?.[1]?.toLowerCase();
  if (said === undefined) return null;
  const count = NUMBER_WORDS[said] ?? Number(said);
  return count >= 1 ? Math.round(count) : null;
}
