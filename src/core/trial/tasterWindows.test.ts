import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REFERENCE_CATALOGUE } from '#core/ingredient';
import { STYLES } from '#core/palate';
import { observationsOf, shiftedStyle } from '.';
import { added, line, logOf, tasted } from './testing';

describe('the taster moves the windows', () => {
  const style = { ...STYLES[0]!, windows: { acid: { low: 0.01, high: 0.02 } } };
  const says = (value: number, word: 'too-much' | 'too-little' | 'right') =>
    ({ measure: 'acid', value, says: word }) as const;
  it('an edge moves by a share of what was said inside it, more with each tasting', () => {
    const once = shiftedStyle(style, [says(0.018, 'too-much')]);
    // Wanted: below 0.018 by half a step, 0.017; a quarter of the way from 0.02.
    expect(once.shifts).toEqual([
      { measure: 'acid', end: 'high', from: 0.02, to: expect.closeTo(0.01925, 9) as number, count: 1 },
    ]);
    const often = shiftedStyle(
      style,
      Array.from({ length: 9 }, () => says(0.018, 'too-much')),
    );
    expect(often.style.windows.acid!.high).toBeCloseTo(0.02 - 0.003 * (9 / 12), 9);
    expect(shiftedStyle(style, [says(0.012, 'too-little')]).style.windows.acid!.low).toBeGreaterThan(0.01);
    expect(shiftedStyle(style, [says(0.024, 'right')]).style.windows.acid!.high).toBeCloseTo(0.021, 9);
  });
  it('what the window says already moves nothing, and nothing turns it inside out', () => {
    expect(
      shiftedStyle(style, [says(0.03, 'too-much'), says(0.015, 'right'), says(0.005, 'too-little')]).shifts,
    ).toEqual([]);
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.double({ min: 0, max: 0.04, noNaN: true }),
            fc.constantFrom('too-much', 'too-little', 'right'),
          ),
          { maxLength: 40 },
        ),
        (said) => {
          const { acid } = shiftedStyle(
            style,
            said.map(([value, word]) => says(value, word as 'right')),
          ).style.windows;
          expect(acid!.low).toBeGreaterThanOrEqual(0);
          expect(acid!.high).toBeGreaterThan(acid!.low);
        },
      ),
    );
  });
  it('reads what was said of the jar as it stood then', () => {
    const JAR = [line('olive_ev', 82), line('vin_redwine6', 30)];
    const log = logOf([
      tasted({ rows: { acid: 1, bite: 2 }, bite: 'mustard' }),
      added(line('olive_ev', 50)),
      tasted({ right: true }),
    ]);
    const found = observationsOf(JAR, log, REFERENCE_CATALOGUE);
    const acids = found.filter(({ measure }) => measure === 'acid');
    expect(acids.map(({ says: word }) => word)).toEqual(['too-much', 'right']);
    expect(acids[1]!.value).toBeLessThan(acids[0]!.value);
    expect(found.some(({ measure, says: word }) => measure === 'mustard' && word === 'too-much')).toBe(true);
  });
});
