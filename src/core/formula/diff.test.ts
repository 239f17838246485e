import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applyDiff, diffFormulas, invertDiff, isEmptyDiff } from './diff';
import {
  emptyFormula,
  inOrder,
  rankAt,
  servingsIn,
  type Addition,
  type AdditionId,
  type Formula,
  type VesselId,
} from './formula';
import { sayVersion } from '#words/version';

const base = emptyFormula('House', 'jar' as VesselId, 'us');
const additionArb = (id: string): fc.Arbitrary<Addition> =>
  fc.record({
    id: fc.constant(id as AdditionId),
    amountText: fc.constantFrom('1 tsp', '90 ml', 'a pinch'),
    ingredientId: fc.constant(null),
    ingredientText: fc.constantFrom('salt', 'oil'),
    form: fc.constantFrom('', 'minced'),
    note: fc.constant(''),
    phase: fc.constantFrom('base' as const, 'oil' as const, 'finish' as const),
    optional: fc.boolean(),
    locked: fc.boolean(),
    measuredBy: fc.constantFrom(null, 'm1'),
    stage: fc.integer({ min: 0, max: 2 }),
    rank: fc.integer({ min: -5, max: 5 }),
  });
const formulaArb: fc.Arbitrary<Formula> = fc
  .tuple(fc.constantFrom('House', 'Terrace'), fc.subarray(['a', 'b', 'c', 'd', 'e']))
  .chain(([name, ids]) =>
    fc.tuple(...ids.map(additionArb)).map((additions) => ({ ...base, name, additions })),
  );

const sorted = (formula: Formula): Formula => ({ ...formula, additions: inOrder(formula.additions) });
function applied(formula: Formula, diff: Parameters<typeof applyDiff>[1]): Formula {
  const result = applyDiff(formula, diff);
  if (result.status !== 'applied') throw new Error('conflict');
  return sorted(result.formula);
}

describe('a reversible change', () => {
  it('leads from one formula to the other and back, whatever they are', () => {
    fc.assert(
      fc.property(formulaArb, formulaArb, (before, after) => {
        const diff = diffFormulas(before, after);
        expect(applied(before, diff)).toEqual(sorted(after));
        expect(applied(after, invertDiff(diff))).toEqual(sorted(before));
        expect(isEmptyDiff(diffFormulas(before, before))).toBe(true);
        // Sent twice, it changes nothing more.
        expect(applied(after, diff)).toEqual(sorted(after));
      }),
    );
  });

  const [salt, oil]: Addition[] = fc.sample(fc.tuple(additionArb('salt'), additionArb('oil')), {
    numRuns: 1,
    seed: 7,
  })[0]!;
  const formula = {
    ...base,
    additions: [
      { ...salt!, amountText: '1 tsp' },
      { ...oil!, amountText: '90 ml' },
    ],
  };
  const withAmount = (id: string, amountText: string): Formula => ({
    ...formula,
    additions: formula.additions.map((addition) =>
      addition.id === id ? { ...addition, amountText } : addition,
    ),
  });

  it('merges changes of different additions', () => {
    const merged = applied(withAmount('oil', '60 ml'), diffFormulas(formula, withAmount('salt', '2 tsp')));
    expect(merged.additions.map(({ amountText }) => amountText).sort()).toEqual(['2 tsp', '60 ml']);
  });

  it('refuses the same field changed from elsewhere, and says both values', () => {
    const result = applyDiff(withAmount('salt', '½ tsp'), diffFormulas(formula, withAmount('salt', '2 tsp')));
    expect(result).toMatchObject({
      status: 'conflict',
      conflicts: [{ kind: 'field', current: '½ tsp', change: { from: '1 tsp', to: '2 tsp' } }],
    });
  });

  it('says where the working state stands', () => {
    expect(sayVersion(formula, null)).toBe('no version yet');
    expect(sayVersion(formula, { number: 3, formula })).toBe('v3');
    expect(sayVersion(withAmount('oil', '1 l'), { number: 3, formula })).toBe('v3 + changes');
  });

  it('finds a place between neighbours and rounds servings down', () => {
    const others = [1, 2, 3].map((rank) => ({ ...salt!, rank }));
    expect([0, 1, 3].map((index) => rankAt(others, index))).toEqual([0, 1.5, 4]);
    expect(servingsIn(119.9, 30)).toBe(3);
    expect(servingsIn(120, 30)).toBe(4);
    expect(servingsIn(120, 0)).toBe(0);
  });
});
