/** What is found of a bowl and its dressing, as sentences: made here and nowhere else. */
import type { DishLesson, DishMeasure, DishReason } from '#core/dish';
import { sayDuration } from './hold';
import { inSentence, listed } from './numbers';

export const DISH_MEASURE_WORDS: Readonly<Record<DishMeasure, string>> = {
  salt: 'salt',
  acid: 'sharpness',
  sweet: 'sweetness',
  fat: 'fat',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const percent = (share: number): string => `${Math.round(share * 100)} %`;
/** "a third", "half", "most": nobody tastes a per cent. */
export function sayShare(share: number): string {
  const words: readonly (readonly [number, string])[] = [
    [0.28, 'a quarter'],
    [0.4, 'a third'],
    [0.57, 'half'],
    [0.71, 'two thirds'],
    [0.9, 'most'],
  ];
  if (share < 0.15) return 'a tenth';
  if (share < 0.22) return 'a fifth';
  return words.find(([most]) => share <= most)?.[1] ?? 'nearly all';
}

function sayLess(share: number, what: string): string {
  if (share >= 0.9) return 'the dressing needs none of its own';
  if (share >= 0.65) return `make the dressing with only a quarter of its ${what}`;
  if (share >= 0.42) return `make the dressing with half its ${what}`;
  return `make the dressing with ${share >= 0.28 ? 'a third' : 'a quarter'} less ${what}`;
}

/** @param nameOf the thing of that line */
export function sayDishReason(reason: DishReason, nameOf: (index: number) => string): string {
  const short = (index: number): string => inSentence(nameOf(index).split(',')[0]!);
  switch (reason.code) {
    case 'brings': {
      const what = DISH_MEASURE_WORDS[reason.measure];
      return `${capital(sayShare(reason.share))} of the ${what} comes from the ${short(reason.index)}: ${sayLess(reason.lessShare, what)}.`;
    }
    case 'weaker': {
      const by = { drunk: 'the dish drinks it', water: 'water thins it', pool: 'it runs to the bottom' }[
        reason.by
      ];
      return `It arrives ${percent(reason.share)} weaker than it tastes by itself: ${by}.`;
    }
    case 'salt-again':
      return reason.minutes >= 60
        ? 'Taste for salt again before it is served.'
        : `Taste for salt again after ${sayDuration(reason.minutes * 60)}.`;
    case 'spin-dry':
      return `Spin the leaves dry: about ${Math.round(reason.waterG)} ml of water is on them.`;
    case 'seed':
      return `Seed or drain the ${short(reason.index)}: about ${Math.round(reason.waterG)} ml of juice comes out.`;
    case 'salt-and-drain':
      return `Salt the ${short(reason.index)} 20 minutes and pour the juice away: about ${Math.round(reason.waterG)} ml.`;
    case 'half-now':
      return `It drinks ${sayShare(reason.drunkShare)} of it: half now, half at the end.`;
    case 'limp':
      return `Limp after about ${sayDuration(reason.minutes * 60)}: the ${short(reason.index)}. Dress it later.`;
    case 'pool':
      return `${percent(reason.share)} runs to the bottom: toss once more as it is served, or take less.`;
    case 'warm-runs':
      return `Let the ${short(reason.index)} cool to lukewarm first: cream and yolk run when they are hot.`;
    case 'warm-mellows':
      return `On the warm ${short(reason.index)} raw garlic and onion smell more and bite less: taste it there before more goes in.`;
    case 'time-and-cold':
      return `Dressed, ${listed(reason.indexes.map(short))} may stand out 4 hours in a service, 2 at home: then throw it away. An estimate; your local code decides.`;
  }
}

/** What this dish has taught, in a sentence; empty where it has taught nothing that a cook would act on. */
export function sayDishLesson({ mlTimes, saltTimes, bowls, tooSalty }: DishLesson): string {
  if (bowls === 0) return '';
  const count = bowls === 1 ? 'One bowl of this dish' : `${bowls} bowls of this dish`;
  const by = Math.round((mlTimes - 1) * 100);
  const amount =
    Math.abs(by) < 3
      ? 'as much as its things take'
      : `${Math.abs(by)} % ${by > 0 ? 'more' : 'less'} than its things take`;
  const salt =
    tooSalty > 0
      ? ` Too salty ${tooSalty === bowls ? (bowls === 1 ? 'then' : 'each time') : `${tooSalty} of ${bowls} times`}: aimed ${percent(1 - saltTimes)} lower.`
      : '';
  return `${count}: ${amount}.${salt}`;
}
