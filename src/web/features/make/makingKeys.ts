/** The keys of a making: what a foot switch or a wet knuckle presses. */
import type { RefObject } from 'react';
import { makeWords } from '#words/screens/make';
import type { Shortcut } from '../../ui/shortcuts';
import type { StepActions } from './stepActions';

interface MakingDoes {
  readonly actions: RefObject<StepActions>;
  readonly next: () => void;
  readonly back: () => void;
  readonly undo: () => void;
  readonly goOtherwise: () => void;
  readonly openByHand: () => void;
  readonly openHelp: () => void;
}

export const makingKeys = (does: MakingDoes): readonly Shortcut[] => [
  {
    keys: [' ', 'Enter', 'PageDown', 'ArrowRight'],
    // Whatever has the focus: who presses it looks at the jar.
    always: ['PageDown'],
    byFoot: true,
    does: makeWords.nextTakeWhatIsIn,
    run: does.next,
  },
  { keys: ['PageUp', 'ArrowLeft', 'Backspace'], does: makeWords.backToLookAtThe, run: does.back },
  { keys: ['t'], does: makeWords.setTheScaleToZero, run: () => does.actions.current.tare?.() },
  { keys: ['h'], does: makeWords.typeTheWeightByHand, run: () => does.actions.current.byHand?.() },
  { keys: ['mod+z', 'u'], does: makeWords.undoTheLastStep, run: does.undo },
  { keys: ['o'], does: makeWords.itWentOtherwiseLeftOut, run: does.goOtherwise },
  { keys: ['g'], does: makeWords.somethingByHand, run: does.openByHand },
  { keys: ['?'], does: makeWords.showTheseKeys, run: does.openHelp },
];
