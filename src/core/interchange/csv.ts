/**
 * Tables as RFC 4180 text. A cell that a spreadsheet would take for a formula is written with an apostrophe
 * before it, and so is one that begins with such an escape: reading takes exactly one off again, so that
 * nothing is lost either way.
 */
import Papa from 'papaparse';

/** = + - @, tab and return, behind any number of apostrophes. */
const LOOKS_LIKE_FORMULA = /^'*[=+\-@\t\r]/;
const ESCAPED = /^'+[=+\-@\t\r]/;

export const escapeCell = (text: string): string => (LOOKS_LIKE_FORMULA.test(text) ? `'${text}` : text);
export const unescapeCell = (text: string): string => (ESCAPED.test(text) ? text.slice(1) : text);

export function toCsv(rows: readonly (readonly string[])[]): string {
  return Papa.unparse(
    rows.map((row) => row.map(escapeCell)),
    { newline: '\r\n', quotes: true },
  );
}

export type CsvReading =
  | { readonly status: 'read'; readonly rows: readonly (readonly string[])[] }
  | { readonly status: 'unread'; readonly line: number; readonly message: string };

/** Comma, semicolon or tab between cells; a byte order mark is passed over. */
export function fromCsv(text: string): CsvReading {
  const table = text.replace(/^\uFEFF/, '').replace(/[\r\n]+$/, '');
  const { data, errors } = Papa.parse<string[]>(table, { delimiter: delimiterOf(table) });
  const [error] = errors.filter(({ type }) => type === 'Quotes');
  if (error)
    return {
      status: 'unread',
      line: (error.row ?? 0) + 1,
      message: 'A quote is not closed, or stands inside a cell.',
    };
  const rows = data.filter((row) => row.length > 1 || row[0] !== '');
  return { status: 'read', rows: rows.map((row) => row.map(unescapeCell)) };
}

/** The first of them that stands outside quotes: cells may hold any of them. */
function delimiterOf(table: string): string {
  let isQuoted = false;
  for (const sign of table) {
    if (sign === '"') isQuoted = !isQuoted;
    else if (!isQuoted && (sign === ',' || sign === ';' || sign === '\t')) return sign;
    else if (!isQuoted && sign === '\n') break;
  }
  return ',';
}

/** Rows under their header, by its words; null where a needed column is missing. */
export function underHeader(
  rows: readonly (readonly string[])[],
  needed: readonly string[],
): { readonly missing: readonly string[]; readonly records: readonly Readonly<Record<string, string>>[] } {
  const header = (rows[0] ?? []).map((cell) => cell.trim());
  const missing = needed.filter((name) => !header.includes(name));
  const records = rows
    .slice(1)
    .map((row) => Object.fromEntries(header.map((name, i) => [name, row[i] ?? ''])));
  return { missing, records };
}
