/**
 * A test language made of today's words: every sentence of the room of words with its vowels marked, so that
 * whatever is still said elsewhere shows. Codes, which the types tell from words, stay as they are.
 */
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';

const MARKS = { a: 'ä', e: 'ë', i: 'ï', o: 'ö', u: 'ü', A: 'Ä', E: 'Ë', I: 'Ï', O: 'Ö', U: 'Ü' };
export const marked = (text) => text.replace(/[aeiouAEIOU]/g, (vowel) => MARKS[vowel]);

/** @param {string} root of the project @param {string} target folder for the marked words */
export function writeMarkedWords(root, target) {
  const words = join(root, 'src/words');
  const config = ts.getParsedCommandLineOfConfigFile(join(words, 'tsconfig.json'), { noEmit: true }, ts.sys);
  const program = ts.createProgram(config.fileNames, config.options);
  const checker = program.getTypeChecker();
  rmSync(target, { recursive: true, force: true });
  mkdirSync(target, { recursive: true });
  for (const file of program.getSourceFiles()) {
    const path = relative(words, file.fileName);
    if (path.startsWith('..') || file.isDeclarationFile) continue;
    const edits = [];
    const visit = (node) => {
      if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return;
      if (isWording(node, checker)) edits.push([node.getStart(), node.end]);
      ts.forEachChild(node, visit);
    };
    visit(file);
    mkdirSync(dirname(join(target, path)), { recursive: true });
    writeFileSync(join(target, path), withEdits(file.text, edits));
  }
}

function withEdits(text, edits) {
  let out = '';
  let at = 0;
  for (const [start, end] of edits.sort((a, b) => a[0] - b[0])) {
    // An abbreviation such as UTC is no word; an escape such as \n stays what it is.
    const piece = text.slice(start, end);
    const mark = (_, escape, vowel) => escape ?? MARKS[vowel];
    out +=
      text.slice(at, start) + (/\p{Ll}/u.test(piece) ? piece.replace(/(\\.)|([aeiouAEIOU])/g, mark) : piece);
    at = end;
  }
  return out + text.slice(at);
}

/** Pieces of text that are said, a template's pieces one by one. */
function isWording(node, checker) {
  if (ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)) return true;
  if (!ts.isStringLiteral(node) && !ts.isNoSubstitutionTemplateLiteral(node)) return false;
  const { parent } = node;
  if (ts.isTaggedTemplateExpression(parent)) return false;
  if (ts.isPropertyAssignment(parent) && parent.name === node) return false;
  if (ts.isElementAccessExpression(parent) || ts.isCaseClause(parent) || ts.isLiteralTypeNode(parent))
    return false;
  if (ts.isBinaryExpression(parent) && /^[!=]==?$|^in$/.test(parent.operatorToken.getText())) return false;
  const type = checker.getContextualType(node);
  const parts = !type ? [] : type.isUnion() ? type.types : [type];
  return !parts.some((part) => part.flags & ts.TypeFlags.StringLiteral);
}
