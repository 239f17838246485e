/** The pass: plates that go out, containers that come out. */
import type { PassNow, PortionTool } from '#core/service';
import { sayDuration } from '../hold';

export const PORTION_WORDS: Readonly<Record<PortionTool, string>> = {
  tablespoon: 'tablespoon',
  'ladle-30': 'ladle of 30 ml',
  'ladle-60': 'ladle of 60 ml',
  'ladle-90': 'ladle of 90 ml',
  squeeze: 'squeeze of the bottle',
};
const SHORT: Readonly<Record<PortionTool, readonly [one: string, many: string]>> = {
  tablespoon: ['tablespoon', 'tablespoons'],
  'ladle-30': ['ladle', 'ladles'],
  'ladle-60': ['ladle', 'ladles'],
  'ladle-90': ['ladle', 'ladles'],
  squeeze: ['squeeze', 'squeezes'],
};

const inHalves = (count: number): string =>
  count % 1 === 0 ? String(count) : `${count > 1 ? Math.floor(count) : ''}½`;

export const passWords = {
  thePass: 'The pass',
  toThePass: 'To the pass',
  toServe: 'Back to Serve',
  atThePass: (dish: string) => `at the pass, ${dish}`,
  onEachPlate: 'on each plate',
  ofMlOnEachPlate: (toolMl: string) => `of ${toolMl} ml, on each plate`,
  portion: (count: number, tool: PortionTool) => `${inHalves(count)} ${SHORT[tool][count > 1 ? 1 : 0]}`,
  ofSoMuch: (toolMl: string, given: string) => `One holds ${toolMl}: ${given} on each plate.`,
  plateIsOut: 'A plate is out',
  platesToGo: (left: number) => (left === 1 ? 'plate to go' : 'plates to go'),
  ofPlates: (sent: number, all: number) => `${sent} of ${all} are out`,
  takeBack: 'Take back',
  containerIsOut: 'The next container is out',
  firstContainerIsOut: 'The first container is out',
  itIsShaken: 'Shaken',
  container: 'Container',
  shake: 'Shake',
  outOfTheCold: 'Out of the cold',
  doesMore: (plates: number) => `Does ${plates} more ${plates === 1 ? 'plate' : 'plates'}.`,
  containersOf: (brought: number, needed: number) => `${brought} of ${needed} brought out.`,
  nextAfter: (plates: number) => `The next one in ${plates} ${plates === 1 ? 'plate' : 'plates'}.`,
  noneOut: 'None is out.',
  shakeEach: 'Stir at each portion.',
  shakeOnce: 'Mixed once before the service is enough.',
  shakeIn: (time: string) => `In ${time}.`,
  shakeWhenOut: 'Once one is out.',
  throwAwayAt: (time: string) => `Throw it away at ${time}.`,
  needNotBeCold: 'It need not be cold.',
  pace: (time: string) => `A plate every ${time}.`,
  settings: 'Plates, ladle, container',
  plates: 'Plates',
  takenWith: 'Taken with',
  oneHolds: 'One holds, ml',
  containerHolds: 'A container holds, ml',
  aVolume: 'A volume above nothing.',
  howManyPlates: 'How many plates?',
  beginAnew: 'Begin anew',
  bringItBack: 'Bring it back',
  countedNothing: 'Nothing is counted yet.',
  sayTheDishFirst:
    'Say in Serve what is dressed and for how many: then the pass knows how much goes on a plate.',
  holdsNoPlate: 'A container holds less than a plate takes: take a larger one.',
  anEstimate: 'Amounts and times are estimates; your local code decides what may stand out.',
};

/** What is first to be done at the pass. */
export function sayPass(
  { over, left, sent, brought, nextAfterPlates, inContainers, shakeInS }: PassNow,
  shakesEachTime: boolean,
): { readonly says: string; readonly tone: 'grave' | 'off' | 'right' | 'plain' } {
  if (over) return { says: 'It has stood out for 4 hours: throw it away, bring a fresh one.', tone: 'grave' };
  if (left === 0 && sent > 0) return { says: `All ${sent} plates are out.`, tone: 'right' };
  if (brought === 0) return { says: 'Bring the first container out, and shake it.', tone: 'off' };
  if (nextAfterPlates === 0)
    return {
      says:
        inContainers === 0
          ? 'Empty: bring the next container out now, and shake it.'
          : `Bring the next container out now: ${inContainers} ${inContainers === 1 ? 'plate is' : 'plates are'} left in this one.`,
      tone: 'off',
    };
  if (shakeInS === 0) return { says: 'Shake it now.', tone: 'off' };
  if (shakesEachTime) return { says: 'Stir, take, dress.', tone: 'plain' };
  if (nextAfterPlates !== null)
    return {
      says: `The next container in ${nextAfterPlates} ${nextAfterPlates === 1 ? 'plate' : 'plates'}${shakeInS === null ? '' : `, shake in ${sayDuration(shakeInS)}`}.`,
      tone: 'plain',
    };
  return {
    says:
      shakeInS === null
        ? 'What is out does for all.'
        : `What is out does for all; shake in ${sayDuration(shakeInS)}.`,
    tone: 'plain',
  };
}
