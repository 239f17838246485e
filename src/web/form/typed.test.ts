import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { typedNumber } from './typed';

describe('a number in a field of its own', () => {
  it('takes comma and point alike', () => {
    expect(typedNumber(' 1,5 ').value).toBe(1.5);
    expect(typedNumber('1.5').value).toBe(1.5);
  });

  it.each([
    ['0', { above: 0 }],
    ['61', { from: -5, to: 60 }],
    ['-6', { from: -5, to: 60 }],
    ['2.5', { whole: true }],
    ['NaN', {}],
    ['1e400', {}],
    ['twelve', {}],
  ])('%s outside %o is wrong, and no value', (text, bounds) => {
    expect(typedNumber(text, bounds)).toEqual({ value: null, fits: false, blank: false, wrong: true });
  });

  it('an empty field is not wrong, only empty', () => {
    expect(typedNumber('  ', { above: 0 })).toEqual({ value: null, fits: false, blank: true, wrong: false });
  });

  it('never gives a value outside its bounds', () => {
    fc.assert(
      fc.property(
        fc.string(),
        fc.integer({ min: -50, max: 0 }),
        fc.integer({ min: 1, max: 50 }),
        (text, from, to) => {
          const { value, fits } = typedNumber(text, { from, to });
          expect(value === null || (value >= from && value <= to)).toBe(true);
          expect(fits).toBe(value !== null);
        },
      ),
    );
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 40 }), (value) => {
        expect(typedNumber(String(value), { from: -40, to: 40 }).value).toBe(value);
      }),
    );
  });
});
