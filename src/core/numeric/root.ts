/**
 * Bracketed root of a continuous function: secant steps (regula falsi) kept inside the bracket,
 * every third step a plain halving, so that a flat side never stalls it.
 */
export type RootResult =
  | { readonly status: 'converged'; readonly x: number }
  | { readonly status: 'not-bracketed' }
  | { readonly status: 'limit'; readonly x: number };

export interface RootOptions {
  readonly low: number;
  readonly high: number;
  /** Width of the bracket, in the unit of x, at which the search ends. */
  readonly tolerance: number;
  readonly maxIterations?: number;
}

/** Finds x in [low, high] with f(x) = 0. Says whether it converged; never throws, never returns NaN as converged. */
export function findRoot(f: (x: number) => number, options: RootOptions): RootResult {
  let { low, high } = options;
  let fLow = f(low);
  let fHigh = f(high);
  if (fLow === 0) return { status: 'converged', x: low };
  if (fHigh === 0) return { status: 'converged', x: high };
  // Signs, not products: a product of two tiny values would vanish.
  if (!(Math.sign(fLow) * Math.sign(fHigh) < 0)) return { status: 'not-bracketed' };
  const limit = options.maxIterations ?? 300;
  for (let i = 1; i <= limit; i++) {
    const secant = (low * fHigh - high * fLow) / (fHigh - fLow);
    const x = i % 3 === 0 || !(secant > low && secant < high) ? (low + high) / 2 : secant;
    const fx = f(x);
    if (fx === 0) return { status: 'converged', x };
    if (Math.sign(fx) !== Math.sign(fLow)) [high, fHigh] = [x, fx];
    else [low, fLow] = [x, fx];
    if (high - low < options.tolerance) return { status: 'converged', x: (low + high) / 2 };
  }
  return { status: 'limit', x: (low + high) / 2 };
}
