/** What a scale's display shows over time, how finely, and how far it flickers. */
export interface DisplayReading {
  /** Seconds; never falling. */
  readonly atS: number;
  /** As the display shows it, g. */
  readonly grams: number;
}

export const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
};

/**
 * The step of a display nobody told of, g: the smallest change it shows; 0.1 where nothing moved.
 */
export function stepOf(readings: readonly DisplayReading[]): number {
  let step = Infinity;
  for (let i = 1; i < readings.length; i++) {
    const by = Math.abs(readings[i]!.grams - readings[i - 1]!.grams);
    if (by > 1e-6 && by < step) step = by;
  }
  return Number.isFinite(step) ? Math.max(0.01, step) : 0.1;
}

export interface Fineness {
  readonly stepG: number;
  readonly noiseG: number;
  readonly thresholdG: number;
}

/**
 * How far a reading at rest lies off, g: from the middle of all bends, which a steady stream has none of. A rounded
 * display never says less than its step does.
 */
export function noiseOf(readings: readonly DisplayReading[], stepG: number): number {
  const bends = readings
    .slice(2)
    .map(({ grams }, i) => Math.abs(grams - 2 * readings[i + 1]!.grams + readings[i]!.grams));
  const noiseG = bends.length > 0 ? median(bends) / 0.6745 / Math.sqrt(6) : 0;
  return Math.min(0.8 * stepG, Math.max(0.4 * stepG, noiseG));
}
