/** What the separation column is cut into: drop sizes, cell heights, and how fast each size rises alone. */
export const GRAVITY = 9.81;
/** The lowest cell is no taller than this: there the first layer is read. */
const FINE_CELL_M = 0.25e-3;

export interface Sizes {
  readonly d: Float64Array;
  readonly weight: Float64Array;
  /** ln of the ratio between classes. */
  readonly lnRatio: number;
}

/** Size classes, geometric, log-normal by volume, so that Σw/Σ(w/d) is exactly d32. */
export function sizeClasses(d32: number, spread: number, classes: number): Sizes {
  if (!(spread > 0) || classes === 1) {
    return { d: Float64Array.of(d32), weight: Float64Array.of(1), lnRatio: 1 };
  }
  const median = d32 * Math.exp(spread ** 2 / 2);
  const top = Math.min(3e-3, Math.max(1e-3, 30 * d32));
  const [low, high] = [median * Math.exp(-2.3 * spread), Math.max(top, median * Math.exp(2.6 * spread))];
  const lnRatio = Math.log(high / low) / (classes - 1);
  const d = Float64Array.from({ length: classes }, (_, i) => low * Math.exp(lnRatio * i));
  const weight = d.map((size) => Math.exp(-(Math.log(size / median) ** 2) / (2 * spread ** 2)));
  const total = weight.reduce((sum, w) => sum + w, 0);
  let perD = 0;
  for (let i = 0; i < classes; i++) {
    weight[i]! /= total;
    perD += weight[i]! / d[i]!;
  }
  const scale = d32 * perD;
  return { d: d.map((size) => size * scale), weight, lnRatio };
}

/** Rise of a lone drop, m/s. */
export function risingVelocityMPerS(
  diameterM: number,
  densityDifference: number,
  viscosityPaS: number,
  densityKgPerM3: number,
  stokesOnly = false,
): number {
  const stokes = (densityDifference * GRAVITY * diameterM ** 2) / (18 * viscosityPaS);
  if (stokesOnly) return stokes;
  let v = stokes;
  for (let i = 0; i < 40; i++) {
    const reynolds = (densityKgPerM3 * v * diameterM) / viscosityPaS;
    v = 0.5 * (v + stokes / (1 + 0.15 * reynolds ** 0.687));
  }
  return v;
}

/** Fine at the bottom, where the first layer is read; geometric growth upwards. */
export function cellHeights(heightM: number, cells: number): Float64Array {
  const first = Math.min(heightM / cells, FINE_CELL_M);
  const sumFor = (growth: number): number =>
    Math.abs(growth - 1) < 1e-12 ? first * cells : (first * (growth ** cells - 1)) / (growth - 1);
  let [low, high] = [1, 1.5];
  for (let i = 0; i < 100; i++) {
    const middle = 0.5 * (low + high);
    if (sumFor(middle) < heightM) low = middle;
    else high = middle;
  }
  const growth = first * cells >= heightM * (1 - 1e-12) ? 1 : low;
  const dz = Float64Array.from({ length: cells }, (_, j) => first * growth ** j);
  const scale = heightM / dz.reduce((sum, h) => sum + h, 0);
  return dz.map((h) => h * scale);
}
