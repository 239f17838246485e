/** Long texts in cells: spreadsheets cut a cell off at 32,767 signs, so what is longer stands in several rows. */

const MOST_IN_CELL = 30_000;

/** Never none: an empty text is one empty piece. */
export function inPieces(text: string): readonly string[] {
  const pieces: string[] = [];
  for (let i = 0; i < text.length || pieces.length === 0; i += MOST_IN_CELL)
    pieces.push(text.slice(i, i + MOST_IN_CELL));
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
