import { inSentence } from '#words/numbers';
import { mixedVolumeMlPerG } from '#core/composition';
import type { Ingredient } from '#core/ingredient';
import type { Reckoning } from '#core/reckoning';
import { liquidColour } from './colours';
import type { JarPart } from './Jar';

/** What lies in the jar, bottom first, in the order of addition. */
export function jarParts(reckoning: Pick<Reckoning, 'additions'>): readonly JarPart[] {
  return reckoning.additions.flatMap(({ addition, reading, counted }) =>
    counted && reading.status === 'read' && reading.massG.nominal > 0
      ? [jarPart(addition.id, reading.ingredient, reading.massG.nominal)]
      : [],
  );
}

export const jarPart = (key: string, ingredient: Ingredient, massG: number): JarPart => ({
  key,
  name: shortName(ingredient.name),
  colour: liquidColour(ingredient),
  volumeMl: massG * mixedVolumeMlPerG(ingredient),
});

/** "Red wine vinegar 6 %" → "red wine vinegar": strength and qualifiers stay in the list. */
const shortName = (name: string): string =>
  inSentence(
    name
      .replace(/\s*\d+([.,]\d+)? %/, '')
      .replace(/\s*\([^)]*\)/g, '')
      .split(',')[0]!
      .trim(),
  );
