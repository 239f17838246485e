/** Counting by chance: the binomial distribution, by sums of logarithms so that large panels stay exact. */

function logFactorials(n: number): readonly number[] {
  const found = [0];
  for (let i = 1; i <= n; i++) found.push(found[i - 1]! + Math.log(i));
  return found;
}

/**
 * P(X ≥ k) of n tries at chance p each.
 * @throws RangeError where n is no whole number from 0, k no whole number, or p not within 0..1
 */
export function upperTail(k: number, n: number, p: number): number {
  if (!Number.isInteger(n) || n < 0 || !Number.isInteger(k) || !(p >= 0 && p <= 1))
    throw new RangeError('Counts are whole numbers, a chance is from 0 to 1.');
  if (k <= 0) return 1;
  if (k > n) return 0;
  if (p === 0 || p === 1) return p;
  const logs = logFactorials(n);
  let sum = 0;
  for (let i = k; i <= n; i++) {
    sum += Math.exp(logs[n]! - logs[i]! - logs[n - i]! + i * Math.log(p) + (n - i) * Math.log1p(-p));
  }
  return Math.min(1, sum);
}

/** The smallest count that chance alone reaches no more often than `risk`; null where not even all would do. */
export function criticalCount(n: number, p: number, risk: number): number | null {
  for (let k = Math.ceil(n * p); k <= n; k++) if (upperTail(k, n, p) <= risk) return k;
  return null;
}
