/** The result as a table for a person at a terminal. */
import { MEASURE_KEYS, type MeasureKey } from '#core/composition';
import { sensibleDecimals } from '#core/quantity';
import { sayPh } from '#words/acidity';
import { ASIDE_WORDS } from '#words/reading';
import { commandLineWords } from '#words/screens/commandLine';
import type { ReckonResult } from './reckonText';

const LABELS: Record<MeasureKey, string> = {
  oilToAcidVolumeRatio: commandLineWords.oilToAcidByVolume,
  oilToAcidMassRatio: commandLineWords.oilToAcidByWeight,
  oilMassFraction: commandLineWords.pouredOil,
  fatMassFraction: commandLineWords.allFat,
  oilVolumeFraction: commandLineWords.pouredOilByVolume,
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
    const spread =
      massG.low === massG.high ? '' : commandLineWords.gramsToGrams2G(grams(massG.low), grams(massG.high));
    const share = result.massG > 0 ? `${((massG.nominal / result.massG) * 100).toFixed(1)} %` : '-';
    const line = `${text.padEnd(42)} ${grams(massG.nominal).padStart(7)} g ${share.padStart(7)}${spread}`;
    return [line, ...doubts.map((doubt) => `    ? ${doubt}`)].join('\n');
  });
  const unread = result.unread.map(({ line, text, message }) =>
    commandLineWords.lineLineNotReadText(line, text, message),
  );
  const totals = [
    ['mass', `${grams(result.massG)} g`],
    [commandLineWords.volumeOnceMixed, commandLineWords.gramsMl(grams(result.mixedVolumeMl))],
    ...MEASURE_KEYS.map((key) => {
      const { low, high } = result.ranges[key];
      const [from, to] = [show(key, low), show(key, high)];
      const spread = from === to ? '' : commandLineWords.fromToTo(from, to);
      return [LABELS[key], show(key, result[key]) + spread];
    }),
  ].map(([label, value]) => `${label!.padEnd(24)} ${value}`);
  const aside = result.setAside.map(({ line, text, why }) =>
    commandLineWords.lineSetAside(line, text, ASIDE_WORDS[why]),
  );
  return [...rows, ...unread, ...aside, '', ...totals, ...judged(result), ''].join('\n');
}

function judged(result: ReckonResult): readonly string[] {
  if (result.additions.length === 0) return [];
  const { allergens, verdict } = result;
  const acid = result.tastedAcidityAsAceticMassFraction;
  const list = (words: readonly string[]): string =>
    words.join(', ') || (allergens.complete ? commandLineWords.noneKnown : '-');
  return [
    `${commandLineWords.acidityAsAcetic.padEnd(24)} ${acid === null ? '-' : `${(acid * 100).toFixed(2)} %`}`,
    '',
    sayPh(result.ph),
    result.keepingDays.message,
    ...(allergens.complete
      ? []
      : [commandLineWords.allergensNotCompleteMissing(allergens.missing.join('; '))]),
    commandLineWords.allergensEuListMayBe(list(allergens.eu14), list(allergens.mayBeIn)),
    ...(allergens.probableEu14.length > 0
      ? [commandLineWords.probablyProbableeu14(allergens.probableEu14.join(', '))]
      : []),
    ...result.cautions.map(({ message }) => `- ${message}`),
    ...(verdict ? ['', commandLineWords.scoreOf100InStyle(verdict.score, verdict.style)] : []),
    ...(verdict?.reasons.map(({ message }) => `- ${message}`) ?? []),
  ];
}
