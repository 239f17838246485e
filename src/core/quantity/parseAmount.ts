/**
 * Reads an amount as a cook says it from the start of a text ("⅓ cup cider vinegar"), and hands
 * back what follows it. The grammar, loosely:
 *
 *   amount  = term { ("+" | "plus" | "and" | "minus") term } | "to taste"
 *   term    = ["about"] [count] [fill | size]* [unit] ["of"]
 *   count   = number [("-" | "to") number] | "a couple of" | word
 *
 * What it cannot read it refuses with a problem; it never guesses zero.
 */
import { sumOverTerms, type Amount, type AmountTerm } from './amount';
import type { Doubt, Problem } from './finding';
import { between, exactly, plus, range, times, type Range } from './range';
import { NUMBER_AT_START, readNumber, type DecimalSign } from './readNumber';
import {
  ABOUT_FACTOR,
  ABOUT_WORDS,
  CASED_UNITS,
  FILL_WORDS,
  FRACTION_WORDS,
  LOOSE_COUNTS,
  NUMBER_WORDS,
  SIZE_WORDS,
  UNIT_WORDS,
  type Size,
} from './vocabulary';
import { isVolumeUnit, type Unit } from './units';

export interface ParsedAmount {
  readonly status: 'read';
  readonly amount: Amount;
  /** The words of the amount as typed. */
  readonly amountText: string;
  /** What follows the amount: ingredient and form; may be empty. */
  readonly rest: string;
  readonly doubts: readonly Doubt[];
}
export type ParseResult = ParsedAmount | { readonly status: 'unread'; readonly problem: Problem };

/** Whole grams or millilitres never grow past this; a longer number is a slip of the finger. */
const LARGEST_COUNT = 1_000_000;

const PART_WORDS = Object.keys(FRACTION_WORDS).join('|');
const SOME = 'an?|one|two|three|four|five|six|seven';
const PARTS = new RegExp(
  String.raw`^\s*(?:(${SOME})[\s-]+)?(${PART_WORDS})\b(?:\s+(?:of\s+)?(?:an?|the|one)\b|\s+of\b)?\s*`,
  'i',
);
const AND_PARTS = new RegExp(String.raw`^\s*and\s+(${SOME})[\s-]+(${PART_WORDS})\b\s*`, 'i');

const DIGIT_PARTS = new RegExp(String.raw`^\s*(${PART_WORDS})\b(?:\s+of\s+an?\b|\s+of\b)?\s*`, 'i');

const TO_TASTE =
  /(?:,\s*)?\b(?:to taste|as needed|as (?:much|little) (?:of it )?as (?:you|i|we|they) (?:like|want|please|need|fancy))\b(?:\s+of\b)?/i;
const JUICE_OR_ZEST = /^(?:the\s+)?(juice|zest)\s+(?:of|from)\s+/i;
const JUICE_AND_ZEST = /\b(?:juice\s+(?:and|&|\+)\s+zest|zest\s+(?:and|&|\+)\s+juice)\b/i;

/** Reads the amount at the start of `text`, or, failing that, at its end ("olive oil 90 ml"). */
export function parseAmount(text: string, decimalSign: DecimalSign): ParseResult {
  const tidy = text
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/[\u2010-\u2015\u2212]/g, '-')
    .replace(/\s+/g, ' ')
    .trim()
    // The bullet of a pasted list is no minus sign: it stands apart.
    .replace(/^[-*•]\s+/, '');
  if (!tidy) return unread({ code: 'empty' });
  if (JUICE_AND_ZEST.test(tidy)) return unread({ code: 'two-things', text: tidy });
  if (/^-[\d.,¼½¾⅓⅔⅛⅜⅝⅞]/.test(tidy)) return unread({ code: 'negative', text: tidy });
  const atStart = readSum(tidy, decimalSign);
  if (atStart.status === 'unread' && atStart.problem.code !== 'no-amount') return atStart;
  if (atStart.status === 'read') return atStart;
  const toTaste = TO_TASTE.exec(tidy);
  if (toTaste) {
    const rest = `${tidy.slice(0, toTaste.index)} ${tidy.slice(toTaste.index + toTaste[0].length)}`;
    return {
      status: 'read',
      amount: { kind: 'to-taste' },
      amountText: 'to taste',
      rest: rest.trim(),
      doubts: [],
    };
  }
  return readAtEnd(tidy, decimalSign) ?? atStart;
}

function readAtEnd(text: string, decimalSign: DecimalSign): ParsedAmount | null {
  const start = /\s(?=(?:about |~)?[\d¼½¾⅓⅔⅛⅜⅝⅞.,]+[^,()]*$)/i.exec(text);
  if (!start) return null;
  const tail = readSum(text.slice(start.index + 1), decimalSign);
  if (tail.status !== 'read' || tail.rest) return null;
  return { ...tail, rest: text.slice(0, start.index).replace(/[:,]$/, '').trim() };
}

