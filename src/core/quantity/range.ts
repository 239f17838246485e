/** A value with what it may be: nominal is what is reckoned with, low and high bound it. low ≤ nominal ≤ high. */
export interface Range {
  readonly nominal: number;
  readonly low: number;
  readonly high: number;
}

export const exactly = (value: number): Range => ({ nominal: value, low: value, high: value });

/** "2 to 3": the middle is reckoned with. The order in which the two were typed does not matter. */
export const between = (a: number, b: number): Range => ({
  nominal: (a + b) / 2,
  low: Math.min(a, b),
  high: Math.max(a, b),
});

export const range = (nominal: number, low: number, high: number): Range => ({
  nominal,
  low,
  high,
});

/** Product of two non-negative ranges. */
export const times = (a: Range, b: Range): Range => ({
  nominal: a.nominal * b.nominal,
  low: a.low * b.low,
  high: a.high * b.high,
});

export const scaled = (a: Range, factor: number): Range => ({
  nominal: a.nominal * factor,
  low: a.low * factor,
  high: a.high * factor,
});

export const plus = (a: Range, b: Range): Range => ({
  nominal: a.nominal + b.nominal,
  low: a.low + b.low,
  high: a.high + b.high,
});

/** The first without the second: as little, and as much, as may be left. */
export const less = (a: Range, b: Range): Range => ({
  nominal: a.nominal - b.nominal,
  low: a.low - b.high,
  high: a.high - b.low,
});

export const isExact = (a: Range): boolean => a.low === a.high;
