/** From a liking: jars that were tasted, the style they speak of, and what to make next. */
import type { LikedJar } from '#core/liking';

export const fromLikingWords = {
  fromALiking: 'From a liking',
  jarsTasted: 'Jars you tasted',
  jar: (number: number) => `Jar ${number}`,
  said: { liked: 'liked', not: 'not', more: 'this one more' } satisfies Record<LikedJar['said'], string>,
  howItWas: (name: string) => `How ${name} was`,
  whatWasOff: 'What was off',
  anotherJar: 'Another jar',
  without: (name: string) => `Take ${name} off`,
  chooseTwo: 'Choose two to five jars that were tasted, and say of each whether it was liked.',
  nothingOnTheShelf: 'There is no dressing on the shelf yet; make one first.',
  toTheShelf: 'To the shelf',
  twice: 'The same jar stands there twice: choose another.',
  empty: (name: string) => `Nothing in ${name} can be read: mend its lines, or choose another.`,
  working: 'Weighing what was said',
  towards: (differs: string, fromNot: boolean) =>
    fromNot
      ? `You like it ${differs} than what you did not like.`
      : `You like it ${differs} than the others.`,
  noDirection: 'No clear direction yet: none was liked less than another, or they lie close together.',
  learnt: (percent: string) => `${percent} of what was open is settled.`,
  window: (title: string, low: string, high: string, unit: string) =>
    `${title}: ${low} to ${high} ${unit}`.trim(),
  upTo: (title: string, high: string, unit: string) => `${title}: up to ${high} ${unit}`.trim(),
  theStyle: 'The style of your own',
  styleSays: 'From jars that were tasted.',
  itsName: 'Its name',
  needsAName: 'Give it a name first.',
  keepTheStyle: 'Keep the style',
  kept: (name: string) => `${name} is kept. Choose it in Compose, under the style.`,
  notKept: (error: string) => `Not kept. ${error}`,
  makeNext: 'Make next, in this order',
  whyNext: 'Of what is on hand, these are expected to settle most of what is still open.',
  nothingOnHand: 'The pantry knows of nothing on hand that would teach more: enter what there is.',
  changed: (base: string, name: string, more: boolean) =>
    more ? `${base} with half as much again of ${name}` : `${base} with a third less of ${name}`,
  added: (base: string, name: string) => `${base} with ${name}`,
  ofStyle: (style: string) => `As in ${style}`,
  openAsADraft: 'Open as a draft',
  draftName: (number: number, what: string) => `Tasting ${number}: ${what}`,
  notOpened: (error: string) => `Not opened. ${error}`,
  anEstimate: 'An estimate from a few jars: the next tasting moves it.',
};
