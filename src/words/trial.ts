/** Tastings and jars in a cook's words. Rendered here and nowhere else. */
import { COMPLAINT_WORDS } from './balance';
import { TOOL_VALUES } from '#core/emulsion';
import type { Tool } from '#core/formula';
import {
  type Sight,
  type DoStep,
  complaintsOf,
  type Bite,
  type TastedOn,
  type TasteRow,
  type Tasting,
} from '#core/trial';

export const ROW_WORDS: Readonly<Record<TasteRow, readonly [low: string, high: string]>> = {
  acid: ['needs acid', 'too sharp'],
  salt: ['needs salt', 'too salty'],
  sweet: ['needs sweet', 'too sweet'],
  oil: ['lean', 'too oily'],
  body: ['too thin', 'too thick'],
  bite: ['faint', 'too harsh or hot'],
  bitter: ['fine', 'bitter'],
};
export const BITE_WORDS: Readonly<Record<Bite, string>> = {
  garlic: 'garlic',
  onion: 'onion',
  chilli: 'chilli',
  mustard: 'mustard',
};
export const ON_WORDS: Readonly<Record<TastedOn, string>> = {
  leaf: 'on a leaf',
  spoon: 'on a spoon',
  dish: 'on the dish',
};

/** "Too sharp 2, needs salt 1, on a leaf"; "right, on a leaf". */
export function sayTasting(tasting: Tasting): string {
  const said = complaintsOf(tasting).map(
    ({ complaint, severity }) => `${COMPLAINT_WORDS[complaint].toLowerCase()} ${severity}`,
  );
  const faint = (tasting.rows.bite ?? 0) < 0 ? ['faint'] : [];
  const words = tasting.right ? ['right'] : [...said, ...faint];
  const text = [...(words.length > 0 ? words : ['no complaint']), ON_WORDS[tasting.on]].join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** "Close and shake", "Whisk the base smooth": what a step asks for, without its time. */
export function sayDeed({ deed, said }: DoStep, tool: Tool): string {
  if (said) return said;
  switch (deed) {
    case 'stir':
      return 'Stir until the salt has dissolved';
    case 'steep':
      return 'Leave it in the acid: milder';
    case 'whisk-base':
      return tool === 'whisk' || tool === 'fork' || tool === 'shake'
        ? 'Whisk the base smooth'
        : `Mix the base smooth: ${TOOL_VALUES[tool].name.toLowerCase()}`;
    case 'mix':
      return tool === 'shake' ? 'Close and shake' : `Mix: ${TOOL_VALUES[tool].name.toLowerCase()}`;
    case 'said':
      return 'As written';
  }
}

export const SIGHT_WORDS: Readonly<Record<Sight, string>> = {
  fine: 'still fine',
  'thin-layer': 'a thin layer',
  split: 'split',
};
