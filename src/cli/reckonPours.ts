/** What a scale showed over time, one reading a line, to what went in. */
import { stepOf, watchPours, type DisplayReading, type Pour } from '#core/pour';

/** A line that is no reading. */
export class NoReading extends Error {
  constructor(
    readonly line: number,
    readonly text: string,
  ) {
    super(text);
  }
}

/** "12.4,86.5": seconds and grams as the display shows them; a first line of words, blanks and "#" are passed over. */
export function readingsIn(text: string): readonly DisplayReading[] {
  const readings: DisplayReading[] = [];
  for (const [index, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim();
    if (line === '' || line.startsWith('#') || (readings.length === 0 && /^\p{L}/u.test(line))) continue;
    const [seconds = '', grams = '', ...more] = line.split(/[,;\t]/).map((cell) => cell.trim());
    const reading = { atS: Number(seconds), grams: Number(grams) };
    const isRead =
      seconds !== '' && grams !== '' && more.length === 0 && Number.isFinite(reading.atS + reading.grams);
    if (!isRead || reading.atS < (readings.at(-1)?.atS ?? -Infinity)) throw new NoReading(index + 1, line);
    readings.push(reading);
  }
  return readings;
}

const rounded = (value: number): number => Math.round(value * 1000) / 1000;

/** @throws NoReading where a line is none, or goes back in time */
export function poursOf(text: string): { readonly pours: readonly Pour[] } {
  const readings = readingsIn(text);
  return {
    pours: watchPours(readings, stepOf(readings)).pours.map(({ fromS, toS, massG, kind }) => ({
      fromS: rounded(fromS),
      toS: rounded(toS),
      massG: rounded(massG),
      kind,
    })),
  };
}
