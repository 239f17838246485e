/** Numbers as typed: digits, decimal comma or point, thousands, fractions. The only importer of numeric-quantity. */
import { numericQuantity } from 'numeric-quantity';

/** Which sign the kitchen writes before decimals; decides only what "1,500" means. */
export type DecimalSign = 'point' | 'comma';

export type NumberReading =
  | { readonly status: 'read'; readonly value: number; readonly doubtful: boolean }
  | { readonly status: 'unread' };

const FRACTIONS = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞';
const DIGITS = String.raw`\d+(?:[.,]\d+)*`;

/** A number at the start of a text: "1 1/2", "1/2", "1½", "2 ½", "1,500", ".5", "½". */
export const NUMBER_AT_START = new RegExp(
  String.raw`^(?:\d+\s+\d+\s*[/⁄]\s*\d+|\d+\s*[/⁄]\s*\d+|${DIGITS}\s*[${FRACTIONS}]|${DIGITS}|[.,]\d+|[${FRACTIONS}])`,
);

/** Reads one number that {@link NUMBER_AT_START} found. Never NaN or infinite: those come back as unread. */
export function readNumber(text: string, decimalSign: DecimalSign): NumberReading {
  const { digits, doubtful } = settleSeparators(text, decimalSign);
  const value = numericQuantity(digits.replace(/\s*([/⁄])\s*/g, '$1'), { round: false });
  return Number.isFinite(value) ? { status: 'read', value, doubtful } : { status: 'unread' };
}

/** Rewrites the number with a decimal point and no grouping, and says where grouping was a guess. */
function settleSeparators(text: string, decimalSign: DecimalSign): { digits: string; doubtful: boolean } {
  const comma = text.lastIndexOf(',');
  const point = text.lastIndexOf('.');
  if (comma >= 0 && point >= 0) {
    const grouping = comma > point ? /\./g : /,/g;
    return { digits: text.replace(grouping, '').replace(',', '.'), doubtful: false };
  }
  const sign = comma >= 0 ? ',' : '.';
  const groups = text.split(sign);
  if (groups.length === 1) return { digits: text, doubtful: false };
  const looksGrouped = /^[1-9]\d{0,2}(?:[.,]\d{3})+$/.test(text);
  const isDecimalSign = (sign === ',') === (decimalSign === 'comma');
  if (looksGrouped && (sign === ',' || decimalSign === 'comma')) {
    const grouped = groups.length > 2 || !isDecimalSign;
    return { digits: groups.join(grouped ? '' : '.'), doubtful: groups.length === 2 };
  }
  // More than one decimal sign is no number; numeric-quantity refuses it below.
  return { digits: groups.join('.'), doubtful: false };
}
