/** Tastings and jars in a cook's words. Rendered here and nowhere else. */
import { sentencesNow, spoken } from './tongue';
import { TOOL_WORDS } from './hold';
import { COMPLAINT_WORDS } from './balance';
import type { Tool } from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import {
  type AddedWay,
  type PlanWay,
  type Sight,
  type StepNote,
  type DoStep,
  complaintsOf,
  type ComesTo,
  type Bite,
  type TastedOn,
  type TasteRow,
  type Tasting,
} from '#core/trial';
import { inSentence } from './numbers';
import { sayStep } from './tips';

export const ROW_WORDS: Readonly<Record<TasteRow, readonly [low: string, high: string]>> = spoken('rows', {
  acid: ['needs acid', 'too sharp'],
  salt: ['needs salt', 'too salty'],
  sweet: ['needs sweet', 'too sweet'],
  oil: ['lean', 'too oily'],
  body: ['too thin', 'too thick'],
  bite: ['faint', 'too harsh or hot'],
  bitter: ['fine', 'bitter'],
});
export const BITE_WORDS: Readonly<Record<Bite, string>> = spoken('bites', {
  garlic: 'garlic',
  onion: 'onion',
  chilli: 'chilli',
  mustard: 'mustard',
});
export const ON_WORDS: Readonly<Record<TastedOn, string>> = spoken('on', {
  leaf: 'on a leaf',
  spoon: 'on a spoon',
  dish: 'on the dish',
});

/** "Too sharp 2, needs salt 1, on a leaf"; "right, on a leaf". */
export function sayTasting(tasting: Tasting): string {
  const other = sentencesNow()?.tasting(tasting);
  if (other !== undefined) return other;
  const said = complaintsOf(tasting).map(
    ({ complaint, severity }) => `${COMPLAINT_WORDS[complaint].toLowerCase()} ${severity}`,
  );
  const faint = (tasting.rows.bite ?? 0) < 0 ? ['faint'] : [];
  const words = tasting.right ? ['right'] : [...said, ...faint];
  const text = [...(words.length > 0 ? words : ['no complaint']), ON_WORDS[tasting.on]].join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

const TIMES_WORDS = ['', 'once', 'twice', 'three times', 'four times', 'five times', 'six times'] as const;
export const sayTimes = (count: number): string => TIMES_WORDS[count] ?? `${count} times`;

/**
 * "too sharp twice since the new rice vinegar (“autumn crate”)", "right as made three times running".
 *
 * @param sinceWhat what came in the bottle since which it is so
 */
export function sayComesTo({ complaint, jarIds, of, since }: ComesTo, sinceWhat: string | null): string {
  const times = sayTimes(jarIds.length);
  if (complaint === null) return `right as made ${times} running`;
  const said = `${COMPLAINT_WORDS[complaint].toLowerCase()} ${times}`;
  if (since && sinceWhat !== null) return `${said} since the new ${sinceWhat} (“${since.bottle}”)`;
  return jarIds.length === of ? `${said} running` : `${said} in the last ${of} jars`;
}

/** What a step's words are made with. */
export interface StepWords {
  readonly nameOf: (id: IngredientId) => string;
  readonly amount: (massG: number, id: IngredientId) => string;
}

/** "Leave the shallot in the acid", "pour 1 of 3". */
export function sayStepNote(note: StepNote, { nameOf, amount }: StepWords): string {
  const other = sentencesNow()?.stepNote(note, { nameOf, amount });
  if (other !== undefined) return other;
  const plain = (id: IngredientId): string => nameOf(id).split(',')[0]!.toLowerCase();
  switch (note.code) {
    case 'steep':
      return `Leave the ${[...new Set(note.ingredientIds.map(plain))].join(' and ')} in the acid`;
    case 'rest':
      return `Let the ${[...new Set(note.ingredientIds.map(plain))].join(' and ')} rest`;
    case 'pour':
      return `pour ${note.pour} of ${note.of}`;
    case 'dilution':
      return `mix 1 part with 9 parts ${plain(note.carrierId)}, take ${note.takeG} g of it`;
    case 'rescue':
      return sayStep(note.step, (id) => inSentence(nameOf(id)), amount);
  }
}

export const WAY_WORDS: Readonly<Record<PlanWay | AddedWay, string>> = spoken('ways', {
  'other-loads': 'made good in the other loads',
  'the-rest': 'the rest',
  additions: 'additions',
  'fill-vessel': 'fill the vessel',
  rescaled: 'rescaled',
  'as-it-is': 'as it is',
  rescue: 'saving it',
  'without-rescue': 'went on without',
  'kept-aside': 'kept aside',
});

/** "Close and shake", "Whisk the base smooth": what a step asks for, without its time. */
export function sayDeed(step: DoStep, tool: Tool, words: StepWords): string {
  const { deed, said, note } = step;
  if (said) return said;
  const other = sentencesNow()?.deed(step, tool, words);
  if (other !== undefined) return other;
  if (note) return sayStepNote(note, words);
  switch (deed) {
    case 'stir':
      return 'Stir until the salt has dissolved';
    case 'steep':
      return 'Leave it in the acid: milder';
    case 'whisk-base':
      return tool === 'whisk' || tool === 'fork' || tool === 'shake'
        ? 'Whisk the base smooth'
        : `Mix the base smooth: ${TOOL_WORDS[tool].toLowerCase()}`;
    case 'mix':
      return tool === 'shake' ? 'Close and shake' : `Mix: ${TOOL_WORDS[tool].toLowerCase()}`;
    case 'said':
      return 'As written';
  }
}

export const SIGHT_WORDS: Readonly<Record<Sight, string>> = spoken('sights', {
  fine: 'still fine',
  'thin-layer': 'a thin layer',
  split: 'split',
});
