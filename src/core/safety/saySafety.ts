/** Cautions, pH and keeping as sentences. Rendered here and nowhere else. */
import type { PhReading, PhReason } from '#core/acidity';
import type { Hazard, Ingredient } from '#core/ingredient';
import type { Caution } from './cautions';
import { HIGH_PH_DAYS, type Keeping, type KeepingReason } from './keeping';
import { THRESHOLDS } from './thresholds';

const names = (ingredients: readonly Ingredient[]): string => {
  // "Garlic, raw, peeled" is garlic in a sentence.
  const list = ingredients.map(({ name }) => {
    const short = name.split(',')[0]!;
    return short.charAt(0).toLowerCase() + short.slice(1);
  });
  return list.length < 2 ? (list[0] ?? '') : `${list.slice(0, -1).join(', ')} and ${list.at(-1)}`;
};

/** Two sentences at most: what to do, and why. */
export function sayCaution({ code, value, limit, ingredients }: Caution): { what: string; why: string } {
  switch (code) {
    case 'infused_oil':
      return {
        what: `An oil with ${names(ingredients)}: make it fresh, keep it at 5 °C or below and throw it away after ${THRESHOLDS.garlicOilDays.value} days. Never at room temperature.`,
        why: 'Botulinum grows under oil without air and without smell, and heat does not kill its spores. A pH means nothing in oil.',
      };
    case 'raw_egg':
      return {
        what: 'Raw egg: use pasteurised egg for anyone young, old, pregnant or ill.',
        why: 'Salmonella may be in the egg. Cold slows it and does not make raw egg safe; acid works more slowly in the cold.',
      };
    case 'raw_egg_acid':
      return {
        what:
          value === null
            ? 'How acid it is round the egg cannot be said here: measure it, or take pasteurised egg.'
            : limit !== null && limit < 1
              ? `Only ${(value * 100).toFixed(1)} % acetic acid in its water, wanted at least ${(limit * 100).toFixed(1)} %: more vinegar, or pasteurised egg.`
              : `Its pH may be as high as ${value.toFixed(1)}, wanted ${limit?.toFixed(1)} at most: more vinegar, or pasteurised egg. Measure to confirm.`,
        why: 'Vinegar kills Salmonella slowly, and only where it is acid enough all through; lemon alone works less well.',
      };
    case 'high_ph':
      return {
        what: `Hardly acid: its pH may be as high as ${value?.toFixed(1)}. Keep it cold, ${HIGH_PH_DAYS} days at most.`,
        why: 'Above 4.6 botulinum and others can grow.',
      };
    case 'cold_holding':
      return {
        what: `Keep at 5 °C or below from the start${ingredients.length ? `, because of ${names(ingredients)}` : ''}.`,
        why: 'Germs that were on or in it grow at room temperature. Acid and salt slow them and do not stop all of them.',
      };
    case 'garlic_or_herb_under_oil':
      return {
        what: `With ${names(ingredients)} under oil: cold, and within ${Math.min(value ?? 4, 4)} days, cooked or raw.`,
        why: 'What settles under the oil is out of the acid’s and the air’s reach.',
      };
    case 'susceptible_guests':
      return {
        what: `Not for guests who are highly susceptible: ${names(ingredients)}.`,
        why: 'Raw egg may carry Salmonella, soft and blue cheese Listeria.',
      };
    case 'menu_notice':
      return { what: 'Say on the menu that it holds raw egg.', why: 'Guests can only decide if they know.' };
    case 'infants_honey':
      return {
        what: 'Not for infants under 12 months: honey.',
        why: 'Honey may hold botulinum spores, which an infant’s gut does not yet keep down.',
      };
    case 'cold_service':
      return {
        what: 'Out of the cold it may stand 4 hours in a service, 2 at home, counted from the first time it left the cold; then throw it away.',
        why: 'Standing out adds up, container by container. New dressing is never poured onto old.',
      };
    case 'salt_undissolved':
      return {
        what: 'More salt than its water can hold: some stays as crystals.',
        why: 'Saturated brine holds 26 %.',
      };
    case 'soy_oil':
      return {
        what: 'Soybean oil counts as soy unless the bottle is marked fully refined.',
        why: 'Only full refining takes the protein out.',
      };
    case 'boil_dried_beans':
      return {
        what: `Dried beans: soak, pour the water away, boil hard 10 minutes before use (${names(ingredients)}).`,
        why: 'Raw beans hold a lectin that makes people ill.',
      };
    case 'acid_and_metal':
      return {
        what: 'Keep it in glass, steel, glazed ware or food plastic, not in bare aluminium, copper, brass or lead-glazed ware.',
        why: 'Acid takes metal out of them.',
      };
    case 'dressed_dishes':
      return {
        what: 'Dressed cut leaves, cut tomatoes, cooked rice, pasta, potatoes and beans need cold and time control of their own.',
        why: 'The dressing does not preserve the dish.',
      };
    case 'marinade':
      return { what: 'What raw meat or fish lay in is not served.', why: 'It carries what was on them.' };
    case 'local_code':
      return {
        what: 'An estimate, no certificate: your local code and a licensed professional decide.',
        why: 'Limits differ by country, by guest and by what your own kitchen can show.',
      };
  }
}

