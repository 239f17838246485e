/** Long texts in cells: spreadsheets cut a cell off at 32,767 signs, so what is longer stands in several rows. */

const MOST_IN_CELL = 30_000;
const HALF = /[\uD800-\uDBFF]/;

/** Never none: an empty text is one empty piece. */
export function inPieces(text: string): readonly string[] {
  const pieces: string[] = [];
  for (let from = 0; from < text.length || pieces.length === 0;) {
    let to = from + MOST_IN_CELL;
    // A sign of two halves stays whole: a half alone does not survive being written to a file.
    if (HALF.test(text.charAt(to - 1))) to -= 1;
    pieces.push(text.slice(from, to));
    from = to;
  }
  return pieces;
}

/** Pieces of the same key together again, in the order of the rows; keys in the order they first come. */
export function joined(
  rows: readonly { readonly key: string; readonly piece: string }[],
): ReadonlyMap<string, string> {
  const texts = new Map<string, string>();
  for (const { key, piece } of rows) texts.set(key, (texts.get(key) ?? '') + piece);
  return texts;
}
