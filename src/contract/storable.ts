/**
 * Text as any database can keep it. A NUL is refused by PostgreSQL, half of a surrogate pair (an emoji cut in
 * two) by JSON: one of them in a note would be sent again for ever.
 */
const NUL = /\u0000/g;
const HALVES = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

export const storableText = (text: string): string => text.replace(NUL, '').replace(HALVES, '\uFFFD');

/** The same, all through a value of plain JSON; what needs no repair comes back as it is, not as a copy. */
export function storable<T>(value: T): T {
  if (typeof value === 'string') return storableText(value) as T;
  if (Array.isArray(value)) {
    const next = value.map((one: unknown) => storable(one));
    return (next.some((one, i) => one !== value[i]) ? next : value) as T;
  }
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).map(
    ([key, one]) => [storableText(key), storable<unknown>(one), key] as const,
  );
  const isSame = entries.every(
    ([key, one, was]) => key === was && one === (value as Record<string, unknown>)[was],
  );
  return isSame ? value : (Object.fromEntries(entries.map(([key, one]) => [key, one])) as T);
}
