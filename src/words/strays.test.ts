/**
 * Sentences for people that still stand outside the room of words, by file. The list may only get shorter:
 * a new sentence belongs into src/words.
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
    return /\.ts$/.test(entry.name) && !/\.test\.ts$|testing\.ts$|\.examples\.ts$/.test(entry.name)
      ? [path]
      : [];
  });
}

const isProse = (text: string): boolean =>
  (text.match(/\p{L}{2,}/gu) ?? []).length >= LEAST_WORDS &&
  /\p{Ll} \p{L}/u.test(text) &&
  !/^\s*(?:select|insert|update|create)\b/i.test(text);

function proseIn(path: string): number {
  const file = ts.createSourceFile(path, readFileSync(path, 'utf8'), ts.ScriptTarget.Latest, true);
  let count = 0;
  const visit = (node: ts.Node): void => {
    if (ts.isThrowStatement(node) || ts.isImportDeclaration(node)) return;
    if (ts.isPropertyAssignment(node) && NOT_FOR_PEOPLE.has(node.name.getText())) return;
    if (ts.isTaggedTemplateExpression(node)) return;
    if (ts.isCallExpression(node) && /^(?:fromMemory|published|recalled)$/.test(node.expression.getText()))
      return;
    if (ts.isStringLiteralLike(node) && isProse(node.text)) count += 1;
    if (ts.isTemplateExpression(node)) {
      const text = node.head.text + node.templateSpans.map(({ literal }) => ` x ${literal.text}`).join('');
      if (isProse(text)) count += 1;
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return count;
}

/** Where sentences still stand, and how many. */
const STILL_OUTSIDE: Readonly<Record<string, number>> = {
  'core/balance/complaints.ts': 3,
  'core/batch/loadMaking.ts': 1,
  'core/palate/styleRecipes.ts': 20,
  'core/quantity/vocabulary.ts': 12,
  'core/reckoning/madeIngredient.ts': 1,
  'core/safety/foodCode.ts': 1,
  'core/service/dayTasks.ts': 4,
  'core/trial/repair.ts': 1,
  'core/trial/step.ts': 1,
  'server/backup/commandLine.ts': 3,
  'server/backup/kitchenBackup.ts': 1,
  'server/db/client.ts': 2,
  'server/devices/portTests.ts': 11,
  'server/features/formulas/routes.ts': 1,
  'server/features/records/store.ts': 2,
  'server/http/apiError.ts': 7,
  'server/main.ts': 1,
  'server/print/commandLine.ts': 1,
  'server/print/label.ts': 2,
  'server/print/strip.ts': 5,
  'server/start.ts': 5,
};

it('core and server say no sentence of their own, but for those that are still to be moved', () => {
  const found = Object.fromEntries(
    ['core', 'server'].flatMap((room) =>
      filesOf(join(SRC, room)).flatMap((path) => {
        const count = proseIn(path);
        return count > 0 ? [[relative(SRC, path), count] as const] : [];
      }),
    ),
  );
  for (const [file, count] of Object.entries(found))
    expect(count, `${file} says more than it did: put the sentence into src/words`).toBeLessThanOrEqual(
      STILL_OUTSIDE[file] ?? 0,
    );
  // What has moved is taken off the list, so that it cannot come back.
  for (const [file, count] of Object.entries(STILL_OUTSIDE)) expect(found[file] ?? 0, file).toBe(count);
});
