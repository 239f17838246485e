import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { binomialDistribution } from 'simple-statistics';
import { answerOf, cardsFor, criticalNumber, judgeTest, oddCode, power, tastersNeeded, upperTail } from '.';
import { sayResult } from '#words/sensory';

describe('the binomial', () => {
  it('agrees with a statistics library', () => {
    for (const p of [1 / 3, 0.5, 0.7])
      for (const n of [1, 6, 15, 30, 60]) {
        const library = binomialDistribution(n, p)!;
        for (const k of [0, 1, Math.ceil(n / 2), n]) {
          // The library stops once it has all but a ten-thousandth of the whole.
          const below = library.slice(0, k).reduce((sum, one) => sum + (one ?? 0), 0);
          expect(upperTail(k, n, p), `${k} of ${n} at ${p}`).toBeCloseTo(1 - below, 3);
        }
      }
  });
  it('is exact where it can be reckoned by hand, and adds up for large panels', () => {
    expect(upperTail(3, 3, 1 / 3)).toBeCloseTo(1 / 27, 12);
    expect(upperTail(5, 6, 1 / 3)).toBeCloseTo(13 / 729, 12);
    expect(upperTail(0, 400, 0.5)).toBe(1);
    expect(upperTail(200, 400, 0.5) + upperTail(201, 400, 0.5)).toBeCloseTo(1, 9);
    expect([upperTail(5, 4, 0.5), upperTail(2, 4, 0), upperTail(2, 4, 1)]).toEqual([0, 0, 1]);
    for (const [k, n, p] of [
      [1, -1, 0.5],
      [1, 2.5, 0.5],
      [1, 2, 1.2],
      [NaN, 2, 0.5],
    ] as const)
      expect(() => upperTail(k, n, p)).toThrow(RangeError);
  });
});

describe('critical numbers', () => {
  // ISO 4120:2004, Table A.1, α = 0.05; from memory.
  it.each([
    ...[
      [6, 5],
      [7, 5],
      [8, 6],
      [9, 6],
      [10, 7],
      [11, 7],
      [12, 8],
      [13, 8],
      [14, 9],
      [15, 9],
    ],
    ...[
      [16, 9],
      [17, 10],
      [18, 10],
      [20, 11],
      [24, 13],
      [30, 15],
      [36, 18],
      [42, 20],
      [48, 22],
      [60, 27],
    ],
  ])('triangle: of %i tasters %i', (n, needed) => {
    expect(criticalNumber('triangle', n)).toBe(needed);
  });
  // ISO 5495:2005, two-sided, α = 0.05; from memory.
  it.each([
    ...[
      [6, 6],
      [8, 8],
      [10, 9],
      [12, 10],
      [15, 12],
      [16, 13],
      [18, 14],
      [20, 15],
    ],
    ...[
      [24, 18],
      [25, 18],
      [30, 21],
      [36, 25],
      [40, 27],
      [50, 33],
      [60, 39],
      [100, 61],
    ],
  ])('paired: of %i tasters %i', (n, needed) => {
    expect(criticalNumber('paired', n)).toBe(needed);
  });
  it('there is none where even all would be chance', () => {
    expect([criticalNumber('triangle', 2), criticalNumber('triangle', 3)]).toEqual([null, 3]);
    expect([criticalNumber('paired', 5), criticalNumber('paired', 6)]).toEqual([null, 6]);
  });
});

describe('a verdict', () => {
  it('says different, not shown, or not enough tasters', () => {
    expect(judgeTest('triangle', 6, 5)).toMatchObject({ verdict: 'different', needed: 5 });
    expect(judgeTest('triangle', 6, 3).verdict).toBe('too-few');
    expect(judgeTest('triangle', 60, 25).verdict).toBe('not-shown');
    expect(judgeTest('paired', 5, 5)).toMatchObject({ verdict: 'too-few', needed: null, byChance: 2 / 32 });
    expect(judgeTest('paired', 20, 15).byChance).toBeCloseTo(0.0414, 4);
    expect(() => judgeTest('paired', 5, 6)).toThrow(RangeError);
    expect(sayResult(judgeTest('triangle', 6, 5))).toBe(
      'They taste different: 5 of 6 picked the odd one, by chance that happens 2 times in a hundred.',
    );
    expect(sayResult(judgeTest('triangle', 6, 2))).toMatch(/^Not enough tasters to tell: 2 of 6/);
    expect(sayResult(judgeTest('paired', 60, 33))).toMatch(/^No preference shown/);
  });
  it('needs as many tasters as find what is worth finding 8 times in 10', () => {
    for (const kind of ['triangle', 'paired'] as const) {
      const n = tastersNeeded(kind);
      expect(power(kind, n)).toBeGreaterThanOrEqual(0.8);
      expect(power(kind, n - 1)).toBeLessThan(0.8);
    }
  });
});

describe('cards', () => {
  it('balance the orders, never repeat a code on a card, and come again with their seed', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('triangle' as const, 'paired' as const),
        fc.integer({ min: 1, max: 40 }),
        fc.nat(),
        (kind, tasters, seed) => {
          const cards = cardsFor(kind, tasters, seed);
          expect(cards).toEqual(cardsFor(kind, tasters, seed));
          expect(cards).toHaveLength(tasters);
          const counts = new Map<string, number>();
          for (const { servings } of cards) {
            expect(new Set(servings.map(({ code }) => code)).size).toBe(servings.length);
            for (const { code } of servings) expect(code).toMatch(/^[1-9]\d\d$/);
            const order = servings.map(({ sample }) => sample).join('');
            counts.set(order, (counts.get(order) ?? 0) + 1);
          }
          const all = kind === 'triangle' ? 6 : 2;
          const least = counts.size < all ? 0 : Math.min(...counts.values());
          expect(Math.max(...counts.values()) - least).toBeLessThanOrEqual(1);
        },
      ),
    );
  });
  it('know the odd one, and what a chosen code comes to', () => {
    for (const card of cardsFor('triangle', 12, 7)) {
      const odd = oddCode(card)!;
      expect(card.servings.map(({ code }) => answerOf(card, code)).sort()).toEqual([
        'right',
        'wrong',
        'wrong',
      ]);
      expect(answerOf(card, odd)).toBe('right');
      expect(answerOf(card, '000')).toBeNull();
    }
    const [pair] = cardsFor('paired', 1, 1);
    expect(answerOf(pair!, pair!.servings[0]!.code)).toBe(pair!.servings[0]!.sample);
    expect(oddCode(pair!)).toBeNull();
    expect(() => cardsFor('paired', 0, 1)).toThrow(RangeError);
  });
});
