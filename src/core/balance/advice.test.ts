import { describe, expect, it } from 'vitest';
import { adviceOf, landsRight, type Remedy } from '.';

const remedy = (score: number | null, more: Partial<Remedy> = {}): Remedy =>
  ({ planId: 'balance', doses: [], effect: { score }, burden: 1, ...more }) as unknown as Remedy;

describe('what is advised first', () => {
  it('is the least that lands right, though something smaller only helps', () => {
    const [small, whole, larger] = [remedy(80), remedy(99.5), remedy(100)];
    expect(adviceOf([small, whole, larger])).toBe(whole);
    expect([small, whole].map(landsRight)).toEqual([false, true]);
  });

  it('is what helps where nothing lands right, and nothing where nothing helps', () => {
    const part = remedy(100, { partial: true });
    expect(adviceOf([part, remedy(60)])).toBe(part);
    expect(adviceOf([remedy(null)])).not.toBeNull();
    expect(landsRight(remedy(null))).toBe(false);
    expect(adviceOf([])).toBeNull();
  });
});
