import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fractionExtreme } from './fractionRange';
import { findRoot } from './root';
import { sum } from './sum';

describe('a bracketed root', () => {
  it('is found wherever it lies in a cubic', () => {
    const place = fc.double({ min: -50, max: 50, noNaN: true });
    fc.assert(
      fc.property(place, fc.double({ min: 0.01, max: 20, noNaN: true }), (root, slope) => {
        const found = findRoot((x) => (x - root) ** 3 + slope * (x - root), {
          low: -60,
          high: 61,
          tolerance: 1e-10,
        });
        expect(found.status).toBe('converged');
        if (found.status === 'converged') expect(found.x).toBeCloseTo(root, 6);
      }),
    );
  });
  it('on a side as flat as a tenth power, and at an end of the bracket', () => {
    const flat = findRoot((x) => x ** 9, { low: -1, high: 2, tolerance: 1e-9 });
    expect(flat.status === 'converged' && Math.abs(flat.x)).toBeLessThan(1e-3);
    expect(findRoot((x) => x, { low: 0, high: 1, tolerance: 1e-9 })).toEqual({ status: 'converged', x: 0 });
    expect(findRoot((x) => x - 1, { low: 0, high: 1, tolerance: 1e-9 })).toEqual({
      status: 'converged',
      x: 1,
    });
  });
  it('says where there is none between, and where it ran out of steps', () => {
    expect(findRoot((x) => x * x + 1, { low: -1, high: 1, tolerance: 1e-9 }).status).toBe('not-bracketed');
    expect(findRoot(() => NaN, { low: -1, high: 1, tolerance: 1e-9 }).status).toBe('not-bracketed');
    expect(findRoot((x) => x - 0.3, { low: 0, high: 1, tolerance: 0, maxIterations: 1 }).status).not.toBe(
      'not-bracketed',
    );
  });
});

describe('a sum', () => {
  it('does not depend on the order, however different the sizes', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1e9, max: 1e9, noNaN: true }), { maxLength: 30 }), (values) => {
        const scale = values.reduce((most, value) => Math.max(most, Math.abs(value)), 1);
        expect(Math.abs(sum(values) - sum([...values].reverse()))).toBeLessThanOrEqual(1e-15 * scale);
      }),
    );
    expect(sum([1e16, 1, -1e16])).toBe(1);
  });
});

describe('the extremes of a fraction of uncertain amounts', () => {
  it('are null where nothing is left below the line', () => {
    const terms = [{ numerator: 1, denominator: 0, low: 1, high: 2 }];
    expect([fractionExtreme(terms, 'low'), fractionExtreme(terms, 'high')]).toEqual([null, null]);
    // The acid may be nothing: the ratio has a low end and no high one.
    const mayVanish = [
      { numerator: 1, denominator: 0, low: 90, high: 90 },
      { numerator: 0, denominator: 1, low: 0, high: 30 },
    ];
    expect(fractionExtreme(mayVanish, 'high')).toBeNull();
  });
  it('bound every amount in between', () => {
    const amount = fc.double({ min: 0.1, max: 100, noNaN: true });
    const term = fc.record({
      numerator: fc.double({ min: 0, max: 5, noNaN: true }),
      denominator: fc.double({ min: 0.1, max: 5, noNaN: true }),
      a: amount,
      b: amount,
    });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(term, fc.double({ min: 0, max: 1, noNaN: true })), { minLength: 1, maxLength: 8 }),
        (list) => {
          const terms = list.map(([{ a, b, ...rest }]) => ({
            ...rest,
            low: Math.min(a, b),
            high: Math.max(a, b),
          }));
          const [low, high] = [fractionExtreme(terms, 'low')!, fractionExtreme(terms, 'high')!];
          let [n, d] = [0, 0];
          terms.forEach(({ numerator, denominator, low: from, high: to }, i) => {
            const x = from + list[i]![1] * (to - from);
            n += numerator * x;
            d += denominator * x;
          });
          expect(n / d).toBeGreaterThanOrEqual(low - 1e-9);
          expect(n / d).toBeLessThanOrEqual(high + 1e-9);
        },
      ),
    );
  });
});
