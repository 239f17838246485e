/** The keys of the bench: what they do is listed under `?` from the same table. */
import { composeWords } from '#words/screens/compose';
import type { Shortcut } from '../../ui/shortcuts';

/** Keys inside an amount; the row itself acts on them. */
export const ROW_KEYS = [
  { keys: ['ArrowUp', 'ArrowDown'], does: composeWords.toTheAmountAboveOr },
  { keys: ['shift+ArrowUp', 'shift+ArrowDown'], does: composeWords.nextKitchenStepMoreOr },
  { keys: ['alt+ArrowUp', 'alt+ArrowDown'], does: composeWords.moveTheAdditionUpOr },
  { keys: ['alt+o'], does: composeWords.optionalOrAlwaysIn },
  { keys: ['alt+l'], does: composeWords.lockTheAmountOrUnlock },
  { keys: ['alt+d'], does: composeWords.ingredientFormAndNote },
  { keys: ['alt+w'], does: composeWords.swapItForSomethingElse },
  { keys: ['alt+x'], does: composeWords.selectOrLetGo },
  { keys: ['shift+Delete'], does: composeWords.takeTheAdditionOut },
];

export type BenchAct =
  | 'add'
  | 'ratio'
  | 'units'
  | 'optional'
  | 'style'
  | 'cautions'
  | 'ways'
  | 'round'
  | 'hold'
  | 'scale'
  | 'vessel'
  | 'letGo'
  | 'undo'
  | 'redo'
  | 'keys'
  | 'stageDown'
  | 'stageUp';

const KEYS: readonly (Omit<Shortcut, 'run'> & { readonly act: BenchAct })[] = [
  { act: 'add', keys: ['a'], does: composeWords.typeAnAddition },
  { act: 'ratio', keys: ['r'], does: composeWords.setTheRatio },
  { act: 'units', keys: ['u'], does: composeWords.gramsOrKitchenMeasures },
  { act: 'optional', keys: ['o'], does: composeWords.countOptionalAdditionsOrLeave },
  { act: 'style', keys: ['y'], does: composeWords.chooseTheStyleAimedAt },
  { act: 'cautions', keys: ['c'], does: composeWords.cautionsAndAllergens },
  { act: 'ways', keys: ['b'], does: composeWords.waysIntoTheBand },
  { act: 'scale', keys: ['s'], does: composeWords.scaleThisJar },
  { act: 'round', keys: ['m'], does: composeWords.roundToWhatCanBe },
  { act: 'hold', keys: ['h'], does: composeWords.howToMakeItHold },
  { act: 'vessel', keys: ['v'], does: composeWords.makeAVesselOfYour },
  { act: 'letGo', keys: ['Escape'], does: composeWords.letTheSelectionGo },
  { act: 'undo', keys: ['mod+z'], does: composeWords.undo2, inFields: true },
  { act: 'redo', keys: ['mod+shift+z', 'mod+y'], does: composeWords.redo2, inFields: true },
  { act: 'stageDown', keys: ['['], does: composeWords.stageDown },
  { act: 'stageUp', keys: [']'], does: composeWords.stageUp },
  { act: 'keys', keys: ['?'], does: composeWords.theseKeys },
];

export const benchShortcuts = (acts: Readonly<Record<BenchAct, () => void>>): readonly Shortcut[] =>
  KEYS.map(({ act, ...shortcut }) => ({ ...shortcut, run: acts[act] }));
