/** Dressings to practise on, for tests: to be judged line by line. */
import type { CandidateContext } from '#core/balance';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';

export const LINES: readonly (readonly string[])[] = [
  ['30 g red wine vinegar', '5 g dijon mustard', '2 g salt', '90 g olive oil', '4 g honey'],
  ['25 g lemon juice', '2 g salt', '80 g rapeseed oil', '3 g garlic, grated', '20 g water'],
  ['200 g yoghurt', '15 g lemon juice', '20 g olive oil', '3 g salt', '3 g garlic, grated'],
  [
    '20 g rice vinegar',
    '25 g soy sauce',
    '50 g rapeseed oil',
    '10 g toasted sesame oil',
    '15 g honey',
    '5 g ginger',
  ],
  ['18 g egg yolk', '10 g dijon mustard', '15 g white wine vinegar', '2 g salt', '150 g sunflower oil'],
  ['60 g tahini', '40 g lemon juice', '60 g water', '3 g salt', '4 g garlic, grated'],
  ['120 g buttermilk', '60 g mayonnaise', '10 g cider vinegar', '2 g salt', '4 g honey'],
  [
    '30 g cider vinegar',
    '60 g walnut oil',
    '40 g sunflower oil',
    '12 g honey',
    '3 g salt',
    '6 g wholegrain mustard',
  ],
];
export const CONTEXT: CandidateContext = {
  catalogue: REFERENCE_CATALOGUE,
  stockG: () => null,
  locked: new Set(),
  hand: { measuring: measuringWith('metric'), readabilityG: 0.1 },
};
