/** The next sensible kitchen step up or down from an amount as typed, in the words it was typed in. */
import { formatCount } from './formatAmount';
import type { Amount, AmountTerm } from './amount';
import { parseAmount } from './parseAmount';
import type { DecimalSign } from './readNumber';
import type { Unit } from './units';

const FEW_FRACTIONS = [1 / 8, 1 / 4, 1 / 2, 3 / 4];
const LADDERS: Partial<Record<Unit, readonly number[]>> = {
  tsp: [...FEW_FRACTIONS, 1, 1.5, 2, 2.5, 3],
  dessertspoon: [0.5, 1, 1.5, 2],
  tbsp: [0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4],
  cup: [1 / 8, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1, 1.25, 4 / 3, 1.5, 5 / 3, 1.75, 2],
  part: [0.25, 0.5, 0.75, 1, 1.5, 2, 2.5, 3, 3.5, 4],
  juice: [0.25, 0.5, 0.75, 1, 1.5, 2, 2.5, 3],
  zest: [0.5, 1, 1.5, 2],
  bunch: [0.25, 0.5, 1],
  each: [0.25, 0.5, 1, 1.5, 2],
};
/** Step by size for units that are poured or weighed: [below, step]. */
const METRIC_STEPS: readonly (readonly [number, number])[] = [
  [1, 0.1],
  [5, 0.5],
  [20, 1],
  [100, 5],
  [300, 10],
  [1000, 25],
  [5000, 100],
  [Infinity, 500],
];
const WEIGHED: ReadonlySet<Unit> = new Set<Unit>(['g', 'ml', 'mg']);
const SCALED: Partial<Record<Unit, number>> = { kg: 1000, l: 1000, dl: 100, cl: 10 };

/**
 * @param text the amount as typed, e.g. "1½ tsp" or "about 90 ml"
 * @returns the new text, or null where there is no sensible step (unreadable, to taste, already the smallest)
 */
export function nudgeAmount(text: string, direction: 'up' | 'down', decimalSign: DecimalSign): string | null {
  const parsed = parseAmount(text, decimalSign);
  if (parsed.status !== 'read' || parsed.amount.kind !== 'measured') return null;
  const terms = parsed.amount.terms;
  const last = terms[terms.length - 1]!;
  const typed = typedCount(last, text);
  const next = nextCount(typed, last.unit, direction);
  if (next === null) return null;
  const metric = WEIGHED.has(last.unit) || SCALED[last.unit] !== undefined;
  const decimals = String(Number(next.toFixed(4))).replace('.', decimalSign === 'comma' ? ',' : '.');
  return replaceLastCount(text, parsed.amount, metric ? decimals : formatCount(next), next);
}

/**
 * The same words with another count: "2 yolks" with 3 is "3 yolks".
 * @returns null where the text is no measured amount
 */
export function withCount(text: string, count: number, decimalSign: DecimalSign): string | null {
  const parsed = parseAmount(text, decimalSign);
  if (parsed.status !== 'read' || parsed.amount.kind !== 'measured') return null;
  return replaceLastCount(text, parsed.amount, formatCount(count), count);
}

function nextCount(count: number, unit: Unit, direction: 'up' | 'down'): number | null {
  const scale = SCALED[unit];
  if (scale) {
    const next = metricStep(count * scale, direction);
    return next === null ? null : next / scale;
  }
  if (WEIGHED.has(unit)) return metricStep(count, direction);
  const ladder = LADDERS[unit];
  const top = ladder?.[ladder.length - 1] ?? 0;
  if (ladder && (direction === 'up' ? count < top - 1e-6 : count <= top + 1e-6)) {
    const found =
      direction === 'up'
        ? ladder.find((step) => step > count + 1e-6)
        : [...ladder].reverse().find((step) => step < count - 1e-6);
    return found ?? null;
  }
  const next = direction === 'up' ? Math.floor(count + 1e-6) + 1 : Math.ceil(count - 1e-6) - 1;
  return next >= 1 ? next : null;
}

function metricStep(value: number, direction: 'up' | 'down'): number | null {
  const probe = direction === 'up' ? value + 1e-9 : value - 1e-9;
  const step = METRIC_STEPS.find(([below]) => probe < below)![1];
  const steps = value / step;
  const next = direction === 'up' ? Math.floor(steps + 1e-6) + 1 : Math.ceil(steps - 1e-6) - 1;
  const result = Number((next * step).toFixed(6));
  return result > 0 ? result : null;
}

/** The count before "about" and "heaped" widened it. */
function typedCount(term: AmountTerm, text: string): number {
  const widened = /\b(?:scant|heaped|heaping|rounded|generous)\b/i.test(text);
  return widened ? Math.max(1, Math.round(term.count.low)) : term.count.nominal;
}

const COUNT_WORDS =
  /(?:a couple of|a few|a half|half an?|half|quarter|\d+\s+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|(?:\d[\d.,]*\s*)?[¼½¾⅓⅔⅛⅜⅝⅞]|\d[\d.,]*|\b(?:an?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|dozen)\b)(?:\s*(?:[-–—]|to\b|or\b)\s*(?:[\d.,]*\s*[¼½¾⅓⅔⅛⅜⅝⅞]|\d[\d.,/]*|\p{L}+))?/giu;

function replaceLastCount(text: string, amount: Amount, shown: string, next: number): string {
  const matches = [...text.matchAll(COUNT_WORDS)];
  const match = amount.kind === 'measured' && amount.terms.length > 1 ? matches.at(-1) : matches[0];
  if (!match) return `${shown} ${pluralise(text.trim(), next)}`;
  const before = text.slice(0, match.index);
  const after = text.slice(match.index + match[0].length);
  return `${before}${shown}${/^\s/.test(after) || !after ? '' : glue(after)}${pluralise(after, next)}`;
}

const glue = (after: string): string => (/^(?:g|kg|mg|ml|cl|dl|l)\b/i.test(after) ? '' : ' ');

const PLURALS: readonly (readonly [string, string])[] = [
  ['pinch', 'pinches'],
  ['dash', 'dashes'],
  ['splash', 'splashes'],
  ['ladle', 'ladles'],
  ['bunch', 'bunches'],
  ['leaf', 'leaves'],
  ...['drop', 'grind', 'knob', 'handful', 'clove', 'yolk', 'egg', 'fillet', 'sprig', 'piece'].map(
    (word) => [word, `${word}s`] as const,
  ),
  ...['cup', 'part', 'teaspoon', 'tablespoon'].map((word) => [word, `${word}s`] as const),
];

function pluralise(text: string, count: number): string {
  const many = count > 1;
  for (const [one, more] of PLURALS) {
    const pattern = new RegExp(`\\b${many ? one : more}\\b`, 'i');
    // "cup" is left alone: a cook writes "1½ cup" and "1½ cups" alike.
    if (pattern.test(text)) return text.replace(pattern, many ? more : one);
  }
  return text;
}
