/** A formula as Markdown and as plain text: what is pasted into a message, and read back by Paste. */
import type { RecipeText } from './recipeJsonLd';

export function toPlainText(recipe: RecipeText): string {
  const { name, instructions, yields } = recipe;
  return [
    name,
    '',
    ...(yields ? [`Makes: ${yields}`, ''] : []),
    'Ingredients:',
    ...listed(recipe, (line) => line),
    ...(instructions.length > 0
      ? ['', 'Method:', ...instructions.map((text, i) => `${i + 1}. ${text}`)]
      : []),
    '',
  ].join('\n');
}

/** Signs that would be marks, at the beginning of a line or inside it. */
const escaped = (text: string): string => text.replace(/([\\`*_{}[\]<>#|])/g, '\\$1');

export function toMarkdown(recipe: RecipeText): string {
  const { name, instructions, yields } = recipe;
  return [
    `# ${escaped(name)}`,
    '',
    ...(yields ? [`Makes: ${escaped(yields)}`, ''] : []),
    '## Ingredients',
    '',
    ...listed(recipe, (line) => `- ${escaped(line)}`),
    ...(instructions.length > 0
      ? ['', '## Method', '', ...instructions.map((text, i) => `${i + 1}. ${escaped(text)}`)]
      : []),
    '',
  ].join('\n');
}

/** A stage is opened by a line of its own, as it is read back. */
const listed = (
  { ingredients, stages = [] }: RecipeText,
  line: (ingredient: string) => string,
): readonly string[] =>
  ingredients.flatMap((one, i) => [
    ...stages.filter(({ from }) => from === i).map(({ name }) => `== ${name}`),
    line(one),
  ]);
