/** Which mark stands for a measure, what its sentence says, and how it is reckoned. */
import {
  palateContributions,
  type PalateKey,
  type PalatePortion,
  type PalateValue,
  type PalateWindow,
} from '#core/palate';
import { MEASURE_WORDS, sayMeasure } from './palate';
import type { KitchenComponent } from '#core/ingredient';
import type { DecimalSign } from '#core/quantity';
import { inSentence } from './numbers';

export const MARKS: Record<PalateKey, KitchenComponent> = {
  acid: 'acid',
  ratio: 'oil',
  salt: 'salt',
  sweet: 'sweet',
  sugarToAcid: 'sweet',
  fat: 'oil',
  body: 'body',
  garlic: 'aroma',
  heat: 'aroma',
  mustard: 'aroma',
  bitter: 'oil',
};

export const showMeasure = (key: PalateKey, value: number | null, decimalSign: DecimalSign): string => {
  if (value === null) return '–';
  if (key === 'garlic') return sayGarlic(value, decimalSign);
  const { unit } = MEASURE_WORDS[key];
  const figure = sayMeasure(key, value);
  return `${decimalSign === 'comma' ? figure.replace('.', ',') : figure} ${unit}`.trim();
};

/** g of a peeled clove (common practice: three to seven), by which a share of raw garlic is told. */
const CLOVE_G = 5;
const CLOVE_WORDS = [
  { below: 0.003, word: 'hardly any' },
  { below: 0.01, word: 'gentle' },
  { below: 0.025, word: 'clear' },
  { below: Infinity, word: 'strong' },
] as const;
/** "clear: a clove in 300 ml": what a share of raw garlic, or its like in onion, comes to. @param share 0..1 */
function sayGarlic(share: number, decimalSign: DecimalSign): string {
  if (share < 0.0005) return 'none';
  const { word } = CLOVE_WORDS.find(({ below }) => share < below)!;
  const inMl = Number((CLOVE_G / share).toPrecision(2));
  const inWords =
    inMl >= 1000
      ? `${(inMl / 1000).toFixed(1).replace('.', decimalSign === 'comma' ? ',' : '.')} l`
      : `${inMl} ml`;
  return `${word}: a clove in ${inWords}`;
}

/** "Garlic, raw, peeled" is garlic in a sentence. */
export const shortName = (name: string): string => inSentence(name.split(',')[0]!);

/** Right for the style or how far out, and who brings most. */
export function sentenceFor(
  key: PalateKey,
  { value }: PalateValue,
  window: PalateWindow | undefined,
  portions: readonly PalatePortion[],
): string {
  if (value === null) return 'Not defined for what is in the jar.';
  const who = contributor(key, portions);
  if (!window) return who;
  const { low, high } = MEASURE_WORDS[key];
  const outside = Math.max(window.low - value, value - window.high, 0);
  if (outside < 1e-9) return `Right for this style. ${who}`;
  const touch = outside <= (window.high - window.low) / 4 ? 'a touch ' : '';
  const word = value > window.high ? high : low;
  const sentence = `${touch}${word} for this style.`;
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)} ${who}`;
}

function contributor(key: PalateKey, portions: readonly PalatePortion[]): string {
  const [first, second] = palateContributions(portions, key);
  if (!first) return 'Nothing brings any.';
  const name = (share: typeof first): string => shortName(share.portion.ingredient.name);
  if (first.share > 0.97) return `All of it from ${name(first)}.`;
  const percent = Math.round(first.share * 100);
  return `${percent} % from ${name(first)}${second ? `, then ${name(second)}` : ''}.`;
}

export const HOW: Record<PalateKey, { formula: string; source: string }> = {
  acid: {
    formula:
      'Tasted acidity: the organic acids still titratable, in meq, times 0.060052 g, over the mass of the whole. Cheese and yolk do not count as sour.',
    source:
      'Arithmetic on table acids; which acids are tasted is an estimate (Neta et al. 2007, from memory).',
  },
  ratio: {
    formula:
      'Poured oils over vinegars and citrus juices, both as poured. Oil inside mayonnaise does not count.',
    source: 'Arithmetic; windows of the schools: common practice.',
  },
  salt: {
    formula: 'All sodium counted as salt (sodium × 2.54), hidden salt included, over the mass of the whole.',
    source: 'Table values; the factor is Regulation (EU) 1169/2011.',
  },
  sweet: {
    formula:
      'Sucrose 1, fructose 1.2, glucose 0.7, lactose 0.2, substitutes by their own sweetness, over the whole.',
    source: 'Relative sweetness from memory of handbook ranges: fructose 1.1 to 1.7, glucose 0.6 to 0.75.',
  },
  sugarToAcid: {
    formula: 'Sweetness in g over tasted acidity in g as acetic.',
    source: 'Arithmetic on the two.',
  },
  fat: {
    formula: 'All fat over the mass of the whole; poured oil apart from fat that came hidden.',
    source: 'Table values.',
  },
  body: {
    formula:
      'An index: each ingredient’s body, by weight. A ranking, not a viscosity; emulsified oil thickens more than it says.',
    source: 'Estimate.',
  },
  garlic: {
    formula:
      'Garlic 1, powder 2.3, shallot and onion 0.15, scallion 0.10, chives 0.08, times what was done to it.',
    source: 'Estimate; to be calibrated by tasting. Form changes the bite only, never the care it needs.',
  },
  heat: {
    formula:
      'Chilli flakes 1, cayenne 1.5, pepper 0.10, fresh chillies and hot sauce 0.06 to 0.15; without seeds half.',
    source: 'Estimate; chillies differ tenfold.',
  },
  mustard: {
    formula: 'Powder 1, wasabi-type 0.6, horseradish 0.5, Dijon-type 0.30, wholegrain 0.12.',
    source: 'Estimate.',
  },
  bitter: {
    formula:
      'The share of the whole that is extra-virgin-like oil: extra-virgin 1, flax 0.6, walnut 0.5, sesame 0.3.',
    source: 'Estimate; blending hard brings it out, stirring does not.',
  },
};
