/**
 * Lines that say two additions at once: "zest and juice of 1 lemon", "a pinch each of salt and pepper", "1 tbsp each
 * parsley and chives". They are taken apart into lines of one thing each; nothing is dropped.
 */
const CITRUS = String.raw`(?:lemons?|limes?|(?:blood )?oranges?|clementines?|mandarins?|grapefruits?|yuzus?|bergamots?)`;
const GRATED = String.raw`(?:(?:finely|coarsely|freshly)\s+)?(?:grated\s+)?`;
const PEEL = String.raw`(?:zest|rind|peel)`;
const AND = String.raw`\s*(?:and|&|\+|plus)\s*(?:the\s+)?`;

/** "the grated zest and juice of half a lemon". */
const BOTH_OF = new RegExp(
  String.raw`^(?:the\s+)?(${GRATED})(?:${PEEL}${AND}juice|juice${AND}${GRATED}${PEEL})\s+(?:of|from)\s+(.+)$`,
  'i',
);
/** "1 lemon, zested and juiced", "2 limes (juice and zest)". */
const BOTH_AFTER = new RegExp(
  String.raw`^(.*?\b${CITRUS})\s*[,(:]?\s*(?:the\s+)?(${GRATED})(?:${PEEL}${AND}juice|juice${AND}${PEEL}|zested?${AND}juiced?|juiced?${AND}zested?)\)?(.*)$`,
  'i',
);
/** "1 tbsp each of chopped parsley and chives", "a pinch each salt and pepper". */
const EACH = /^(.{1,30}?)\s+each\s+(?:of\s+)?(.+)$/i;
/** "salt and pepper, a pinch each". */
const EACH_AFTER = /^(.+?),\s*(.{1,30}?)\s+(?:of\s+)?each$/i;
const SALT_AND_PEPPER =
  /^(.*?)\b((?:(?:fine|flaky|sea|kosher|table)\s+)*salt)\s*(?:,|and|&|\+|'?n'?)\s*(?:and\s+)?((?:(?:freshly|fresh|ground|cracked|black|white|coarse|coarsely|milled)[\s-]+)*pepper)\b(.*)$/i;

const S_AND_P = /\bS\s?(?:&|\+|and)\s?P\b/i;

/** @returns the lines it may be; empty: it is one addition as far as its words go */
export function apart(text: string): readonly string[] {
  const line = text.replace(/\s+/g, ' ').trim().replace(S_AND_P, 'salt and pepper');
  const of = BOTH_OF.exec(line);
  if (of) return zestAndJuice(of[2]!, of[1]!, '');
  const after = BOTH_AFTER.exec(line);
  if (after) return zestAndJuice(after[1]!, after[2]!, after[3]!);
  const each = EACH.exec(line) ?? turned(EACH_AFTER.exec(line));
  if (each) {
    const things = each[2]!.split(/\s*,\s*(?:and\s+)?|\s+(?:and|&)\s+/).filter(Boolean);
    return things.length > 1 ? things.map((thing) => `${each[1]!} ${thing}`) : [];
  }
  const seasoning = SALT_AND_PEPPER.exec(line);
  if (!seasoning) return [];
  const [, amount, salt, pepper, rest] = seasoning as unknown as [string, string, string, string, string];
  const tail = rest.trim() === '' ? '' : rest;
  return [`${amount}${salt}${tail}`, `${amount}${pepper}${tail}`];
}

const turned = (match: RegExpExecArray | null): readonly string[] | null =>
  match && [match[0], match[2]!, match[1]!];

const zestAndJuice = (fruit: string, grated: string, rest: string): readonly string[] => [
  `zest of ${fruit.trim()}${[rest, grated.trim() && `, ${grated.trim()}`].join('')}`,
  `juice of ${fruit.trim()}${rest}`,
];
