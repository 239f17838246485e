/** Compensated (Neumaier) sum, so that the order of additions never shows in a total. */
export function sum(values: readonly number[]): number {
  let total = 0;
  let lost = 0;
  for (const value of values) {
    const next = total + value;
    lost += Math.abs(total) >= Math.abs(value) ? total - next + value : value - next + total;
    total = next;
  }
  return total + lost;
}
