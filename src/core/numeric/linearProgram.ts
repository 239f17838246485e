/**
 * Linear programs: min c·x, low ≤ A x ≤ high, 0 ≤ x ≤ upper, some x whole. The only importer of the
 * solver (yalps, two-phase simplex with branch and bound). Every row is scaled by its largest
 * coefficient, and an answer is handed out only when it satisfies its own rows.
 */
import { solve, type Constraint } from 'yalps';

export interface LinearRow {
  readonly coefficients: readonly number[];
  readonly low?: number;
  readonly high?: number;
}

export interface LinearProgram {
  /** Minimised. */
  readonly objective: readonly number[];
  readonly rows: readonly LinearRow[];
  /** Null or missing: no upper limit. */
  readonly upper?: readonly (number | null)[];
  /** Which variables must be whole. */
  readonly whole?: readonly number[];
  /** The rows went through {@link scaledRow} already: for many programs cut from the same rows. */
  readonly scaled?: boolean;
  /** Branches at most, for programs with whole variables. */
  readonly mostBranches?: number;
}

export type LinearOutcome =
  | { readonly status: 'optimal'; readonly values: readonly number[]; readonly objective: number }
  /** The branch limit came first: a good answer, not proven best. */
  | { readonly status: 'limit'; readonly values: readonly number[] | null; readonly objective: number | null }
  | { readonly status: 'infeasible' }
  | { readonly status: 'unbounded' };

const PRECISION = 1e-9;
/** Programs here settle within a few dozen pivots; beyond this the simplex goes round in circles. */
const MOST_PIVOTS = 2000;
/** How far a scaled row may be off in an answer. */
export const ROW_TOLERANCE = 1e-7;

/** @throws RangeError where a coefficient or bound is not finite: misuse, not an outcome */
export function solveLinear(program: LinearProgram): LinearOutcome {
  const scaled = program.scaled ? program.rows : program.rows.map(scaledRow);
  // Degenerate programs can make the simplex go round in circles. Which pivots it takes hangs on the
  // order of rows and on ties, so it is tried again in another order, then with rows a hair apart.
  for (const [turned, hair] of TRIES) {
    const outcome = attempt(program, scaled, turned, hair);
    if (outcome !== 'cycled') return outcome;
  }
  return { status: 'limit', values: null, objective: null };
}

const TRIES = [
  [false, 0],
  [true, 0],
  [false, 1e-9],
  [true, 1e-9],
] as const;

function attempt(
  program: LinearProgram,
  scaled: readonly LinearRow[],
  turned: boolean,
  hair: number,
): LinearOutcome | 'cycled' {
  const { objective, upper, whole, mostBranches } = program;
  const columns: [number, number][][] = objective.map((cost) => [[-1, finite(cost)]]);
  const constraints: [number, Constraint][] = [];
  for (let row = 0; row < scaled.length; row++) {
    const { coefficients, low, high } = scaled[row]!;
    for (let column = 0; column < coefficients.length; column++) {
      const value = coefficients[column]!;
      if (value !== 0) columns[column]!.push([row, value]);
    }
    const apart = hair === 0 ? 0 : hair * (row + 1) * Math.max(1, Math.abs(low ?? 0), Math.abs(high ?? 0));
    constraints.push([row, limits(low, high, apart)]);
  }
  upper?.forEach((limit, column) => {
    if (limit === null) return;
    const row = constraints.length;
    columns[column]!.push([row, 1]);
    constraints.push([row, { max: finite(limit) }]);
  });
  const variables = columns.map((column, index) => [index, column] as const);
  const solution = solve(
    {
      direction: 'minimize',
      objective: -1,
      constraints: turned ? constraints.toReversed() : constraints,
      variables: turned ? variables.toReversed() : variables,
      ...(whole ? { integers: new Set(whole) } : {}),
    },
    {
      precision: PRECISION,
      includeZeroVariables: true,
      maxPivots: MOST_PIVOTS,
      ...(mostBranches === undefined ? {} : { maxIterations: mostBranches }),
    },
  );
  if (solution.status === 'cycled') return 'cycled';
  if (solution.status === 'infeasible' || solution.status === 'unbounded') return { status: solution.status };
  const values = objective.map(() => 0);
  for (const [index, value] of solution.variables) values[index] = Math.max(0, value);
  const holds = values.length > 0 && scaled.every((row) => rowExcess(row, values) <= ROW_TOLERANCE);
  if (solution.status === 'optimal' && holds) {
    return { status: 'optimal', values, objective: dot(objective, values) };
  }
  return holds && Number.isFinite(solution.result)
    ? { status: 'limit', values, objective: dot(objective, values) }
    : { status: 'limit', values: null, objective: null };
}

