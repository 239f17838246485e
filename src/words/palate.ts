/** The measures in a cook's words, with the numbers trade people use. Rendered here and nowhere else. */
import { spoken } from './tongue';
import {
  A_HAIR,
  bandOfScore,
  type PalateKey,
  type ScoreBand,
  type Style,
  type VerdictReason,
} from '#core/palate';

export interface MeasureWords {
  readonly title: string;
  readonly unit: string;
  readonly low: string;
  readonly high: string;
  readonly decimals: number;
  /** From the core's unit to the shown one. */
  readonly factor: number;
}

const percent = (title: string, unit: string, low: string, high: string, decimals = 1): MeasureWords => ({
  title,
  unit: `% ${unit}`.trim(),
  low,
  high,
  decimals,
  factor: 100,
});
const index = (title: string, low: string, high: string, unit = '', decimals = 1): MeasureWords => ({
  title,
  unit,
  low,
  high,
  decimals,
  factor: 1,
});

export const MEASURE_WORDS: Readonly<Record<PalateKey, MeasureWords>> = spoken('measures', {
  acid: percent('Sharpness', 'acid', 'mild', 'sharp', 2),
  ratio: index('Oil to acid', 'lean in oil', 'oily', ': 1'),
  salt: percent('Salt', 'salt', 'flat', 'salty', 2),
  sweet: percent('Sweetness', 'as sugar', 'not sweet enough', 'sweet'),
  sugarToAcid: index('Sugar to acid', 'tart', 'sweet for its acid'),
  fat: percent('Richness', 'fat', 'lean', 'rich', 0),
  body: index('Body', 'thin', 'thick', 'of 70', 0),
  garlic: percent('Garlic and onion', 'as raw garlic', 'faint', 'harsh', 2),
  heat: percent('Heat', 'as chilli', 'faint', 'hot', 3),
  mustard: percent('Mustard bite', 'as mustard', 'faint', 'strong', 2),
  bitter: percent('Bitter oil', 'extra-virgin-like', 'mild', 'bitter if blended hard', 0),
});

/** The number as shown, without its unit; decimal point. */
export function sayMeasure(key: PalateKey, value: number): string {
  const { factor, decimals } = MEASURE_WORDS[key];
  return (value * factor).toFixed(decimals);
}

const THAN: Readonly<Record<PalateKey, readonly [less: string, more: string]>> = {
  acid: ['milder', 'sharper'],
  ratio: ['less oil to its acid', 'more oil to its acid'],
  salt: ['less salty', 'saltier'],
  sweet: ['less sweet', 'sweeter'],
  sugarToAcid: ['more tart', 'rounder'],
  fat: ['leaner', 'richer'],
  body: ['thinner', 'thicker'],
  garlic: ['less garlic or onion', 'more garlic or onion'],
  heat: ['less hot', 'hotter'],
  mustard: ['less mustard', 'more mustard'],
  bitter: ['less bitter', 'more bitter'],
};
/** Steps from which on a difference is said to be large. */
const MUCH_STEPS = 3;
/** "much sharper, leaner": against another dressing, in steps that a taster notices. */
export const sayDiffers = (
  differs: readonly { readonly measure: PalateKey; readonly steps: number }[],
): string =>
  differs
    .map(({ measure, steps }) => {
      const word = THAN[measure][steps > 0 ? 1 : 0];
      if (Math.abs(steps) < MUCH_STEPS || /^(?:less|more)/.test(word)) return word;
      return `much ${word}`;
    })
    .join(', ');

/** "Salt 3.40 % salt is high: window 1.20 to 1.80, 1.60 too much." What is a hair outside is said to be. */
export function sayReason({ measure, direction, value, low, high, moveBy }: VerdictReason): string {
  const { title, unit } = MEASURE_WORDS[measure];
  const shown = `${sayMeasure(measure, value)} ${unit}`.trim();
  const moved = sayMeasure(measure, moveBy);
  const much = direction === 'high' ? 'too much' : 'too little';
  const by = Number(moved) === 0 ? `a hair ${much}` : `${moved} ${much}`;
  return `${title} ${shown} is ${direction === 'high' ? 'high' : 'low'}: window ${sayMeasure(measure, low)} to ${sayMeasure(measure, high)}, ${by}.`;
}

const NEAR_WORDS: Readonly<Record<ScoreBand, string>> = spoken('near', {
  inside: 'Right for',
  served: 'Nearly',
  doubtful: 'Not quite',
  off: 'Far from',
});
/** "Nearly Classic, 3 : 1": how near a dressing is to a style, in a word. @param score 0..100 */
export function sayNear(score: number, style: Pick<Style, 'name'>): string {
  return `${NEAR_WORDS[score >= A_HAIR ? 'inside' : bandOfScore(score)]} ${style.name}`;
}

/** What a style that ships with the application is like. */
const STYLE_SAYS: Readonly<Record<string, string>> = {
  classic_3_1: 'Oil leads, a clean sharp edge.',
  sharp_2_1: 'More vinegar; mustard or a little sweetness holds it.',
  brisk_1_5_1: 'Lively, with a sweetener against it.',
  equal_mild: 'Sweet or weak vinegars carry as much acid as oil.',
  lemon_oil: 'Citrus only, sharp and short-lived.',
  sweet_fruit: 'Fruit, honey or sugar to the fore.',
  creamy_yoghurt: 'Cold, light, little oil.',
  mayo_buttermilk: 'Herbs and alliums in a pourable cream.',
  mayo_pink: 'Sweet-sour and thick, with pickle.',
  mayo_blue: 'Soured cream, mayonnaise and blue cheese.',
  mayo_mustard: 'Light mayonnaise, sweet and hot.',
  yolk_built: 'Much oil beaten into pasteurised yolk.',
  tahini: 'Sesame paste loosened with acid and water.',
  herb_in_oil: 'Leaves blended into oil and citrus.',
  avocado_green: 'Thick, green, for the same day.',
  herb_mayonnaise: 'Leaves, anchovy and yoghurt in mayonnaise.',
  light_soy: 'Salt from soy sauce, hardly any oil.',
  light_tofu: 'Body without cream.',
  light_thickened: 'Half the oil, body from a trace of gum.',
  mayonnaise: 'Oil held by an egg, or by what stands in for it.',
  honey_mustard: 'Sweet against hot, in oil and vinegar.',
  miso_soy_oil: 'Salt and depth from the ferment, oil to carry it.',
  nut_seed: 'A paste of nuts or seeds, loosened.',
  green_sauce: 'Leaves by the handful, chopped, sharp.',
  fruit_puree: 'The fruit is body, acid and sugar at once.',
  cream: 'Cream and something sour; sweet or with herbs.',
  warm: 'From the pan: fat, sharpness, an allium.',
};
/** In its maker's words, or in those of the house. */
export const sayStyle = ({ id, says }: Pick<Style, 'id' | 'says'>): string => says || (STYLE_SAYS[id] ?? '');
