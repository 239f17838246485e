/** The first sentence of a screen: one thing, in plain words. */
import { sentencesNow } from './tongue';
import { degreeOf, type Degree, type Finding } from '#core/balance';
import type { PalateKey, Verdict, VerdictReason } from '#core/palate';
import { sayCaution } from './safety';

type Degrees = Readonly<Record<Degree, string>>;
const too = (word: string): Degrees => ({
  'a-touch': `a touch too ${word}`,
  clearly: `too ${word}`,
  far: `far too ${word}`,
});
const lacking = (little: string, word: string): Degrees => ({
  'a-touch': `could be ${little}`,
  clearly: `not ${word} enough`,
  far: `far from ${word} enough`,
});
const wants = (what: string): Degrees => ({
  'a-touch': `wants a little more ${what}`,
  clearly: `wants more ${what}`,
  far: `wants much more ${what}`,
});
const overdone = (what: string): Degrees => ({
  'a-touch': `a touch too much ${what}`,
  clearly: `too much ${what}`,
  far: `far too much ${what}`,
});

const OFF: Readonly<Record<PalateKey, { readonly low: Degrees; readonly high: Degrees }>> = {
  acid: { low: lacking('sharper', 'sharp'), high: too('sharp') },
  ratio: { low: wants('oil'), high: overdone('oil') },
  salt: { low: wants('salt'), high: too('salty') },
  sweet: { low: lacking('sweeter', 'sweet'), high: too('sweet') },
  sugarToAcid: { low: too('tart'), high: too('sweet') },
  fat: { low: lacking('richer', 'rich'), high: too('rich') },
  body: { low: too('thin'), high: too('thick') },
  garlic: { low: wants('garlic or onion'), high: overdone('garlic or onion') },
  heat: { low: lacking('hotter', 'hot'), high: too('hot') },
  mustard: { low: wants('mustard'), high: overdone('mustard') },
  bitter: { low: wants('oil with a bite'), high: too('bitter') },
};

/** "a touch too sweet". */
export const sayOff = (
  { measure, direction }: Pick<VerdictReason, 'measure' | 'direction'>,
  degree: Degree,
): string => sentencesNow()?.off({ measure, direction }, degree) ?? OFF[measure][direction][degree];

/** "Right", or the two weightiest things that are off. */
export function sayWhy({ reasons }: Pick<Verdict, 'reasons'>): string {
  const other = sentencesNow()?.why(reasons.slice(0, 2).map((reason) => sayOff(reason, degreeOf(reason))));
  if (other !== undefined) return other;
  if (reasons.length === 0) return 'Right';
  return capital(
    reasons
      .slice(0, 2)
      .map((reason) => sayOff(reason, degreeOf(reason)))
      .join(', '),
  );
}

const quoted = (words: readonly string[]): string =>
  `${words
    .slice(0, 2)
    .map((word) => `“${word}”`)
    .join(', ')}${words.length > 2 ? ` and ${words.length - 2} more` : ''}`;
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * What is said first; where a style is meant its name stands apart, so that it can be pressed.
 * "A touch too sweet for" + "Classic" + "."
 */
export interface FirstSentence {
  readonly before: string;
  readonly style: string | null;
  readonly after: string;
}
const whole = (before: string): FirstSentence => ({ before, style: null, after: '' });

/** @param fitted nobody chose the style: it fits best */
export function sayFinding(finding: Finding, fitted: boolean): FirstSentence {
  const other = sentencesNow()?.finding(finding, fitted, (caution) => sayCaution(caution).what);
  if (other !== undefined) return other;
  switch (finding.kind) {
    case 'empty':
      return whole('Nothing in the jar yet. Type the first thing that goes in.');
    case 'unsafe':
      return whole(sayCaution(finding.caution).what);
    case 'split':
      return whole('It splits: more oil than it can hold.');
    case 'unread':
      return whole(
        `Not read: ${quoted(finding.words)}. Counted as the worst it may be; the rest is judged without it.`,
      );
    case 'unjudged':
      return whole('Not like any style that is known here.');
    case 'right':
      return fitted
        ? { before: 'It is right as', style: finding.style.name, after: ', which it fits best.' }
        : { before: 'Right for', style: finding.style.name, after: '.' };
    case 'off': {
      const off = capital(sayOff(finding.reason, finding.degree));
      return fitted
        ? { before: `${off} for`, style: finding.style.name, after: ', which it fits best.' }
        : { before: `${off} for`, style: finding.style.name, after: '.' };
    }
  }
}
