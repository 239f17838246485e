/** A formula as Markdown and as plain text: what is pasted into a message, and read back by Paste. */
import type { RecipeText } from './recipeJsonLd';

export const toPlainText = ({ name, ingredients, instructions, yields }: RecipeText): string =>
  [
    name,
    '',
    ...(yields ? [`Makes: ${yields}`, ''] : []),
    'Ingredients:',
    ...ingredients,
    ...(instructions.length > 0
      ? ['', 'Method:', ...instructions.map((text, i) => `${i + 1}. ${text}`)]
      : []),
    '',
  ].join('\n');

/** Signs that would be marks, at the beginning of a line or inside it. */
const escaped = (text: string): string => text.replace(/([\\`*_{}[\]<>#|])/g, '\\$1');

export const toMarkdown = ({ name, ingredients, instructions, yields }: RecipeText): string =>
  [
    `# ${escaped(name)}`,
    '',
    ...(yields ? [`Makes: ${escaped(yields)}`, ''] : []),
    '## Ingredients',
    '',
    ...ingredients.map((line) => `- ${escaped(line)}`),
    ...(instructions.length > 0
      ? ['', '## Method', '', ...instructions.map((text, i) => `${i + 1}. ${escaped(text)}`)]
      : []),
    '',
  ].join('\n');
