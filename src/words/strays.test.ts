/**
 * Nothing but the room of words says a sentence to people: a second language is a second set of words.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { expect, it } from 'vitest';

const SRC = join(import.meta.dirname, '..');
const LEAST_WORDS = 4;
/** Said to whoever calls it wrongly, or naming where a value comes from: not for a cook. */
const NOT_FOR_PEOPLE = new Set(['source', 'tag', 'message']);

function filesOf(folder: string): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory())
      return /^(?:\.types|testing|migrations|demo|data)$/.test(entry.name) ? [] : filesOf(path);
    return /\.tsx?$/.test(entry.name) &&
      !/\.test\.tsx?$|[tT]esting\.ts$|portTests\.ts$|\.examples\.ts$/.test(entry.name)
      ? [path]
      : [];
  });
}

const isProse = (text: string): boolean =>
  (text.match(/\p{L}{2,}/gu) ?? []).length >= LEAST_WORDS &&
  /\p{Ll} \p{L}/u.test(text) &&
  !/^\s*(?:select|insert|update|create)\b/i.test(text) &&
  !isStyling(text);
/** Names of style classes, most of which have a dash, a colon or a bracket in them. */
const isStyling = (text: string): boolean => {
  const words = text.trim().split(/\s+/);
  return words.filter((word) => /[a-z]-[a-z\d[]|:|\[/.test(word)).length * 3 >= words.length;
};

function proseIn(path: string): readonly string[] {
  const file = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isThrowStatement(node) || ts.isImportDeclaration(node)) return;
    if (ts.isPropertyAssignment(node) && NOT_FOR_PEOPLE.has(node.name.getText())) return;
    if (ts.isTaggedTemplateExpression(node)) return;
    if (ts.isJsxAttribute(node) && node.name.getText() === 'className') return;
    if (ts.isCallExpression(node) && /^(?:fromMemory|published|recalled)$/.test(node.expression.getText()))
      return;
    if (ts.isStringLiteralLike(node) && isProse(node.text)) found.push(node.text);
    if (ts.isJsxText(node) && isProse(node.text)) found.push(node.text.trim());
    if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map(({ literal }) => ` x ${literal.text}`).join('');
      if (isProse(text)) found.push(text);
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found;
}

/** Words that are read, not said: what a cook may type, and lines that are typed for him. */
const READ_NOT_SAID: ReadonlySet<string> = new Set([
  'core/quantity/vocabulary.ts',
  'core/formula/nameWords.ts',
  'core/palate/styleRecipes.ts',
  'core/palate/moreStyleRecipes.ts',
  'core/palate/wideStyleRecipes.ts',
]);

it.each(['core', 'kitchen', 'server', 'web', 'cli'])('%s says no sentence of its own', (room) => {
  const found = filesOf(join(SRC, room)).flatMap((path) => {
    const file = relative(SRC, path);
    return READ_NOT_SAID.has(file) ? [] : proseIn(path).map((text) => `${file}: ${text}`);
  });
  expect(found, 'put these into src/words').toEqual([]);
});
