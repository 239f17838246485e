import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  formatAmount,
  formatMoney,
  formatPercent,
  formatRatio,
  formatSpan,
  inSentence,
} from '#words/numbers';
import { readDecimal } from './readDecimal';

const point = { decimalSign: 'point', currency: '€' } as const;
const comma = { decimalSign: 'comma', currency: '€' } as const;

describe('numbers on the screen', () => {
  it.each([
    [formatAmount(0.366, 'g', point), '0.37 g'],
    [formatAmount(5.53, 'g', comma), '5,5 g'],
    [formatAmount(374.2, 'g', point), '374 g'],
    [formatAmount(91.04, 'ml', point), '91 ml'],
    [formatPercent(0.0164, point), '1.6 %'],
    [formatPercent(null, point), '–'],
    [formatRatio(2.667, comma), '2,7 : 1'],
    [formatRatio(0.901, point), '0.90 : 1'],
    [formatRatio(null, point), '–'],
    [formatMoney(2.9, comma), '€ 2,90'],
    [inSentence('Red wine vinegar 6 %'), 'red wine vinegar 6 %'],
  ])('%s', (shown, wanted) => {
    expect(shown).toBe(wanted);
  });
  it('shows a span only where there is one', () => {
    const show = (value: number) => value.toFixed(1);
    expect(formatSpan(1, 2, show)).toBe('1.0 to 2.0');
    expect(formatSpan(1.01, 1.02, show)).toBeNull();
    expect(formatSpan(1, null, show)).toBe('1.0 to no limit');
    expect(formatSpan(null, null, show)).toBeNull();
  });
});

describe('a number as typed', () => {
  it('is read with comma or point, and nothing else', () => {
    expect([readDecimal('4,2'), readDecimal(' .5 '), readDecimal('7.')]).toEqual([4.2, 0.5, 7]);
    for (const text of ['', 'a lot', '1.2.3', '1e5', 'NaN', 'Infinity', '0x10', '1,2,3']) {
      expect(readDecimal(text), text).toBeNull();
    }
  });
  it('is never NaN', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const value = readDecimal(text);
        expect(value === null || Number.isFinite(value)).toBe(true);
      }),
    );
  });
});
