/**
 * Exact range of N/D = Σ a_i x_i / Σ b_i x_i while every x_i lies in [low_i, high_i].
 *
 * A linear-fractional function is quasi-monotone in each x_i, so its extremes lie on corners; the
 * right corner is found by Dinkelbach's iteration (Management Science 13, 1967): for the present
 * value λ take x_i high where a_i − λ b_i favours it, else low, and repeat until λ stands still.
 * Valid for b_i ≥ 0.
 */
export interface UncertainTerm {
  readonly numerator: number;
  readonly denominator: number;
  readonly low: number;
  readonly high: number;
}

/** The extreme of N/D in the wanted direction; null where D can vanish there (the value is unbounded or undefined). */
export function fractionExtreme(terms: readonly UncertainTerm[], direction: 'low' | 'high'): number | null {
  const sign = direction === 'high' ? 1 : -1;
  let lambda = ratioAt(terms, () => false);
  if (lambda === null) {
    // Every uncertain amount at its low end leaves no denominator.
    lambda = ratioAt(terms, () => true);
    if (lambda === null || direction === 'high') return null;
  }
  for (let i = 0; i < 50; i++) {
    const current = lambda;
    const next = ratioAt(terms, (t) => sign * (t.numerator - current * t.denominator) > 0);
    if (next === null) return null;
    if (Math.abs(next - current) <= 1e-15 * Math.max(1, Math.abs(current))) return next;
    lambda = next;
  }
  return lambda;
}

function ratioAt(terms: readonly UncertainTerm[], takeHigh: (term: UncertainTerm) => boolean): number | null {
  let numerator = 0;
  let denominator = 0;
  for (const term of terms) {
    const x = takeHigh(term) ? term.high : term.low;
    numerator += term.numerator * x;
    denominator += term.denominator * x;
  }
  return denominator > 0 ? numerator / denominator : null;
}
