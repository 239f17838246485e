/** What is said of a pH, and why there is none. */
import { sentencesNow, spoken } from './tongue';
import type { PhReading, PhReason } from '#core/acidity';
const PH_REASONS: Record<PhReason, string> = spoken('phReasons', {
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
  bracketed: 'no mixture is less acid than its least acid part',
  'raw-egg-needs-acetic': 'raw egg asks for vinegar: too little acetic acid in its water',
  'above-threshold': 'above the line even at best',
  'straddles-threshold': 'the line lies inside what it may be',
});

export const sayPhReason = (reason: PhReason): string => PH_REASONS[reason];

/** "pH about 3.9 (3.5 to 4.2), calculated", an upper estimate, or why there is none. One decimal, decimal point. */
export function sayPh(ph: PhReading): string {
  const other = sentencesNow()?.ph(ph, ph.status === 'refused' ? ph.reasons.map(sayPhReason) : []);
  if (other !== undefined) return other;
  if (ph.status === 'refused') {
    return `No pH is shown: ${ph.reasons.map(sayPhReason).join('; ')}.`;
  }
  if (ph.value === null) return `pH at most about ${ph.high!.toFixed(1)}, calculated: measure it.`;
  return `pH about ${ph.value.toFixed(1)} (${ph.low!.toFixed(1)} to ${ph.high!.toFixed(1)}), calculated: measure to confirm.`;
}
