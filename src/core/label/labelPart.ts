/** One thing of a list, taken apart: its name, its share of the bottle, and what stands in its brackets. */
export interface LabelPart {
  /** Without brackets, shares and strengths. */
  readonly name: string;
  /** g per 100 g as printed, with half of its last digit either way; null: none stands there. */
  readonly printed: { readonly low: number; readonly high: number } | null;
  /** What it is made of, or what it is for. */
  readonly inside: string;
}

const PERCENT = /(\d{1,3})(?:[.,](\d{1,2}))?\s*%/;
/** How strong or how fat the thing itself is, no share of the bottle: "6 % acidity", "fat: 30 %". */
const STRENGTH =
  /(?:\b(?:acidity|acid|strength|fat|dry matter|solids|alcohol)\s*:?\s*(?:of\s*)?\d[\d.,]*\s*%)|(?:\d[\d.,]*\s*%\s*(?:(?:acetic )?acid(?:ity)?|strength|(?:milk ?)?fat|vol|abv|alc\w*|dry matter|solids|cocoa)\b\.?)/gi;

/** @param text between two commas of the list */
export function labelPart(text: string): LabelPart {
  let [depth, outside, inside] = [0, '', ''];
  for (const sign of text.replace(STRENGTH, ' ')) {
    const opens = sign === '(' || sign === '[';
    const closes = sign === ')' || sign === ']';
    if (closes) depth = Math.max(0, depth - 1);
    if (depth === 0) outside += opens || closes ? ' ' : sign;
    else inside += sign;
    if (opens) {
      depth += 1;
      // Two brackets in a row are two lists.
      if (depth === 1 && inside !== '') inside += ', ';
    }
  }
  // A bracket that holds nothing but a share says it of the thing before it.
  const lists = inside.split(', ').filter((list) => list.replace(PERCENT, '').trim() !== '');
  const shares = inside.split(', ').filter((list) => list.replace(PERCENT, '').trim() === '');
  return {
    name: tidy(outside.replace(PERCENT, ' ')),
    printed: printedIn(outside) ?? printedIn(shares.join(' ')),
    inside: tidy(lists.join(', ')),
  };
}

const tidy = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .replace(/^[\s:,-]+|[\s:,-]+$/g, '')
    .trim();

function printedIn(text: string): LabelPart['printed'] {
  const found = PERCENT.exec(text);
  if (!found) return null;
  const [, whole, decimals = ''] = found;
  const value = Number(`${whole!}.${decimals || '0'}`);
  const half = 0.5 * 10 ** -decimals.length;
  return value <= 100 ? { low: Math.max(0, value - half), high: Math.min(100, value + half) } : null;
}

/** At the commas outside all brackets. */
export function partsOf(text: string): readonly string[] {
  const found: string[] = [];
  let [depth, start] = [0, 0];
  for (let i = 0; i <= text.length; i++) {
    const sign = text[i];
    if (sign === '(' || sign === '[') depth += 1;
    else if (sign === ')' || sign === ']') depth = Math.max(0, depth - 1);
    // A comma between digits is a decimal sign.
    const splits = depth === 0 && (sign === ',' || sign === ';') && !/\d,\d/.test(text.slice(i - 1, i + 2));
    if (!splits && i < text.length) continue;
    found.push(text.slice(start, i).trim());
    start = i + 1;
  }
  return found.filter(Boolean);
}
