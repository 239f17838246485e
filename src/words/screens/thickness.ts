/** What is said of how thick a thing is, and of the tests at the counter. */
import type { CounterTest } from '#core/emulsion';

export const thicknessWords = {
  howThickIsIt: 'How thick is it?',
  neatThick: (thick: string) => `Neat, stirred: ${thick}`,
  asThePantrySaysEstimate:
    'As the pantry says; an estimate. A test at the counter makes it this kitchen’s own.',
  thePlate: 'The plate',
  aTeaspoonOnAPlate:
    'Put a level teaspoon of it on a cold plate, tilt the plate half upright (45°), and count until it has run 5 cm, two fingers’ width and a half.',
  tiltedStart: 'Tilted: start the clock',
  orSeconds: 'or seconds',
  betweenLowAndHigh: (low: number, high: number) => `${low} to ${high} seconds`,
  set: 'Set',
  itDoesNotRun: 'It does not run',
  itHasRun5Cm: 'It has run 5 cm',
  seconds: (seconds: string) => `${seconds} s`,
  stopTheClock: 'Leave it',
  byPicture: 'Or by a picture',
  byPictureHow:
    'Lay a bank card, or a coin, beside the plate, and take it from straight above when so many seconds have gone. Draw two ends to the card’s long edge and two to where the run begins and ends.',
  aPicture: 'A picture of the plate',
  measureMm: 'The card or coin, mm',
  measureLimits: '10 to 300 mm',
  ends: {
    'run-start': 'Run, its beginning',
    'run-end': 'Run, its end',
    'measure-start': 'Card, one end',
    'measure-end': 'Card, other end',
  },
  after: 'After, s',
  ranSo: (mm: string, seconds: string) => `It ran ${mm} mm: 5 cm in ${seconds} s.`,
  tooSmall: 'The card is too small in the picture: draw its ends, or come closer.',
  tooFarOff: (low: number, high: number) =>
    `That makes no ${low} to ${high} seconds: look at the ends and the time again.`,
  putAway: 'Put the picture away',
  theBackOfTheSpoon: 'The back of the spoon',
  drawAFingerThrough: 'Dip a spoon, turn it over, draw a finger across its back.',
  theLineStays: 'The line stays',
  theLineCloses: 'The line closes',
  undo: 'Undo',
  forgetIt: 'Forget it',
  notKept: (why: string) => `Not kept. ${why}`,
} as const;

/** A factor within this of one says nothing new. */
const SAME = 1.1;

/** "Runs 5 cm in 34 s: 1.6 times as thick as the pantry says." */
export function sayTaught(test: CounterTest, factor: number): string {
  const seen =
    test.kind === 'spoon'
      ? `A finger’s line ${test.line}`
      : test.seconds === null
        ? 'Does not run on the plate'
        : `Runs 5 cm in ${test.seconds} s`;
  const compared =
    factor < SAME && factor > 1 / SAME
      ? 'as the pantry says'
      : factor > 1
        ? `${Number(factor.toPrecision(2))} times as thick as the pantry says`
        : `${Number((1 / factor).toPrecision(2))} times as thin as the pantry says`;
  return `${seen}: ${compared}. This kitchen’s own.`;
}
