/**
 * What is only read of an ingredient, never reckoned with: where its values come from, how it keeps, why it
 * binds. Apart from the table, which the first page has to fetch before it can draw a jar.
 */
import type { Ingredient } from '#core/ingredient';
import notes from './notes.json';

export interface IngredientNotes {
  readonly source: string;
  readonly shelfNote: string;
  readonly emulsifierNote: string;
}
const NOTES: Readonly<Record<string, Partial<IngredientNotes> | undefined>> = notes;

/** A kitchen's own row says it itself; one of the table is looked up. Empty: nothing is noted. */
export function notesOf({ id, source, shelfNote, emulsifierNote }: Ingredient): IngredientNotes {
  const known = NOTES[id];
  return {
    source: source || (known?.source ?? ''),
    shelfNote: shelfNote || (known?.shelfNote ?? ''),
    emulsifierNote: emulsifierNote || (known?.emulsifierNote ?? ''),
  };
}
