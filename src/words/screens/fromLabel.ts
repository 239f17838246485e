/** From a label: a bought bottle worked backwards. */
import type { Additive, Nutrient } from '#core/label';

export const fromLabelWords = {
  fromALabel: 'From a label',
  whatStandsThere: 'Ingredients, as they stand there',
  ingredientsExample:
    'rapeseed oil (60 %), white wine vinegar, water, Dijon mustard, sugar, salt, thickener (xanthan gum)',
  nutrition: 'Nutrition, as far as it stands there',
  printedPer: 'Printed per',
  per: {
    '100g': '100 g',
    '100ml': '100 ml',
    'serving-g': 'a serving, by weight',
    'serving-ml': 'a serving, by volume',
  },
  servingG: 'A serving, g',
  servingMl: 'A serving, ml',
  anAmount: 'An amount from 1 to 500.',
  bottleMl: 'The bottle holds, ml',
  bottleG: 'and weighs, g',
  aContent: 'From 10 to 20000.',
  weightHelps: 'The weight beside the volume narrows the answer; without it the label leaves more room.',
  aFigure: 'A figure from 0.',
  aFigureTo100: 'A figure from 0 to 100.',
  typeTheList:
    'Type or paste the list of the label, in its order; figures and percentages narrow the answer.',
  ofHowMuch: 'Say first of how much the figures are printed.',
  working: 'Working the label backwards',
  howMuch: 'To make, g',
  aWeight: 'A weight from 20 g to 5 kg.',
  fits: 'It fits the label.',
  nearly: (percent: string) => `It misses the label by ${percent} of what is printed.`,
  middle: 'The middle of what fits',
  against: (differences: string) => `Against the first: ${differences}.`,
  sameTaste: 'A taster would notice no difference.',
  oneEnd: (name: string) => `With least ${name}`,
  otherEnd: (name: string) => `With most ${name}`,
  amountWithin: (amount: string, low: string, high: string) => `${amount}, ${low} to ${high}`,
  partOf: (name: string) => `in ${name}`,
  leftOut: 'Left out, for no kitchen has it',
  leftOutAs: (text: string, additive: string) => `${text}: ${additive}`,
  openAsADraft: 'Open as a draft',
  draftName: 'From a label',
  notOpened: (error: string) => `Not opened. ${error}`,
  anEstimate:
    'By the tables and the legal rounding of labels: the maker’s own mustard is not ours. An estimate; taste it.',
};

export const NUTRIENT_LABELS: Readonly<Record<Nutrient, string>> = {
  energyKcal: 'Energy, kcal',
  fatG: 'Fat, g',
  carbohydrateG: 'Carbohydrate, g',
  sugarsG: 'of which sugars, g',
  proteinG: 'Protein, g',
  saltG: 'Salt, g',
};

export const ADDITIVE_WORDS: Readonly<Record<Additive, string>> = {
  thickener: 'a thickener',
  acid: 'an acid of its own',
  preservative: 'keeps it on the shelf; make less at a time',
  antioxidant: 'keeps its oil from going rancid',
  colour: 'a colour',
  flavouring: 'a flavouring',
  enhancer: 'savouriness without a thing of its own',
  sweetener: 'sweetness without sugar',
  emulsifier: 'holds it together; mustard or yolk does',
  unknown: 'nothing that the pantry knows',
};
