/** For tests: what a second solver reads. */
import type { LinearProgram } from './linearProgram';

/** The same program in the CPLEX LP text format. */
export function lpText({ objective, rows, upper = [] }: LinearProgram): string {
  const sum = (coefficients: readonly number[]): string =>
    coefficients.map((value, i) => `${value < 0 ? '-' : '+'} ${Math.abs(value)} x${i}`).join(' ');
  const lines = rows.flatMap(({ coefficients, low, high }, i) => [
    ...(low === undefined ? [] : [` a${i}: ${sum(coefficients)} >= ${low}`]),
    ...(high === undefined ? [] : [` b${i}: ${sum(coefficients)} <= ${high}`]),
  ]);
  const bounds = upper.flatMap((limit, i) => (limit === null ? [] : [` 0 <= x${i} <= ${limit}`]));
  return ['Minimize', ` obj: ${sum(objective)}`, 'Subject To', ...lines, 'Bounds', ...bounds, 'End'].join(
    '\n',
  );
}
