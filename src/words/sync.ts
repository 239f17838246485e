/** How a page stands with the kitchen. */
import { spoken } from './tongue';

export const syncWords = spoken('sync', {
  saving: (n: number) => (n === 1 ? 'Saving 1 change' : `Saving ${n} changes`),
  away: (n: number) =>
    n === 0
      ? 'Server away. You can go on: what you do is kept in this browser.'
      : `Server away. ${n === 1 ? '1 change is' : `${n} changes are`} kept in this browser and sent when it is back.`,
  signedOut: (n: number) =>
    `Signed out. ${n === 1 ? '1 change is' : `${n} changes are`} kept in this browser.`,
  unkept: 'This browser keeps nothing: what is not saved is lost with this page. Leave it open.',
  clashes: (n: number) =>
    n === 1 ? '1 thing was changed elsewhere too' : `${n} things were changed elsewhere too`,
  refused: (n: number) => (n === 1 ? '1 thing was not taken' : `${n} things were not taken`),
  notFitting: 'The kitchen has something else there.',
  otherKitchen: (n: number) =>
    `Another kitchen was at this address. ${n === 1 ? 'One thing' : `${n} things`} meant for it ${n === 1 ? 'is' : 'are'} kept on this device and sent when it is back.`,
  letGo: 'Let them go',
  choose: 'Choose',
  look: 'Look',
  tryNow: 'Try now',
  command: {
    event: 'A step of a making',
    begin: 'The beginning of a jar',
    'new-formula': 'A formula that was poured',
    'start-timer': 'A timer',
    'end-timer': 'The end of a timer',
    'batch-event': 'An entry of a batch',
    dressing: 'What a dish took',
  },
});
