/** From the pantry: what could be made of what is on hand. */
export const fromPantryWords = {
  allergensAllergens: (allergens: string) => `Allergens: ${allergens}. `,
  whatIsThere: 'What is there',
  ciderVinegarHalfALemon: 'cider vinegar, half a lemon, 200 g yoghurt',
  handIngredients: 'hand-ingredients',
  enterAddsItSeveralAt: 'Enter adds it. Several at once, with commas between.',
  everythingThePantryHasLength: (length: number) => `Everything the pantry has (${length})`,
  enoughOfIt: 'enough of it',
  upTo: 'up to',
  nearItNear: (near: string) => ` Near it: ${near}.`,
  notInThePantryForm: (form: string) => `Not in the pantry.${form}`,
  useItUp: 'use it up',
  takeOutText: (text: string) => `Take out ${text}`,
  fineTableSalt: 'fine table salt',
  scaleSpoonsForSmallThings: 'scale, spoons for small things',
  spoonsAndCups: 'spoons and cups',
  n1GScale: '1 g scale',
  fromThePantry: 'From the pantry',
  whatItShouldBe: 'What it should be',
  toMakeMl: 'To make, ml',
  aVolumeFromLowMl: (low: number) => `A volume from ${low} ml to 100 l, such as 300.`,
  inTheStyleOf: 'In the style of',
  style: 'Style',
  howItShouldBe: 'How it should be',
  lemonyAndLight: 'lemony and light',
  measuredWith: 'Measured with',
  notOpenedError: (error: string) => `Not opened. ${error}`,
  sayWhatIsThereAn:
    'Say what is there: an acid, an oil or something creamy. Amounts are limits; without one there is enough.',
  findingAmounts: 'Finding amounts',
  allOfThatTogetherMakes: (floor: number, volumeMl: number) =>
    floor < 1
      ? 'Nothing of that fills a jar: a cook puts in too little of each. Add an oil, an acid, water or something creamy.'
      : `All of that together makes ${floor} ml, not ${volumeMl} ml. Ask for less, or add something.`,
  whatIsToBeUsed: (ceil: number) =>
    `What is to be used up takes ${ceil} ml already. Ask for more, or let some of it stay.`,
  thisStyleHasNoWindows: 'This style has no windows to aim for. Choose another.',
  openAsADraft: 'Open as a draft',
  wordNameAsTheOnly: (word: string, name: string) => `${word}: ${name} as the only acid`,
  low: 'low',
  high: 'high',
  wordTitleNearTheForm: (word: string, title: string, form: string, styleName: string) =>
    `${word}: ${title} near the ${form} end of “${styleName}”`,
  notUnderstoodUnread: (unread: string) => `not understood: ${unread}`,
};
