/** Remedies, misses and swaps in a cook's words. Rendered here and nowhere else; amounts are given as text. */
import type { Ingredient } from '#core/ingredient';
import type { PalateKey } from '#core/palate';
import { MEASURE_WORDS, sayMeasure } from './palate';
import { sensibly } from '#core/quantity';
import type { Complaint, Missed, Obstacle, Variant, Impossible, Dose, PlanId } from '#core/balance';

export type SayAmount = (massG: number, ingredient: Ingredient) => string;
export const inGrams: SayAmount = (massG) => `${sensibly(massG)} g`;

/** "Red wine vinegar 6 %" inside a sentence. */
const small = ({ name }: Ingredient): string => {
  const short = name.split(',')[0]!;
  return short.charAt(0).toLowerCase() + short.slice(1);
};

const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

export const COMPLAINT_WORDS: Readonly<Record<Complaint, string>> = {
  'into-band': 'Into the band',
  'too-sharp': 'Too sharp',
  'needs-acid': 'Needs acid',
  flat: 'Flat',
  'too-salty': 'Too salty',
  'needs-salt': 'Needs salt',
  'too-sweet': 'Too sweet',
  'needs-sweet': 'Needs sweet',
  'too-oily': 'Too oily',
  lean: 'Lean',
  'too-thin': 'Too thin',
  'too-thick': 'Too thick',
  'harsh-garlic': 'Harsh garlic or onion',
  'too-hot': 'Too hot',
  'strong-mustard': 'Too much mustard',
  bitter: 'Bitter oil',
};

/** "48 ml olive oil and ½ tsp salt". */
export const sayDoses = (doses: readonly Dose[], say: SayAmount = inGrams): string =>
  listed(doses.map(({ mayAdd, massG }) => `${say(massG, mayAdd.ingredient)} ${small(mayAdd.ingredient)}`));

const measures = (keys: readonly PalateKey[]): string =>
  listed(keys.map((key) => MEASURE_WORDS[key].title.toLowerCase()));

/** What adding alone cannot do here, and what would: up to three sentences. */
export function sayImpossible(
  { moreRoom, dilution, inTheWay }: Impossible,
  say: SayAmount = inGrams,
): readonly string[] {
  const sentences: string[] = [];
  if (moreRoom) {
    sentences.push(
      `It does not fit: it takes ${Math.ceil(moreRoom.volumeMl)} ml more room, for ${sayDoses(moreRoom.doses, say)}.`,
    );
  } else if (inTheWay.length > 0) {
    sentences.push(`By adding alone it cannot be done: ${measures(inTheWay)} would leave the band.`);
  } else sentences.push('Nothing on hand does it.');
  if (dilution) {
    const { measure, wanted, by, growthMl, reachable, replaceFraction } = dilution;
    const title = MEASURE_WORDS[measure].title.toLowerCase();
    const unit = MEASURE_WORDS[measure].unit;
    const reach =
      reachable === null ? '' : `; this jar reaches ${sayMeasure(measure, reachable)} ${unit} at best`;
    sentences.push(
      `To bring ${title} to ${sayMeasure(measure, wanted)} ${unit} by dilution takes at least ${Math.ceil(growthMl)} ml ${small(by)}${reach}.`,
    );
    sentences.push(
      `Or set ${Math.ceil(replaceFraction * 100)} % of the batch aside and fill up with ${small(by)} by weight.`,
    );
  }
  return sentences;
}

export function sayObstacle(obstacle: Obstacle): string {
  switch (obstacle.kind) {
    case 'stock':
      return `there is no more ${small(obstacle.ingredient)}`;
    case 'locked':
      return `${small(obstacle.ingredient)} is fixed`;
    case 'ceiling':
      return `no cook puts in more ${small(obstacle.ingredient)}`;
    case 'defines':
      return `it is nothing without its ${small(obstacle.ingredient)}`;
    case 'window':
      return `${MEASURE_WORDS[obstacle.measure].title.toLowerCase()} is at the ${obstacle.end === 'low' ? 'low' : 'high'} end of its band`;
    case 'target':
      return `the ${MEASURE_WORDS[obstacle.measure].title.toLowerCase()} asked for`;
  }
}

/** "Body 14, wanted 20." */
export function sayMissed({ measure, wanted, value }: Missed): string {
  const { title, unit } = MEASURE_WORDS[measure];
  const shown = value === null ? 'none' : `${sayMeasure(measure, value)} ${unit}`.trim();
  return `${title} ${shown}, wanted ${sayMeasure(measure, wanted)} ${unit}`.trim() + '.';
}

/** Null where nothing is missed. */
export function sayInTheWay(obstacles: readonly Obstacle[]): string | null {
  return obstacles.length === 0 ? null : `In the way: ${listed(obstacles.map(sayObstacle))}.`;
}

export function sayVariant(variant: Variant): string {
  switch (variant.kind) {
    case 'best':
      return 'Nearest to the middle';
    case 'lighter':
      return 'Lighter';
    case 'richer':
      return 'Richer';
    case 'only':
      return `With ${small(variant.ingredient)}`;
    case 'without':
      return `Without ${small(variant.ingredient)}`;
  }
}

/** Begins the sentence that says what to add. */
export const PLAN_WORDS: Readonly<Record<PlanId, string>> = {
  acid: 'Sharpen',
  salt: 'Salt',
  savoury: 'Salt with something savoury',
  cover: 'Cover it',
  band: 'Bring it into the band',
  dilute: 'Dilute',
  thin: 'Thin',
  balance: 'Balance',
  sweeten: 'Sweeten',
  cut: 'Cut the oil',
  enrich: 'Enrich',
  thicken: 'Thicken',
  gum: 'Thicken with a gum, slurried in oil first',
};

/** What helps besides an addition; common practice. */
export const ASIDE_WORDS: Readonly<Partial<Record<Complaint, string>>> = {
  'harsh-garlic': 'Next time leave the garlic 10 minutes in the acid before the oil, or blanch it.',
  bitter: 'Next time blend a neutral oil and fold the extra-virgin in by hand.',
  'too-hot': 'It grows hotter as it rests. Taste again in ten minutes.',
};
