import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { rowExcess, shadowPrices, solveLinear, type LinearProgram } from './linearProgram';
import { lpText } from './testing';

const number = (low: number, high: number): fc.Arbitrary<number> =>
  fc.integer({ min: low * 100, max: high * 100 }).map((value) => value / 100);

const programs = fc.integer({ min: 1, max: 6 }).chain((width) =>
  fc.record({
    objective: fc.array(number(0, 10), { minLength: width, maxLength: width }),
    rows: fc.array(
      fc.record({
        coefficients: fc.array(number(-5, 5), { minLength: width, maxLength: width }),
        low: fc.option(number(-20, 10), { nil: undefined }),
        high: fc.option(number(11, 40), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 8 },
    ),
    upper: fc.array(fc.option(number(1, 30), { nil: null }), { minLength: width, maxLength: width }),
  }),
) as fc.Arbitrary<LinearProgram>;

describe('linear programs', () => {
  it('agrees with another solver on 300 random programs', async () => {
    // HiGHS, an independent simplex and interior-point code.
    const highs = await loadHighs();
    let optimal = 0;
    fc.assert(
      fc.property(programs, (program) => {
        const ours = solveLinear(program);
        const theirs = highs.solve(lpText(program));
        if (theirs.Status !== 'Optimal') {
          expect(ours.status).not.toBe('optimal');
          return;
        }
        optimal += 1;
        expect(ours.status).toBe('optimal');
        if (ours.status !== 'optimal') return;
        expect(ours.objective).toBeCloseTo(theirs.ObjectiveValue, 5);
        for (const row of program.rows) expect(rowExcess(row, ours.values)).toBeLessThan(1e-6);
        expect(Math.min(...ours.values)).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 300, seed: 41 },
    );
    expect(optimal).toBeGreaterThan(100);
  });

  it('gives shadow prices that the objective follows', () => {
    // min x + 2y, x + y ≥ 10, x ≤ 6: x 6, y 4; one unit more asked costs 2, one more x saves 1.
    const program = { objective: [1, 2], rows: [{ coefficients: [1, 1], low: 10 }], upper: [6, null] };
    expect(solveLinear(program)).toMatchObject({ status: 'optimal', objective: 14, values: [6, 4] });
    const [asked, limit] = shadowPrices(program)!;
    expect([asked!.low, limit!.high]).toEqual([2, 1]);
  });

  it('says infeasible, unbounded and misuse apart', () => {
    const rows = [{ coefficients: [1], low: 2, high: 1 }];
    expect(solveLinear({ objective: [1], rows }).status).toBe('infeasible');
    expect(solveLinear({ objective: [-1], rows: [{ coefficients: [-1], high: 0 }] }).status).toBe(
      'unbounded',
    );
    expect(() => solveLinear({ objective: [NaN], rows: [] })).toThrow(RangeError);
  });

  it('comes to an end on a program that makes the plain simplex go round in circles', () => {
    // Beale's example (1955), as in every textbook on the simplex method: optimum −1/20.
    const program = {
      objective: [-0.75, 150, -0.02, 6],
      rows: [
        { coefficients: [0.25, -60, -0.04, 9], high: 0 },
        { coefficients: [0.5, -90, -0.02, 3], high: 0 },
        { coefficients: [0, 0, 1, 0], high: 1 },
      ],
    };
    const outcome = solveLinear(program);
    expect(outcome.status).toBe('optimal');
    if (outcome.status === 'optimal') expect(outcome.objective).toBeCloseTo(-0.05, 6);
  });

  it('keeps whole variables whole', () => {
    const outcome = solveLinear({
      objective: [-1, -1],
      rows: [{ coefficients: [2, 3], high: 7.5 }],
      whole: [0, 1],
    });
    expect(outcome).toMatchObject({ status: 'optimal', values: [3, 0], objective: -3 });
  });
});
