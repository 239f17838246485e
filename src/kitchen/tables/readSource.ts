/** What somebody brought: our own document, a page's recipe, a table, or plain words. */
import { fromJsonLd } from '#core/interchange';
import { tablesWords } from '#words/screens/tables';
import { readTable, type TableReading } from './readTables';

export type Source =
  | { readonly kind: 'document'; readonly value: unknown }
  /** As text to be read line by line. */
  | { readonly kind: 'text'; readonly text: string }
  | Extract<TableReading, { kind: 'stock' | 'records' }>
  | { readonly kind: 'nothing'; readonly says: string };

const looksLikeJson = (text: string): boolean => /^\s*[[{]/.test(text);
const looksLikePage = (text: string): boolean => /<script\b|<!doctype html|<html/i.test(text);
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
        says: tablesWords.thisBeginsLikeJsonAnd,
      };
    }
  }
  if (looksLikeJson(text) || looksLikePage(text)) {
    const reading = fromJsonLd(text);
    if (reading.status === 'none')
      return {
        kind: 'nothing',
        says: tablesWords.thereIsNoRecipeIn,
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
  const table = readTable(text);
  if (table?.kind === 'unread') return { kind: 'nothing', says: table.says };
  if (table?.kind === 'formulas') return { kind: 'document', value: table.document };
  if (table) return table;
  return { kind: 'text', text };
}
