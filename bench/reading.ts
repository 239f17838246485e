/** How long a cook waits for a line to be understood, and for a name to be completed. */
import { numericQuantity } from 'numeric-quantity';
import { readLines } from '../src/core/formula';
import {
  measuringWith,
  REFERENCE_CATALOGUE,
  REFERENCE_INGREDIENTS,
  searchIngredients,
} from '../src/core/ingredient';
import { median, printLine } from './measure';

const ROUNDS = 60;
const LINES = [
  'two thirds of a cup of really good extra virgin olive oil',
  '1 (400 g) tin white beans, drained',
  'a pinch each of salt and pepper',
  '60 ml vegetable or sunflower oil',
  'a whisper of moonlight',
  'the finely grated zest and juice of half a lemon',
];
const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

function msOf(work: () => void, count: number): number {
  const all: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const began = performance.now();
    work();
    all.push((performance.now() - began) / count);
  }
  return median(all);
}

export function benchReading(): void {
  printLine({
    name: 'A spoken line to grams (goal: below 1 ms)',
    oursMs: msOf(() => {
      for (const line of LINES) readLines(line, context);
    }, LINES.length),
    otherMs: msOf(() => {
      for (let i = 0; i < 100; i++) numericQuantity('1 2/3');
    }, 100),
    other: 'one number read by numeric-quantity',
  });
  const names = REFERENCE_INGREDIENTS.map(({ name }) => name.toLowerCase());
  printLine({
    name: `Completing a name among ${names.length} rows (goal: below 16 ms)`,
    oursMs: msOf(() => {
      searchIngredients('win vine', REFERENCE_CATALOGUE, 7);
    }, 1),
    otherMs: msOf(() => {
      names.filter((name) => name.includes('win') && name.includes('vine'));
    }, 1),
    other: 'a plain filter of the names',
  });
}
