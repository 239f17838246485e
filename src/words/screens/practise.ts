/** Practising: rounds drawn from the kitchen's own dressings. Nothing of them reaches the kitchen's book. */
import type { Fault, RescueChoice, RoundKind, SafeQuestion, Sureness, WhenParts } from '#core/practise';
import { spoken } from '../tongue';

export const practiseWords = spoken('practise', {
  practise: 'Practise',
  whatToPractise: 'What to practise',
  nothingIsKept: 'Nothing of it goes into the log, the stock, the plan or what the kitchen learns.',
  loading: 'rounds',
  noDressings: 'There is nothing to practise on yet: compose a dressing first.',
  toShelf: 'To the shelf',
  noRound: 'No round can be made of these dressings. Try another kind.',
  making: 'Making a round…',
  next: 'Next round',
  check: 'That is it',
  giveUp: 'Show me',
  undo: 'Take back',
  right: 'Right.',
  nearly: 'Nearly.',
  notThisTime: 'Not this time.',
  /** What is wrong? */
  of: (name: string) => `A jar of ${name}, spoiled.`,
  whatIsWrong: 'What is wrong with it?',
  upToTwo: 'One thing, or two.',
  nowMendIt: 'Now mend it, gesture by gesture.',
  showProfile: 'Look at its line',
  theMouth: 'The mouth says',
  itSaysNow: (said: string) => `Now it says: ${said}`,
  nothingIsWrong: 'nothing is wrong with it any more.',
  itWas: (faults: string) => `It was ${faults}.`,
  gestures: (count: number) => (count === 1 ? 'one gesture' : `${count} gestures`),
  yours: (gestures: string) => `Yours: ${gestures}.`,
  reckoned: (way: string) => `Reckoned: ${way}.`,
  nearer: 'nearer',
  further: 'further off',
  same: 'no different',
  mended: 'It is right again.',
  /** How much is that? */
  howMuchIs: (line: string) => `How much is ${line}?`,
  grams: 'Grams',
  aWeight: 'A weight above nothing.',
  itIs: (grams: string, low: string, high: string) => `It is ${grams}, ${low} to ${high} as hands go.`,
  weighIt: 'Weigh it now',
  keepIt: (grams: string) => `Keep ${grams} among my measures`,
  itIsKept: 'Kept among your measures.',
  notKept: (error: string) => `Not kept. ${error}`,
  /** Will it hold? */
  whichFirst: 'Which of the two parts first?',
  andWhen: 'And when?',
  partsFirst: (name: string, time: string) => `${name} parts first: ${time}.`,
  never: 'not within two weeks',
  after: (time: string) => `after about ${time}`,
  theCourse: 'How they go apart',
  jar: (letter: string, name: string) => `${letter}: ${name}`,
  /** Safe or not? */
  is: (name: string) => `A jar of ${name}.`,
  holds: (things: string) => `In it: ${things}.`,
  mayItStand: 'May it stand on the counter overnight?',
  howManyDays: 'How many days does it keep, the day of making counted?',
  whatLabel: 'What must the label say?',
  none: 'Nothing of these',
  yes: 'Yes',
  no: 'No',
  days: (days: string) => (days === '1' ? '1 day' : `${days} days`),
  rightWere: (right: string) => `Right: ${right}.`,
  /** Pour. */
  pourInto: (oil: string, base: string, tool: string) =>
    `${oil} of oil into ${base} of base, with the ${tool}.`,
  holdToPour: 'Hold to pour',
  poured: (poured: string, oil: string) => `${poured} of ${oil} are in`,
  strain: 'How near to splitting',
  begin: 'Hold the button, Space, or the foot switch; let go when it runs ahead.',
  done: (seconds: string, best: string) => `It is together, in ${seconds}; as fast as it takes it: ${best}.`,
  split: 'It has split. What now, one after the other?',
  rescued:
    'So it is saved: stop, a new yolk or a spoon of mustard, and the split sauce into it drop by drop.',
  /** What I am sure of. */
  sureOf: 'What I am sure of',
  ofCook: (name: string) => `${name}, on every device of this kitchen and nowhere else.`,
  nobody: 'Nobody is chosen as cook: it is kept for anyone.',
  nothingYet: 'Nothing was practised yet.',
  rounds: (count: number) => (count === 1 ? 'one round' : `${count} rounds`),
  level: (rating: number, doubt: number) => `level ${rating}, give or take ${doubt}`,
  explained:
    'The level goes up when a round harder than you is right, and down when an easier one is wrong; the next round is a little easier than you are. What went wrong comes back after three rounds, then after eight and twenty.',
  seen: (right: number, seen: number) => `${right} of ${seen} right`,
  erase: 'Forget all of it',
  eraseSure: 'Yes, forget it',
  bringBack: 'Bring it back',
  toRounds: 'To the rounds',
});