function readSum(text: string, decimalSign: DecimalSign): ParseResult {
  const fruit = JUICE_OR_ZEST.exec(text);
  const cursor = new Cursor(fruit ? text.slice(fruit[0].length) : text, decimalSign);
  const terms: AmountTerm[] = [];
  const approximately = cursor.take(ABOUT_WORDS) !== null;
  let minus = false;
  for (;;) {
    const term = fruit
      ? readFruit(cursor, fruit[1]!.toLowerCase() as 'juice' | 'zest')
      : readTerm(cursor, text);
    if ('code' in term) {
      if (terms.length === 0) return unread(term);
      return unread({ code: 'leftover', text: cursor.rest || text });
    }
    const counted = approximately ? { ...term, count: times(term.count, ABOUT_FACTOR) } : term;
    terms.push(minus ? { ...counted, minus: true } : counted);
    minus = !fruit && cursor.take(/^\s*(?:minus|less)\b\s*/i) !== null;
    if (minus) continue;
    if (fruit || !cursor.take(/^\s*(?:\+|plus\b|and\b(?=\s*(?:[\d¼½¾⅓⅔⅛]|an? )))\s*/i)) break;
  }
  const total = sumOverTerms(terms, (term) => term.count).high;
  if (!(total < LARGEST_COUNT)) return unread({ code: 'too-large', limitKg: LARGEST_COUNT / 1000 });
  const end = text.length - cursor.rest.length;
  const amountText = text
    .slice(0, end)
    .replace(/\s*\bof\s*$/i, '')
    .trim();
  const rest = cursor.rest.replace(/^of\s+/i, '').trim();
  return {
    status: 'read',
    amount: { kind: 'measured', terms },
    // "juice of ½ lemon" is one saying: the fruit belongs to it.
    amountText: fruit ? `${text.slice(0, end)}${cursor.rest.split(',')[0]!}`.trim() : amountText,
    rest,
    doubts: cursor.doubts,
  };
}

function readFruit(cursor: Cursor, unit: 'juice' | 'zest'): AmountTerm | Problem {
  const count = cursor.count();
  if (count && 'code' in count) return count;
  const size = cursor.size();
  return { count: count ?? exactly(1), unit, size };
}

function readTerm(cursor: Cursor, whole: string): AmountTerm | Problem {
  let fill = cursor.fill();
  const count = cursor.count();
  if (count && 'code' in count) return count;
  fill ??= cursor.fill();
  const size = cursor.size();
  fill ??= cursor.fill();
  const found = cursor.unit(count !== null);
  // "a tablespoon and a half of Dijon": the half is of the same spoon.
  const further = found ? cursor.andFraction() : null;
  if (count === null && !found) {
    return { code: 'no-amount', text: whole };
  }
  const unit: Unit = found ?? 'each';
  // Of spoons and cups a couple is two; of pinches it may be three.
  const isCouple = cursor.saidCouple && found !== null && isVolumeUnit(found);
  cursor.saidCouple = false;
  const said = isCouple ? range(2, 2, 3) : (count ?? exactly(1));
  const nominal = further === null ? said : plus(said, exactly(further));
  return { count: fill ? times(nominal, fill) : nominal, unit, size };
}

/** Walks through the text, taking one kind of word at a time. */
class Cursor {
  readonly doubts: Doubt[] = [];
  saidCouple = false;

  constructor(
    public rest: string,
    private readonly decimalSign: DecimalSign,
  ) {}

  take(pattern: RegExp): RegExpExecArray | null {
    const match = pattern.exec(this.rest);
    if (match) this.rest = this.rest.slice(match[0].length);
    return match;
  }

