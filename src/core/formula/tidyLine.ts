/**
 * Says a line in plainer words before it is read: an amount told twice becomes the better one, a tin becomes what
 * is in it, "the yolk of an egg" becomes a yolk. What was put aside is kept as words of form; nothing is dropped.
 */
import {
  isMassUnit,
  isVolumeUnit,
  NUMBER_WORDS,
  parseAmount,
  type Amount,
  type DecimalSign,
} from '#core/quantity';

export interface TidyLine {
  readonly text: string;
  /** What was taken out of the line, to stand with its form. */
  readonly aside: readonly string[];
  /** The other of two amounts, to be held against the one that is read; null: there was one. */
  readonly check: Amount | null;
}

const PACK = String.raw`(?:tins?|cans?|jars?|packets?|packs?|pouch(?:es)?|cartons?|tubs?|pots?|tubes?|bags?|sachets?|bottles?|containers?|boxes|box|blocks?)`;
const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|an?|one|two|three|four|five|six)`;
const SIZE = String.raw`\d+(?:[.,]\d+)?\s*-?\s*(?:g|grams?|kg|ml|millilit(?:re|er)s?|cl|l|oz|ounces?|fl\.?\s*oz)\b\.?`;

/** "1 (400 g) tin", "one 50 g tin", "2 x 400g cans", "400g tin". */
const PACKED = new RegExp(
  String.raw`^(?:(?<count>${NUMBER})(?:\s*[x×]\s*|\s+|(?=\()))?\(?\s*(?<size>${SIZE})\s*\)?[\s-]*(?<pack>${PACK})\b\.?\s+(?:of\s+)?(?<name>.+)$`,
  'i',
);
const A_PACK = String.raw`^(?<count>${NUMBER})\s+(?:(?:small|large|medium|whole)\s+)?(?<pack>${PACK})\b\.?\s+`;
/** "1 small pot (150 g) yoghurt", "1 tin chickpeas (400 g), drained". */
const PACK_THEN_SIZE = new RegExp(
  String.raw`${A_PACK}\(\s*(?<size>${SIZE})\s*\)\s*(?:of\s+)?(?<name>.+)$`,
  'i',
);
const PACK_SIZE_LAST = new RegExp(
  String.raw`${A_PACK}(?:of\s+)?(?<name>[^()]+?)\s*\(\s*(?<size>${SIZE})\s*\)(?<tail>.*)$`,
  'i',
);
const PACKS = [PACKED, PACK_THEN_SIZE, PACK_SIZE_LAST];
/** "2 x 15 ml vinegar": so often so much. */
const TIMES = new RegExp(String.raw`^(\d+)\s*[x×]\s*(${SIZE})\s+(.+)$`, 'i');
const BRACKETED = /^([^()]{1,60}?)\s*\(\s*([^()]{1,40})\s*\)\s*(?:of\s+)?(.+)$/;
/** "pulp of 2 passion fruit", "the leaves of 3 sprigs of thyme". */
const PART_OF =
  /^(?:the\s+)?(pulp|flesh|seeds?|leaves|tops?|whites?|greens?)\s+(?:of|from)\s+((?:\d|[¼½¾⅓⅔⅛]|half\b|an?\b|one\b|two\b|three\b|four\b).+)$/i;
const EGG_PART = /^(?:the\s+)?(yolk|white)s?\s+(?:of|from)\s+(.+?)\s*\beggs?\b\s*(.*)$/i;
const PEEL = /\b(?:rind|peel)\b(?=\s+(?:of|from)\b)/i;
const GRATED_PEEL =
  /^((?:(?:very|finely|coarsely|freshly)\s+)*(?:grated|pared|shaved))\s+(?=(?:zest|rind|peel)\b)/i;
const MORE =
  /^(?:(another|a\s+further|an\s+extra)\b|((?:\d[\d.,/]*|[¼½¾⅓⅔⅛]|one|two|three|a|a\s+few|a\s+couple(?:\s+of)?)\s+)more\b)\s*/i;
const OR_OF_ITS_OWN =
  /\s+or\s+(?=(?:\d|[¼½¾⅓⅔⅛]|half\b|an?\s+(?:small|large|big|little|few|couple|pinch|handful|bunch|clove|sprig|half)\b)).*$/i;

/** What it is put in for: "water to loosen it", "oil for drizzling". What is fried in something else is not in here. */
const PURPOSE =
  /(?<=\S),?\s+(to (?!taste\b)\p{L}{3,}(?: (?:it|them|out|down|up|off|the \p{L}+))?|for (?!(?:(?:fry|cook|greas|brush|roast|grill|bak)ing|the|each|one|two|three|four)\b)\p{L}{3,}(?: (?:it|them|over|the \p{L}+))?)$/iu;

const COUNT_WORD = String.raw`(?:\d+(?:[.,/]\d+)?|[¼½¾⅓⅔⅛]|an?|one|two|three|four|five|six|seven|eight|nine|ten|a\s+few|a\s+couple(?:\s+of)?)`;
/** "10 basil leaves": the unit stands after the name. */
const UNIT_AFTER = new RegExp(
  String.raw`^(${COUNT_WORD})\s+((?!(?:cups?|tbsp|tsp|tablespoons?|teaspoons?|g|ml|handfuls?|pinch(?:es)?|spoonfuls?|bunch(?:es)?)\b)[\p{L}' -]{3,40}?)\s+(leaf|leaves|sprigs?|stalks?|stems?|fronds?)\b(.*)$`,
  'iu',
);
const COFFEE_SPOON = /^(.{1,16}?)\s*\bcoffee\s*spoon(s?)\b/i;
const THUMB = /^(?:(?:an?|one)\s+)?thumb(?:-?\s*sized?)?(?:\s+(?:piece|knob|length))?\s+of\s+/i;
/** As long as a thumb, cm; common practice. */
const THUMB_CM = 4;
const INCHES =
  /^(?:an?\s+)?(\d+(?:\.\d+)?|½|one|two)[\s-]*(?:inch(?:es)?|in\.|")[\s-]*(?:piece|knob|length|chunk)?\s*(?:of\s+)?/i;
const CM_PIECE = /^((?:an?\s+)?\d+(?:[.,]\d+)?[\s-]*cm)[\s-]*(?:piece|knob|length|chunk)\s+of\s+/i;
const CM_PER_INCH = 2.54;
const HEAD = /^(an?|one|two|\d+)\s+(?:whole\s+)?(?:head|bulb)s?\s+(?:of\s+)?(?=(?:roasted\s+)?garlic\b)/i;
/** "Roasted garlic, 1 head". */
const HEAD_AFTER =
  /^((?:roasted\s+)?garlic)\s*[,:-]\s*((?:an?|one|two|\d+)\s+(?:whole\s+)?(?:head|bulb)s?)$/i;
/** "2 limes juiced": said of the fruit, not a part of its name. */
const FRUIT_DONE =
  /^(.*\b(?:lemons?|limes?|oranges?|clementines?|mandarins?|grapefruits?|yuzus?))\s+(juiced|squeezed|zested)$/i;
/** Common practice: ten to sixteen. */
const CLOVES_A_HEAD = 12;

/** Sizes told by the hand, in units that are read. */
function inUnits(said: string): string {
  const text = said.replace(HEAD_AFTER, '$2 $1').replace(FRUIT_DONE, '$1, $2');
  if (THUMB.test(text)) return text.replace(THUMB, `${THUMB_CM} cm `);
  const inches = INCHES.exec(text);
  if (inches) {
    const count = inches[1] === '½' ? 0.5 : (NUMBER_WORDS[inches[1]!.toLowerCase()] ?? Number(inches[1]));
    return `${Number((count * CM_PER_INCH).toFixed(1))} cm ${text.slice(inches[0].length)}`;
  }
  const head = HEAD.exec(text);
  if (head) {
    const count = NUMBER_WORDS[head[1]!.toLowerCase()] ?? Number(head[1]);
    return `${count * CLOVES_A_HEAD} cloves ${text.slice(head[0].length)}`;
  }
  const after = UNIT_AFTER.exec(text);
  if (after) return `${after[1]!} ${after[3]!} ${after[2]!}${after[4]!}`;
  return text.replace(CM_PIECE, '$1 ').replace(COFFEE_SPOON, '$1 teaspoon$2');
}

/** @param text as it was typed; bullets and doubled spaces may be in it */
export function tidyLine(text: string, decimalSign: DecimalSign): TidyLine {
  const aside: string[] = [];
  let rest = text
    .replace(/\s+/g, ' ')
    .trim()
    .replace(/^[-*•]\s+/, '');
  const more = MORE.exec(rest);
  if (more) rest = `${more[1] ? '1 ' : more[2]!}${rest.slice(more[0].length)}`;
  const other = OR_OF_ITS_OWN.exec(rest);
  if (other && other.index > 0) {
    aside.push(other[0].trim());
    rest = rest.slice(0, other.index);
  }
  const purpose = PURPOSE.exec(rest);
  if (purpose) {
    aside.push(purpose[1]!);
    rest = rest.slice(0, purpose.index);
  }
  const egg = EGG_PART.exec(rest);
  if (egg) rest = `${egg[2]!} egg ${egg[1]!} ${egg[3]!}`.trim();
  const part = egg ? null : PART_OF.exec(rest);
  if (part) {
    aside.push(part[1]!.toLowerCase());
    rest = part[2]!;
  }
  const grated = GRATED_PEEL.exec(rest);
  if (grated) {
    aside.push(grated[1]!);
    rest = rest.slice(grated[0].length);
  }
  // An egg is a unit, too: its white is a thing of its own.
  rest = inUnits(rest.replace(PEEL, 'zest').replace(/\begg[\s-]+white(s?)\b/i, 'eggwhite$1'));
  return double(unpacked(rest, aside, decimalSign), aside, decimalSign);
}

function unpacked(text: string, aside: string[], decimalSign: DecimalSign): string {
  for (const pattern of PACKS) {
    const { count = '1', size = '', pack = '', name = '', tail = '' } = pattern.exec(text)?.groups ?? {};
    const whole = size === '' ? null : multiplied(count, size, decimalSign);
    if (whole === null) continue;
    aside.push(pack.toLowerCase());
    return `${whole} ${name}${tail}`;
  }
  const times = TIMES.exec(text);
  const product = times && multiplied(times[1]!, times[2]!, decimalSign);
  return product ? `${product} ${times[3]!}` : text;
}

/** "2" times "400 g" is "800 g". */
function multiplied(count: string, size: string, decimalSign: DecimalSign): string | null {
  const parsed = parseAmount(size.replace('-', ' '), decimalSign);
  if (parsed.status !== 'read' || parsed.amount.kind !== 'measured' || parsed.rest) return null;
  const [term] = parsed.amount.terms;
  const times = NUMBER_WORDS[count.toLowerCase()] ?? Number(count.replace(',', '.'));
  if (!term || !(times > 0) || !(term.count.nominal > 0)) return null;
  const said = String(Number((term.count.nominal * times).toFixed(3)));
  const unit = /[a-z][a-z.\s]*$/i.exec(size.trim())?.[0] ?? '';
  return `${decimalSign === 'comma' ? said.replace('.', ',') : said} ${unit.trim()}`;
}

/** An amount told twice: what is weighed is believed before what is poured, and that before what is counted. */
function double(text: string, aside: string[], decimalSign: DecimalSign): TidyLine {
  const plain: TidyLine = { text, aside, check: null };
  const match = BRACKETED.exec(text);
  if (!match) return plain;
  const [, first, inner, name] = match as unknown as [string, string, string, string];
  const [one, two] = [parseAmount(first, decimalSign), parseAmount(inner, decimalSign)];
  if (two.status !== 'read' || two.rest || two.amount.kind !== 'measured') return plain;
  if (one.status !== 'read' || one.amount.kind !== 'measured') return plain;
  // "1 packed cup (20 g) basil": the name comes after, whatever stands before the bracket is of the first amount.
  if (one.rest && !/^(?:packed|heaped|level|loosely|lightly|firmly)\b/i.test(one.rest)) return plain;
  const isBetter = trust(two.amount) > trust(one.amount);
  const [kept, set] = isBetter ? [inner, first] : [first, inner];
  aside.push(set.trim());
  return { text: `${kept.trim()} ${name}`, aside, check: isBetter ? one.amount : two.amount };
}

function trust(amount: Amount): number {
  if (amount.kind !== 'measured') return 0;
  const ranks = amount.terms.map(({ unit }) => (isMassUnit(unit) ? 3 : isVolumeUnit(unit) ? 2 : 1));
  return Math.min(...ranks);
}
