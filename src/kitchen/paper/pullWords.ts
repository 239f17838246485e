/** What is fetched, in the units it is bought in. */
import { paperWords } from '#words/screens/paper';
import type { Settings } from '#contract';
import type { PullLine } from '#core/batch';
import { sayCounted } from '#words/batch';
import { formatMass, formatVolume } from '#words/numbers';

/** As it is fetched: "13 (10 to 20) lemons", "5.8 l", "640 g". */
export function sayNeeded(line: PullLine, settings: Settings): string {
  const counted = sayCounted(line);
  if (counted) return counted;
  return line.unit.kind === 'litres'
    ? formatVolume(line.neededMl, settings)
    : formatMass(line.asBoughtG, settings);
}

export function sayShort(line: PullLine, settings: Settings): string {
  if (line.shortG === null) return paperWords.stockNotKnown;
  if (line.shortG <= 0) return '';
  const counted = sayCounted({ unit: line.unit, count: line.shortCount });
  const share = line.shortG / line.neededG;
  const rest =
    line.unit.kind === 'litres'
      ? formatVolume(line.neededMl * share, settings)
      : formatMass(line.asBoughtG * share, settings);
  return paperWords.partShort(counted ?? rest);
}
