import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatCount, nearestSpoons } from './formatAmount';
import { nudgeAmount } from './nudge';
import { parseAmount } from './parseAmount';
import { SPOON_SYSTEMS } from './spoons';
import { isVolumeUnit, unitVolumeMl } from './units';

function volumeOf(text: string, system: (typeof SPOON_SYSTEMS)[number]): number {
  const parsed = parseAmount(text, 'point');
  if (parsed.status !== 'read' || parsed.amount.kind !== 'measured') throw new Error(text);
  return parsed.amount.terms.reduce(
    (sum, { count, unit }) =>
      sum + count.nominal * (isVolumeUnit(unit) ? unitVolumeMl(unit, system, 30) : NaN),
    0,
  );
}

describe('back to spoons', () => {
  it.each([
    [34.5, '2 tbsp + 1 tsp'],
    [78.9, '⅓ cup'],
    [4.93, '1 tsp'],
    [2.46, '½ tsp'],
    [236.6, '1 cup'],
    [266, '1 cup + 2 tbsp'],
  ])('%d ml is %s in a US kitchen', (ml, text) => {
    expect(nearestSpoons(ml, 'us')?.text).toBe(text);
  });

  it('says nothing below half the smallest spoon, or for nonsense', () => {
    expect(nearestSpoons(0.2, 'us')).toBeNull();
    expect(nearestSpoons(NaN, 'us')).toBeNull();
    expect(nearestSpoons(-3, 'us')).toBeNull();
  });

  it('always names real spoons that read back to the volume it claims, near what was asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.6, max: 6000, noNaN: true }),
        fc.constantFrom(...SPOON_SYSTEMS),
        (ml, system) => {
          const spoons = nearestSpoons(ml, system)!;
          expect(volumeOf(spoons.text, system)).toBeCloseTo(spoons.volumeMl, 6);
          // Below half a teaspoon there are only ⅛, ¼ and the two together.
          expect(Math.abs(spoons.relativeError)).toBeLessThan(ml < 3 ? 0.36 : 0.13);
          expect(spoons.text).not.toMatch(/\d\.\d/);
        },
      ),
    );
  });

  it('writes kitchen fractions', () => {
    expect([0.125, 1 / 3, 0.5, 1.5, 2, 2.75].map(formatCount)).toEqual(['⅛', '⅓', '½', '1½', '2', '2¾']);
  });
});

describe('the next sensible step', () => {
  it.each([
    ['90 ml', '95 ml', '85 ml'],
    ['100 ml', '110 ml', '95 ml'],
    ['1 tsp', '1½ tsp', '¾ tsp'],
    ['⅓ cup', '½ cup', '¼ cup'],
    ['20 g', '25 g', '19 g'],
    ['0.5 l', '0.525 l', '0.475 l'],
    ['2-3 tbsp', '3 tbsp', '2 tbsp'],
    ['a pinch', '2 pinches', null],
    ['2 pinches', '3 pinches', '1 pinch'],
    ['juice of ½ lemon', 'juice of ¾ lemon', 'juice of ¼ lemon'],
    ['about 90 ml', 'about 95 ml', 'about 85 ml'],
    ['1 fat clove', '2 fat cloves', null],
    ['2 tbsp + 1 tsp', '2 tbsp + 1½ tsp', '2 tbsp + ¾ tsp'],
    ['6 grinds', '7 grinds', '5 grinds'],
    ['to taste', null, null],
    ['what', null, null],
  ])('from %s up to %s, down to %s', (text, up, down) => {
    expect(nudgeAmount(text, 'up', 'point')).toBe(up);
    expect(nudgeAmount(text, 'down', 'point')).toBe(down);
  });

  it('keeps the kitchen’s decimal sign', () => {
    expect(nudgeAmount('0,5 l', 'up', 'comma')).toBe('0,525 l');
  });

  it('always moves the amount the way it was asked to, and stays readable', () => {
    const typed = fc.tuple(
      fc.integer({ min: 1, max: 800 }),
      fc.constantFrom('g', 'ml', 'tsp', 'tbsp', 'cup', 'pinch', 'clove'),
    );
    fc.assert(
      fc.property(typed, ([count, unit]) => {
        const nominal = (text: string): number => {
          const parsed = parseAmount(text, 'point');
          return parsed.status === 'read' && parsed.amount.kind === 'measured'
            ? parsed.amount.terms[0]!.count.nominal
            : NaN;
        };
        const text = `${count} ${unit}`;
        expect(nominal(nudgeAmount(text, 'up', 'point')!)).toBeGreaterThan(count);
        const down = nudgeAmount(text, 'down', 'point');
        if (down !== null) expect(nominal(down)).toBeLessThan(count);
      }),
    );
  });
});
