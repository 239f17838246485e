/** Remedies, misses and swaps in a cook's words. Rendered here and nowhere else; amounts are given as text. */
import { listed } from './numbers';
import { sentencesNow, spoken } from './tongue';
import type { Ingredient } from '#core/ingredient';
import type { PalateKey } from '#core/palate';
import { MEASURE_WORDS, sayMeasure } from './palate';
import { formatCount, sensibly, type Unit } from '#core/quantity';
import type {
  Asked,
  Complaint,
  Dose,
  Gesture,
  Impossible,
  Lost,
  Missed,
  Obstacle,
  PlanId,
  Variant,
} from '#core/balance';
import { sayDuration, THICKNESS_WORDS } from './hold';

export type SayAmount = (massG: number, ingredient: Ingredient) => string;
export const inGrams: SayAmount = (massG) => `${sensibly(massG)} g`;

/** "Red wine vinegar 6 %" inside a sentence. */
const small = ({ name }: Ingredient): string => {
  const short = name.split(',')[0]!;
  return short.charAt(0).toLowerCase() + short.slice(1);
};

export const COMPLAINT_WORDS: Readonly<Record<Complaint, string>> = spoken('complaints', {
  'into-band': 'Into balance',
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
});

/** What a mouth says of a jar: "Needs salt, a little sweet". */
export function sayComplaints(said: readonly Asked[]): string {
  const other = sentencesNow()?.complaints(said);
  if (other !== undefined) return other;
  const words = said.map(({ complaint, severity }) => {
    const word = COMPLAINT_WORDS[complaint].toLowerCase();
    return severity === 1 ? `a touch ${word.replace(/^too /, 'too ')}` : word;
  });
  const text = listed(words.map((word) => word.replace('a touch needs', 'needs a little')));
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

const COUNT_WORDS = ['', 'a', 'two', 'three', 'four', 'five', 'six'] as const;
/** Gestures of a hand by name; spoons and grams are counted in figures. */
const HAND_WORDS: Readonly<Partial<Record<Unit, readonly [one: string, more: string]>>> = {
  pinch: ['pinch', 'pinches'],
  squeeze: ['squeeze', 'squeezes'],
  splash: ['splash', 'splashes'],
  yolk: ['yolk', 'yolks'],
};

/** "two pinches", "a squeeze", "1½ tbsp", "85 g". */
export function sayGesture({ unit, count }: Pick<Gesture, 'unit' | 'count'>): string {
  const other = sentencesNow()?.gesture({ unit, count });
  if (other !== undefined) return other;
  const words = HAND_WORDS[unit];
  if (!words) return `${formatCount(count)} ${unit}`;
  return `${COUNT_WORDS[count] ?? String(count)} ${words[count === 1 ? 0 : 1]}`;
}

/** "two pinches of salt", "1 tbsp honey", "a yolk". */
export function sayDose(dose: Dose, say: SayAmount = inGrams): string {
  const {
    mayAdd: { ingredient },
    massG,
    gesture,
  } = dose;
  const other = sentencesNow()?.dose(dose, say(massG, ingredient), gesture ? sayGesture(gesture) : '');
  if (other !== undefined) return other;
  if (!gesture || gesture.unit === 'g') return `${say(massG, ingredient)} ${small(ingredient)}`;
  if (gesture.unit === 'yolk') return sayGesture(gesture);
  return `${sayGesture(gesture)} ${HAND_WORDS[gesture.unit] ? 'of ' : ''}${small(ingredient)}`;
}

/** "two pinches of salt and 1 tbsp olive oil". */
export const sayDoses = (doses: readonly Dose[], say: SayAmount = inGrams): string =>
  listed(doses.map((dose) => sayDose(dose, say)));

/** Up to where a gesture may be done before it is too much; null where nobody goes that far. */
export function sayEnough(dose: Dose): string | null {
  const { gesture, enoughG, massG } = dose;
  if (!gesture || enoughG == null || gesture.unit === 'g') return null;
  const one = gesture.massG / gesture.count;
  const most = Math.floor(enoughG / one + 1e-6);
  const isHere = most <= gesture.count || enoughG <= massG * ENOUGH_IS_HERE;
  const other = sentencesNow()?.enough(
    dose.mayAdd.ingredient.name,
    isHere ? null : sayDose({ ...dose, gesture: { ...gesture, count: most } }),
  );
  if (other !== undefined) return other;
  if (isHere) return `More ${small(dose.mayAdd.ingredient)} than that is too far.`;
  return `Too far beyond ${sayDose({ ...dose, gesture: { ...gesture, count: most } })}.`;
}
const ENOUGH_IS_HERE = 1.05;

const measures = (keys: readonly PalateKey[]): string =>
  listed(keys.map((key) => MEASURE_WORDS[key].title.toLowerCase()));

const SHARES: readonly (readonly [number, string])[] = [
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [1 / 2, 'half'],
  [2 / 3, 'two thirds'],
  [3 / 4, 'three quarters'],
];
/** The least of these that is enough: "a third"; beyond three quarters it is nearly all. */
const sayShare = (share: number): string =>
  SHARES.find(([least]) => share <= least + 0.02)?.[1] ?? 'nearly all of it';

/**
 * What adding alone cannot do here and the honest way, in one sentence.
 * @param aQuarter the limit was a quarter of what is there, not the jar
 */
export function sayImpossible(
  { moreRoom, dilution, inTheWay }: Impossible,
  say: SayAmount = inGrams,
  aQuarter = false,
): string {
  const other = sentencesNow()?.impossible(
    moreRoom
      ? {
          kind: 'room',
          ml: Math.ceil(moreRoom.volumeMl),
          doses: sayDoses(moreRoom.doses, say),
          aQuarter,
        }
      : inTheWay.length > 0
        ? { kind: 'in-the-way', measures: inTheWay }
        : { kind: 'nothing' },
    dilution && { share: dilution.replaceFraction, by: dilution.by.name },
  );
  if (other !== undefined) return other;
  const why = ((): string => {
    if (moreRoom) {
      const ml = Math.ceil(moreRoom.volumeMl);
      const takes = `it takes ${ml} ml more${aQuarter ? '' : ' room'}, ${sayDoses(moreRoom.doses, say)}`;
      return aQuarter ? `Whole, ${takes}: over a quarter of what is in the jar` : `It does not fit: ${takes}`;
    }
    if (inTheWay.length > 0)
      return `Adding alone cannot do it: ${measures(inTheWay)} would leave what the style asks for`;
    return 'Nothing on hand does it';
  })();
  if (!dilution) return `${why}.`;
  const { by, replaceFraction } = dilution;
  return `${why}; set ${sayShare(replaceFraction)} aside and make it up anew with ${small(by)}, or keep it as a base.`;
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
export const PLAN_WORDS: Readonly<Record<PlanId, string>> = spoken('plans', {
  acid: 'Sharpen',
  salt: 'Salt',
  savoury: 'Salt with something savoury',
  cover: 'Cover it',
  band: 'Bring it into balance',
  dilute: 'Dilute',
  thin: 'Thin',
  balance: 'Balance',
  sweeten: 'Sweeten',
  cut: 'Cut the oil',
  enrich: 'Enrich',
  thicken: 'Thicken',
  gum: 'Thicken with a gum, slurried in oil first',
  together: 'All of it at once',
});

/** What helps besides an addition; common practice. */
export const ASIDE_WORDS: Readonly<Partial<Record<Complaint, string>>> = spoken('asides', {
  'harsh-garlic': 'Next time leave the garlic 10 minutes in the acid before the oil, or blanch it.',
  bitter: 'Next time blend a neutral oil and fold the extra-virgin in by hand.',
  'too-hot': 'It grows hotter as it rests. Taste again in ten minutes.',
});

const LOST_SHARES: readonly (readonly [number, string])[] = [
  [0.87, 'nine tenths'],
  [0.7, 'three quarters'],
  [0.6, 'two thirds'],
  [0.4, 'half'],
  [0, 'a third'],
];
/** What a swap loses of what holds it together, one sentence each; none where nothing is lost. */
export function sayLost({ binder, holdS, thickness, splits, mightSplit }: Lost): readonly string[] {
  const sentences: string[] = [];
  if (binder !== null) {
    const share = binder > 0.98 ? 'all' : LOST_SHARES.find(([from]) => binder >= from)![1];
    sentences.push(`It loses ${share} of what binds.`);
  }
  if (splits) sentences.push('It would split.');
  else if (mightSplit) sentences.push('It may split: it is at its limit of oil.');
  if (holdS && !splits) {
    const say = (seconds: number | null): string => (seconds === null ? 'weeks' : sayDuration(seconds));
    sentences.push(`It holds about ${say(holdS.after)} instead of ${say(holdS.before)}.`);
  }
  if (thickness)
    sentences.push(`From ${THICKNESS_WORDS[thickness.before]} to ${THICKNESS_WORDS[thickness.after]}.`);
  return sentences;
}