const KINDS: Readonly<Record<RoundKind, string>> = {
  wrong: 'What is wrong?',
  amount: 'How much is that?',
  hold: 'Will it hold?',
  safe: 'Safe or not?',
  pour: 'Pour',
};
export const KIND_WORDS = spoken('practiseKinds', KINDS);

const NAMES: Readonly<Record<Fault, string>> = {
  sharp: 'too sharp',
  dull: 'needs acid',
  flat: 'needs salt',
  salty: 'too salty',
  sweet: 'too sweet',
  oily: 'too oily',
  thin: 'too thin',
  thick: 'too thick',
  harsh: 'too harsh',
  bitter: 'bitter',
  splitting: 'about to split',
};
export const FAULT_WORDS = spoken('practiseFaults', NAMES);

/** What a mouth, or an eye, says of it; never by its name. */
const SENSES: Readonly<Record<Fault, string>> = {
  sharp: 'The cheeks pull together and the eyes narrow; it is gone quickly.',
  dull: 'It lies there like a blanket; nothing makes you want the next leaf.',
  flat: 'Everything is in it, and it tastes of nothing much; it ends before it begins.',
  salty: 'You reach for water; it stays on the lips.',
  sweet: 'It sticks to the front of the tongue, like a sauce for ice.',
  oily: 'It coats the gums and slides; what else is in it comes late.',
  thin: 'It runs off the leaf and stands in the bowl.',
  thick: 'It falls off the spoon in one piece and sits on the leaf.',
  harsh: 'It burns at the back of the throat and up the nose, long after.',
  bitter: 'It dries the sides of the tongue and leaves something of bark.',
  splitting: 'It has a greasy shine; small beads of oil stand at the rim.',
};
export const SENSE_WORDS = spoken('practiseSenses', SENSES);

const WHEN: Readonly<Record<WhenParts, string>> = {
  minutes: 'in minutes',
  hour: 'within the hour',
  service: 'after a service, within a week',
  days: 'not for a week or more',
};
export const WHEN_WORDS = spoken('practiseWhen', WHEN);

const RESCUES: Readonly<Record<RescueChoice, string>> = {
  stop: 'Stop pouring',
  'new-base': 'A new yolk or a spoon of mustard in a clean bowl',
  'drip-in': 'The split sauce into it, drop by drop',
  'more-oil': 'More oil, quickly',
  'whisk-harder': 'Whisk harder and go on',
};
export const RESCUE_WORDS = spoken('practiseRescues', RESCUES);

const SURE: Readonly<Record<Sureness, string>> = {
  new: 'new',
  'not-yet': 'not yet',
  'getting-there': 'getting there',
  sure: 'sure',
};
export const SURE_WORDS = spoken('practiseSure', SURE);

const ASKED: Readonly<Record<SafeQuestion, string>> = {
  counter: 'counter or cold',
  days: 'how long it keeps',
  label: 'the label',
};
export const SAFE_WORDS = spoken('practiseSafe', ASKED);

/** Measures as cooks say them, in the language of the reader of lines. */
export const SPOKEN_AMOUNTS: readonly string[] = [
  ...[
    'a pinch of fine sea salt',
    'a teaspoon of fine sea salt',
    'a clove of garlic',
    'juice of half a lemon',
  ],
  ...[
    'a tablespoon of olive oil',
    'a glug of olive oil',
    'a teaspoon of Dijon mustard',
    'a tablespoon of honey',
  ],
  ...[
    'a splash of cider vinegar',
    'a tablespoon of cider vinegar',
    'a squeeze of lemon juice',
    'an egg yolk',
  ],
  ...['a handful of parsley', 'a cup of yoghurt', 'half a cup of olive oil', 'a teaspoon of dried oregano'],
  ...[
    'a tablespoon of tahini',
    'a shallot',
    'a pinch of chilli flakes',
    'zest of a lemon',
    'a bunch of dill',
  ],
];
const AMOUNTS: Readonly<Record<string, string>> = Object.fromEntries(
  SPOKEN_AMOUNTS.map((line) => [line, line]),
);
export const AMOUNT_WORDS = spoken('practiseAmounts', AMOUNTS);
