/** What a cook says is there: "half a lemon", "200 g yoghurt", "red wine vinegar". */
import type { OnHand } from '#core/balance';
import { readLine, type ReadingContext } from '#core/formula';
import { findIngredient, type Ingredient } from '#core/ingredient';

export interface HandLine {
  readonly id: string;
  readonly text: string;
  /** All of it has to go in. */
  readonly useUp: boolean;
}

export type HandReading =
  | {
      readonly status: 'read';
      readonly ingredient: Ingredient;
      readonly form: string;
      readonly massG: number | null;
    }
  | { readonly status: 'unread'; readonly near: readonly string[] };

/** Without an amount there is enough of it. */
export function readHandLine(text: string, context: ReadingContext): HandReading {
  const { reading, form } = readLine(text, context);
  if (reading.status === 'read') {
    const massG = reading.amount.kind === 'to-taste' ? null : reading.massG.nominal;
    return { status: 'read', ingredient: reading.ingredient, form, massG };
  }
  const found = findIngredient(text, context.catalogue);
  if (found.status === 'found')
    return { status: 'read', ingredient: found.ingredient, form: '', massG: null };
  // "yoghurt" may be several: the plainest name is taken, and shown.
  const [first] =
    found.status === 'ambiguous' ? [...found.near].sort((a, b) => a.name.length - b.name.length) : [];
  if (first) return { status: 'read', ingredient: first, form: '', massG: null };
  return { status: 'unread', near: found.near.map(({ name }) => name) };
}

/** One entry an ingredient; what is named twice is there twice. */
export function onHandOf(lines: readonly HandLine[], context: ReadingContext): readonly OnHand[] {
  const found = new Map<string, OnHand>();
  for (const { text, useUp } of lines) {
    const reading = readHandLine(text, context);
    if (reading.status === 'unread') continue;
    const { ingredient, form, massG } = reading;
    const before = found.get(ingredient.id);
    const maxG = massG === null || before?.maxG === null ? null : massG + (before?.maxG ?? 0);
    const minG = (before?.minG ?? 0) + (useUp && massG !== null ? massG : 0);
    found.set(ingredient.id, { ingredient, form: form || before?.form || '', minG, maxG });
  }
  return [...found.values()];
}