  private word(): { text: string; length: number } | null {
    const match = /^\s*(\p{L}+)\.?(?![\p{L}\d'’-])\s*/u.exec(this.rest);
    return match ? { text: match[1]!, length: match[0].length } : null;
  }

  private pick<T>(table: Readonly<Record<string, T>>): T | undefined {
    const word = this.word();
    const key = word?.text.toLowerCase();
    if (!word || key === undefined || !Object.hasOwn(table, key)) return undefined;
    this.rest = this.rest.slice(word.length);
    return table[key];
  }

  fill(): Range | undefined {
    this.take(/^\s*(?:a|an|one)\s+(?=(?:scant|level|heaped|heaping|rounded|generous|good|decent|tiny)\b)/i);
    return this.pick(FILL_WORDS);
  }

  size(): Size | null {
    return this.pick(SIZE_WORDS) ?? null;
  }

  count(): Range | Problem | null {
    const first = this.number();
    if (first === null || typeof first === 'object') return first;
    const before = this.rest;
    if (this.take(/^\s*(?:-|to\b|or\b)\s*/i)) {
      const second = this.number();
      if (second !== null && typeof second === 'object' && 'code' in second) return second;
      if (typeof second === 'number') {
        // "1-1/2 tsp" is how some write one and a half.
        if (Number.isInteger(first) && first >= 1 && second < 1 && /^\s*-/.test(before)) {
          const takenAs = first + second;
          this.doubts.push({
            code: 'mixed-or-range',
            text: `${first}${before.trim()}`.split(' ')[0]!,
            takenAs,
          });
          return exactly(takenAs);
        }
        return between(first, second);
      }
      this.rest = before;
    }
    return exactly(first);
  }

  private number(): number | Range | Problem | null {
    const digits = this.take(NUMBER_AT_START);
    if (digits) {
      const reading = readNumber(digits[0], this.decimalSign);
      if (reading.status === 'unread' || /^(?:[\d/⁄]|[.,]\d)/.test(this.rest)) {
        return { code: 'bad-number', text: digits[0] + (/^[\d.,/⁄]+/.exec(this.rest)?.[0] ?? '') };
      }
      if (reading.doubtful) {
        this.doubts.push({
          code: 'thousands-or-decimal',
          text: digits[0],
          takenAs: reading.value,
        });
      }
      this.take(/^\s*/);
      // "2 quarters", "3 fourths of a": so many parts.
      const part = this.take(DIGIT_PARTS);
      if (part) return reading.value * FRACTION_WORDS[part[1]!.toLowerCase()]!;
      // "½ a lemon", "0.5 of a shallot": the article belongs to the part.
      if (reading.value < 1) this.take(/^(?:of\s+)?(?:an?|the)\s+(?=\p{L}{2})/iu);
      return reading.value + (this.andFraction() ?? 0);
    }
    const loose = this.take(/^\s*(?:a\s+)?(couple|few)\b(?:\s+of\b)?\s*/i);
    this.saidCouple ||= loose?.[1]!.toLowerCase() === 'couple';
    if (loose) return between(...LOOSE_COUNTS[loose[1]!.toLowerCase()]!);
    const part = this.fraction();
    if (part !== null) return part;
    if (this.take(/^\s*(?:a\s+)?dozen\b\s*/i)) return NUMBER_WORDS.dozen!;
    const word = this.pick(NUMBER_WORDS);
    if (word === undefined) return null;
    return word + (this.andFraction() ?? 0);
  }

  /** "half a", "two thirds of a", "an eighth of a", "three quarters". */
  private fraction(): number | null {
    const found = this.take(PARTS);
    if (!found) return null;
    const [, many, part] = found as unknown as [string, string | undefined, string];
    const count = many === undefined ? 1 : (NUMBER_WORDS[many.toLowerCase()] ?? 1);
    return count * FRACTION_WORDS[part.toLowerCase()]!;
  }

  /** "… and a half", "… and three quarters". */
  andFraction(): number | null {
    const found = this.take(AND_PARTS);
    if (!found) return null;
    const [, many, part] = found as unknown as [string, string, string];
    return (NUMBER_WORDS[many.toLowerCase()] ?? 1) * FRACTION_WORDS[part.toLowerCase()]!;
  }

  unit(counted: boolean): Unit | null {
    const fluid = this.take(/^\s*fl(?:uid|\.)?\s*(?:ounces?|oz)\b\.?\s*/i);
    if (fluid) return 'floz';
    const ounces = this.take(/^\s*(?:ounces?|oz)\.?\s+by\s+(weight|volume)\b\s*/i);
    if (ounces) return ounces[1]!.toLowerCase() === 'weight' ? 'ozWeight' : 'floz';
    if (this.take(/^\s*egg\s+yolks?\b\s*/i)) return 'yolk';
    this.take(/^\s*whole\s+(?=(?:eggs?|cloves?|sprigs?|leaves)\b)/i);
    const turns = this.take(/^\s*turns?\s+of\s+the\s+mill\b\s*/i);
    if (turns) return 'grind';
    if (this.take(/^\s*(?:little\s+)?bit\b\s*/i)) return 'bit';
    const word = this.word();
    if (!word) return null;
    const cased = counted ? CASED_UNITS[word.text] : undefined;
    const known = cased ? { unit: cased, bare: true } : UNIT_WORDS.get(word.text.toLowerCase());
    if (!known || (!counted && !known.bare)) return null;
    this.rest = this.rest.slice(word.length);
    return known.unit;
  }
}

const unread = (problem: Problem): ParseResult => ({ status: 'unread', problem });
