/** What time does to the flavour, as sentences: made here and nowhere else. */
import type { FlavourChange, Ripening } from '#core/ripening';
import { sayDuration } from './hold';
import { inSentence } from './numbers';
import { sentencesNow } from './tongue';

export const ripeningWords = {
  timeInTheFlavour: 'Time in the flavour',
  made: 'made',
  anEstimate: 'By half-times of the trade, an estimate: your own tongue decides.',
};

const time = (minutes: number): string => sayDuration(minutes * 60);

/** "Best from 30 min to 4 h after it is made." */
export function sayBest(
  { bestFromMin: from, bestToMin: to }: Pick<Ripening, 'bestFromMin' | 'bestToMin'>,
  keepsDays: number,
): string {
  const other = sentencesNow()?.best(from, to, keepsDays);
  if (other !== undefined) return other;
  const asLongAsItKeeps = to >= keepsDays * 1440;
  if (from === 0)
    return asLongAsItKeeps
      ? 'As good at once as for as long as it keeps.'
      : `Best within ${time(to)} of being made.`;
  return asLongAsItKeeps
    ? `Best from ${time(from)} after it is made, for as long as it keeps.`
    : `Best from ${time(from)} to ${time(to)} after it is made.`;
}

/** @param name of what changes; empty where it is the whole */
export function sayChange({ code, notedMin, untilMin }: FlavourChange, name: string): string {
  const [it, at] = [inSentence(name.split(',')[0]!), time(notedMin)];
  // "The chilli flakes swell", "the oregano swells".
  const many = /[^su]s$/.test(it);
  const [s, es, its, is, comes] = many ? ['', '', 'their', 'are', 'come'] : ['s', 'es', 'its', 'is', 'comes'];
  switch (code) {
    case 'melds':
      return `Salt, acid and scent come together in about ${at}.`;
    case 'swells':
      return `The ${it} swell${s} for about ${at}: scent comes, salt and sharpness fall away a little.`;
    case 'bite-falls':
      return `The ${it} lose${s} ${its} bite in about ${at}.`;
    case 'turns-harsh':
      return `The ${it} turn${s} harsh after about ${at}.`;
    case 'steeps':
      return untilMin === null
        ? `The ${it} give${s} slowly: most of it is there after ${at}.`
        : `The ${it} ${comes} out after ${at} and give${s} no more.`;
    case 'oversteeps':
      return `Take the ${it} out within ${at}: left longer, the rest is no longer tasted.`;
    case 'fades':
      return `The ${it} go${es} dull after about ${at}: chop in late.`;
    case 'stales':
      return `The ${it} taste${s} stale after about ${at}.`;
    case 'loses-freshness':
      return `The ${it} ${is} less fresh after about ${at}.`;
    case 'heat-fades':
      return `The heat of the ${it} fades after about ${at}.`;
    case 'loses-crunch':
      return `The ${it} lose${s} ${its} crunch after about ${at}: strew over at the end.`;
  }
}
