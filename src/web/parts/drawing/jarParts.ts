import { inSentence } from '#words/numbers';
import { mixedVolumeMlPerG } from '#core/composition';
import type { Reckoning } from '#core/reckoning';
import { liquidColour } from './colours';
import type { JarPart } from './Jar';

/** What lies in the jar, bottom first, in the order of addition. */
export function jarParts(reckoning: Pick<Reckoning, 'additions'>): readonly JarPart[] {
  return reckoning.additions.flatMap(({ addition, reading, counted }) =>
    counted && reading.status === 'read' && reading.massG.nominal > 0
      ? [
          {
            key: addition.id,
            name: shortName(reading.ingredient.name),
            colour: liquidColour(reading.ingredient),
            volumeMl: reading.massG.nominal * mixedVolumeMlPerG(reading.ingredient),
          },
        ]
      : [],
  );
}

/** "Red wine vinegar 6 %" → "red wine vinegar": strength and qualifiers stay in the list. */
const shortName = (name: string): string =>
  inSentence(
    name
      .replace(/\s*\d+([.,]\d+)? %/, '')
      .replace(/\s*\([^)]*\)/g, '')
      .split(',')[0]!
      .trim(),
  );