export interface ShadowPrice {
  /** What one more unit of room at this end would save of the objective, ≥ 0. */
  readonly low: number;
  readonly high: number;
}

/**
 * Shadow prices by the dual program: max Σ low·y − high·z − upper·w, Aᵀ(y − z) − w ≤ c.
 * @returns one a row, then one (`high`) a variable with an upper limit; null where the program has no optimum
 */
export function shadowPrices({ objective, rows, upper = [] }: LinearProgram): readonly ShadowPrice[] | null {
  const bounded: LinearRow[] = [
    ...rows,
    ...upper.flatMap((limit, column) =>
      limit === null ? [] : [{ coefficients: objective.map((_, i) => (i === column ? 1 : 0)), high: limit }],
    ),
  ];
  const ends = bounded.flatMap(({ coefficients, low, high }, row) => [
    ...(low === undefined ? [] : [{ row, end: 'low' as const, sign: 1, bound: low, coefficients }]),
    ...(high === undefined ? [] : [{ row, end: 'high' as const, sign: -1, bound: high, coefficients }]),
  ]);
  const dual = solveLinear({
    objective: ends.map(({ sign, bound }) => -sign * bound),
    rows: objective.map((cost, column) => ({
      coefficients: ends.map(({ sign, coefficients }) => sign * (coefficients[column] ?? 0)),
      high: cost,
    })),
  });
  if (dual.status !== 'optimal') return null;
  const prices = bounded.map(() => ({ low: 0, high: 0 }));
  ends.forEach(({ row, end }, i) => {
    prices[row]![end] = dual.values[i]!;
  });
  return prices;
}

/** The row divided by its largest coefficient. */
export function scaledRow({ coefficients, low, high }: LinearRow): LinearRow {
  let largest = 0;
  for (const value of coefficients) largest = Math.max(largest, Math.abs(finite(value)));
  const scale = largest > 0 ? 1 / largest : 1;
  return rowOf(
    coefficients.map((value) => value * scale),
    low === undefined ? undefined : finite(low) * scale,
    high === undefined ? undefined : finite(high) * scale,
  );
}

function rowOf(
  coefficients: readonly number[],
  low: number | undefined,
  high: number | undefined,
): LinearRow {
  if (low === undefined) return high === undefined ? { coefficients } : { coefficients, high };
  return high === undefined ? { coefficients, low } : { coefficients, low, high };
}

function limits(low: number | undefined, high: number | undefined, apart: number): Constraint {
  if (low === undefined) return high === undefined ? {} : { max: high + apart };
  if (high === undefined) return { min: low - apart };
  return low === high && apart === 0 ? { equal: low } : { min: low - apart, max: high + apart };
}

/** How far a row is outside its limits, relative to them. */
export function rowExcess({ coefficients, low, high }: LinearRow, values: readonly number[]): number {
  const sum = dot(coefficients, values);
  const beyond = Math.max((low ?? -Infinity) - sum, sum - (high ?? Infinity), 0);
  return beyond / Math.max(1, Math.abs(low ?? 0), Math.abs(high ?? 0));
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, i) => sum + value * (b[i] ?? 0), 0);

function finite(value: number): number {
  if (Number.isFinite(value)) return value;
  throw new RangeError(`A linear program needs finite numbers, not ${value}.`);
}
