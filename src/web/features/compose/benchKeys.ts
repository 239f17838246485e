/** The keys of the bench: what they do is listed under `?` from the same table. */
import type { Shortcut } from '../../ui/shortcuts';

/** Keys inside an amount; the row itself acts on them. */
export const ROW_KEYS = [
  { keys: ['ArrowUp', 'ArrowDown'], does: 'to the amount above or below' },
  { keys: ['shift+ArrowUp', 'shift+ArrowDown'], does: 'next kitchen step more or less' },
  { keys: ['alt+ArrowUp', 'alt+ArrowDown'], does: 'move the addition up or down' },
  { keys: ['alt+o'], does: 'optional, or always in' },
  { keys: ['alt+l'], does: 'lock the amount, or unlock it' },
  { keys: ['alt+d'], does: 'ingredient, form and note' },
  { keys: ['alt+w'], does: 'swap it for something else' },
  { keys: ['alt+x'], does: 'select, or let go' },
  { keys: ['shift+Delete'], does: 'take the addition out' },
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
  | 'keys';

const KEYS: readonly (Omit<Shortcut, 'run'> & { readonly act: BenchAct })[] = [
  { act: 'add', keys: ['a'], does: 'type an addition' },
  { act: 'ratio', keys: ['r'], does: 'set the ratio' },
  { act: 'units', keys: ['u'], does: 'grams or kitchen measures' },
  { act: 'optional', keys: ['o'], does: 'count optional additions, or leave them out' },
  { act: 'style', keys: ['y'], does: 'choose the style aimed at' },
  { act: 'cautions', keys: ['c'], does: 'cautions and allergens' },
  { act: 'ways', keys: ['b'], does: 'ways into the band' },
  { act: 'scale', keys: ['s'], does: 'scale this jar' },
  { act: 'round', keys: ['m'], does: 'round to what can be measured' },
  { act: 'hold', keys: ['h'], does: 'how to make it hold, and how to save it' },
  { act: 'vessel', keys: ['v'], does: 'make a vessel of your own' },
  { act: 'letGo', keys: ['Escape'], does: 'let the selection go' },
  { act: 'undo', keys: ['mod+z'], does: 'undo', inFields: true },
  { act: 'redo', keys: ['mod+shift+z', 'mod+y'], does: 'redo', inFields: true },
  { act: 'keys', keys: ['?'], does: 'these keys' },
];

export const benchShortcuts = (acts: Readonly<Record<BenchAct, () => void>>): readonly Shortcut[] =>
  KEYS.map(({ act, ...shortcut }) => ({ ...shortcut, run: acts[act] }));
