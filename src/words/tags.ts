/** Where a figure comes from, as it is shown beside it. */
import type { Figure, Spread, Tag } from '#core/ingredient';

export const TAG_WORDS: Readonly<Record<Tag, string>> = {
  published: 'published, and compared',
  'common practice': 'common practice',
  'from memory': 'from memory',
  estimate: 'estimate',
};

export const FIGURE_WORDS: Readonly<Record<Figure, string>> = {
  composition: 'Composition',
  energy: 'Energy',
  density: 'Density of a spoonful',
  unitWeights: 'Weights of one',
  acidsAndPh: 'Acids and pH',
  proteinBuffer: 'How protein holds the pH',
  pungencyAndBody: 'Bite and body',
  emulsion: 'How it binds',
};

/** "± 15 %", "± 0.2". */
export function saySpread(spread: Spread, say: (value: number) => string): string {
  if (spread.kind === 'definition') return 'by definition';
  return spread.kind === 'ph' ? `± ${say(spread.units)}` : `± ${Math.round(spread.fraction * 100)} %`;
}

export const sayCompared = (row: string): string =>
  `Compared with the Indian Food Composition Tables 2017, ${row}.`;