const PH_REASONS: Record<PhReason, string> = {
  'too-little-water': 'there is hardly any water in it, and the pH of an oil means nothing',
  'water-from-plants-only':
    'its only water is in herbs, garlic or vegetables, and the pH of an infused oil means nothing',
  pieces: 'there are pieces in it that the acid has not reached; the figure would be of a blended sample',
  'not-all-read': 'not every line could be read',
  'much-protein': 'there is much protein in it, which holds the pH up in ways a table does not know',
  'mostly-dairy': 'it is mostly dairy, which holds the pH up in ways a table does not know',
  'interval-too-wide': 'what is known leaves more than a whole pH open',
  'no-balance': 'the reckoning found no balance',
  'upper-estimate-only': 'only an upper estimate is worth saying',
  'raw-egg-needs-acetic': 'raw egg asks for vinegar: too little acetic acid in its water',
  'above-threshold': 'above the line even at best',
  'straddles-threshold': 'the line lies inside what it may be',
};
export const sayPhReason = (reason: PhReason): string => PH_REASONS[reason];

/** "pH about 3.9 (3.5 to 4.2), calculated", an upper estimate, or why there is none. One decimal, decimal point. */
export function sayPh(ph: PhReading): string {
  if (ph.status === 'refused') {
    return `No pH is shown: ${ph.reasons.map(sayPhReason).join('; ')}.`;
  }
  if (ph.value === null) return `pH at most about ${ph.high!.toFixed(1)}, calculated: measure it.`;
  return `pH about ${ph.value.toFixed(1)} (${ph.low!.toFixed(1)} to ${ph.high!.toFixed(1)}), calculated: measure to confirm.`;
}

const KEEPING_WORDS: Record<KeepingReason, string> = {
  raw_egg: 'raw egg',
  pasteurised_egg: 'pasteurised egg',
  mayonnaise: 'mayonnaise',
  dairy: 'dairy',
  soft_or_blue_cheese: 'soft or blue cheese',
  fish: 'fish',
  raw_allium: 'raw garlic or onion',
  cooked_allium: 'cooked garlic or onion',
  fresh_herb: 'fresh herbs',
  raw_vegetable_or_fruit: 'fruit, vegetables, juice or zest',
  opened_preserve: 'an opened jar',
  plant_protein: 'beans, soy or nut milk',
  avocado: 'avocado',
  honey: 'honey',
  dry: 'dry things',
  unlisted: 'something that is not listed',
  shelf_stable: 'only things that keep by themselves',
  high_ph: 'it is hardly acid',
  not_all_read: 'a line that could not be read',
};
export const sayHazard = (hazard: Hazard): string => KEEPING_WORDS[hazard];

/** What sets it: "raw garlic or onion". */
export const sayKeepingReason = ({ reason }: Pick<Keeping, 'reason'>): string => KEEPING_WORDS[reason];

export function sayKeeping({ days, reason, cold }: Keeping): string {
  const where = cold ? 'at 5 °C or below' : 'closed and cool';
  const word = days === 1 ? 'the day it is made' : `${days} days, the day of making being the first`;
  return `Keep ${where}, ${word}: ${KEEPING_WORDS[reason]}. An estimate.`;
}
