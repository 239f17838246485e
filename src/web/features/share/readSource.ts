/** What somebody brought: our own document, a page's recipe, a table, or plain words. */
import { fromCsv, fromJsonLd, underHeader } from '#core/interchange';

export type Source =
  | { readonly kind: 'document'; readonly value: unknown }
  /** As text to be read line by line. */
  | { readonly kind: 'text'; readonly text: string }
  | { readonly kind: 'nothing'; readonly says: string };

const looksLikeJson = (text: string): boolean => /^\s*[[{]/.test(text);
const looksLikePage = (text: string): boolean => /<script\b|<!doctype html|<html/i.test(text);
/** Our own table of additions, whatever stands between its cells. */
const looksLikeTable = (text: string): boolean => /^\uFEFF?"?formula"?[,;\t]/i.test(text);

export function sourceOf(text: string): Source {
  if (text.trim() === '') return { kind: 'nothing', says: '' };
  if (looksLikeJson(text)) {
    try {
      const value = JSON.parse(text) as unknown;
      if (typeof value === 'object' && value !== null && 'ygranaDocument' in value)
        return { kind: 'document', value };
    } catch {
      return {
        kind: 'nothing',
        says: 'This begins like JSON and is not whole: copy all of it, or choose the file.',
      };
    }
  }
  if (looksLikeJson(text) || looksLikePage(text)) {
    const reading = fromJsonLd(text);
    if (reading.status === 'none')
      return {
        kind: 'nothing',
        says: 'There is no recipe in it that a program can read. Copy the words of the page instead.',
      };
    const [recipe] = reading.recipes;
    const { name, ingredients, instructions } = recipe!;
    return {
      kind: 'text',
      text: [
        name,
        'Ingredients:',
        ...ingredients,
        ...(instructions.length > 0 ? ['Method:', ...instructions] : []),
      ].join('\n'),
    };
  }
  if (looksLikeTable(text)) {
    const reading = fromCsv(text);
    if (reading.status === 'unread')
      return { kind: 'nothing', says: `The table, line ${reading.line}: ${reading.message}` };
    const { missing, records } = underHeader(reading.rows, ['amount', 'ingredient']);
    if (missing.length > 0)
      return { kind: 'nothing', says: `The table has no column ${missing.join(', ')}.` };
    const lines = records.map(
      ({ amount, ingredient, form }) => `${amount} ${ingredient}${form ? `, ${form}` : ''}`,
    );
    return { kind: 'text', text: [records[0]?.formula ?? '', 'Ingredients:', ...lines].join('\n') };
  }
  return { kind: 'text', text };
}
