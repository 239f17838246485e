/** "left ten minutes", "soaked for half an hour", "leave it overnight": a rest that is told in the words of a line. */
import { NUMBER_WORDS } from '#core/quantity';

const MORE_NUMBERS: Readonly<Record<string, number>> = {
  'a couple of': 2,
  'a few': 3,
  'half an': 0.5,
  'half a': 0.5,
  'a quarter of an': 0.25,
  fifteen: 15,
  twenty: 20,
  'twenty-five': 25,
  thirty: 30,
  forty: 40,
  'forty-five': 45,
  sixty: 60,
};
const COUNTS: Readonly<Record<string, number>> = { ...NUMBER_WORDS, ...MORE_NUMBERS };
const WORDS = Object.keys(COUNTS)
  .sort((a, b) => b.length - a.length)
  .join('|');
const DURATION = String.raw`(?:(?<count>\d+(?:[.,]\d+)?|${WORDS})(?:\s*(?:-|–|to|or)\s*(?:\d+|${WORDS}))?[\s-]+(?<unit>min(?:ute)?s?|hours?|hrs?|h)|(?<night>overnight))\b`;
const RESTS = String.raw`\b(?:leave|left|let|rest(?:ed|ing)?|stand(?! mixer)(?:ing)?|stood|sit(?:ting)?|sat|soak(?:ed)?|steep(?:ed)?|macerated?|marinated?|infused?|pickled?|softened?|wait)\b`;
const REST = new RegExp(`${RESTS}[^.;\\d]{0,40}?${DURATION}`, 'i');
const A_NIGHT_H = 8;
const LONGEST_S = 48 * 3600;

export interface Rest {
  /** > 0, at most two days. */
  readonly seconds: number;
  /** "ten minutes", as it was said. */
  readonly said: string;
}

/** The shortest of what was said ("10 to 15 minutes" is ten): longer does no harm. Null: nothing is left to stand. */
export function restOf(text: string): Rest | null {
  const found = REST.exec(text);
  if (!found) return null;
  const { count, unit, night } = found.groups!;
  const said = found[0].slice(found[0].search(new RegExp(DURATION, 'i')));
  if (night) return { seconds: A_NIGHT_H * 3600, said };
  const number = COUNTS[count!.toLowerCase()] ?? Number(count!.replace(',', '.'));
  const seconds = Math.round(number * (unit!.startsWith('m') ? 60 : 3600));
  return seconds > 0 && seconds <= LONGEST_S ? { seconds, said } : null;
}
