/** The result as a table for a person at a terminal. */
import { MEASURE_KEYS, type MeasureKey } from '#core/composition';
import { sensibleDecimals } from '#core/quantity';
import { sayPh } from '#words/safety';
import type { ReckonResult } from './reckonText';

const LABELS: Record<MeasureKey, string> = {
  oilToAcidVolumeRatio: 'oil to acid by volume',
  oilToAcidMassRatio: 'oil to acid by weight',
  oilMassFraction: 'poured oil',
  fatMassFraction: 'all fat',
  oilVolumeFraction: 'poured oil by volume',
  waterMassFraction: 'water',
  saltEquivalentMassFraction: 'salt',
  sugarMassFraction: 'sugars',
};

const grams = (value: number): string => value.toFixed(sensibleDecimals(value));

function show(key: MeasureKey, value: number | null): string {
  if (value === null) return '-';
  return key.endsWith('Ratio') ? `${value.toFixed(2)} : 1` : `${(value * 100).toFixed(1)} %`;
}

export function printResult(result: ReckonResult): string {
  const rows = result.additions.map(({ text, massG, doubts }) => {
    const spread = massG.low === massG.high ? '' : `  (${grams(massG.low)} to ${grams(massG.high)} g)`;
    const share = result.massG > 0 ? `${((massG.nominal / result.massG) * 100).toFixed(1)} %` : '-';
    const line = `${text.padEnd(42)} ${grams(massG.nominal).padStart(7)} g ${share.padStart(7)}${spread}`;
    return [line, ...doubts.map((doubt) => `    ? ${doubt}`)].join('\n');
  });
  const unread = result.unread.map(
    ({ line, text, message }) => `line ${line} not read: ${text}\n    ! ${message}`,
  );
  const totals = [
    ['mass', `${grams(result.massG)} g`],
    ['volume once mixed', `${grams(result.mixedVolumeMl)} ml`],
    ...MEASURE_KEYS.map((key) => {
      const { low, high } = result.ranges[key];
      const [from, to] = [show(key, low), show(key, high)];
      const spread = from === to ? '' : `  (${from} to ${to})`;
      return [LABELS[key], show(key, result[key]) + spread];
    }),
  ].map(([label, value]) => `${label!.padEnd(24)} ${value}`);
  return [...rows, ...unread, '', ...totals, ...judged(result), ''].join('\n');
}

function judged(result: ReckonResult): readonly string[] {
  if (result.additions.length === 0) return [];
  const { allergens, verdict } = result;
  const acid = result.tastedAcidityAsAceticMassFraction;
  const list = (words: readonly string[]): string =>
    words.join(', ') || (allergens.complete ? 'none known' : '-');
  return [
    `${'acidity, as acetic'.padEnd(24)} ${acid === null ? '-' : `${(acid * 100).toFixed(2)} %`}`,
    '',
    sayPh(result.ph),
    result.keepingDays.message,
    ...(allergens.complete ? [] : [`Allergens not complete: ${allergens.missing.join('; ')}.`]),
    `Allergens (EU): ${list(allergens.eu14)}. May be in it: ${list(allergens.mayBeIn)}.`,
    ...(allergens.probableEu14.length > 0 ? [`Probably: ${allergens.probableEu14.join(', ')}.`] : []),
    ...result.cautions.map(({ message }) => `- ${message}`),
    ...(verdict ? ['', `${verdict.score} of 100 in ${verdict.style}`] : []),
    ...(verdict?.reasons.map(({ message }) => `- ${message}`) ?? []),
  ];
}
