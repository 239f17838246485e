/** What is wrong with the measures of a vessel. */
import type { MeasureProblem } from '#core/vessel';

export function sayMeasureProblem(problem: MeasureProblem): string {
  switch (problem.code) {
    case 'too-few':
      return 'Two widths at least: at the bottom and at the brim.';
    case 'no-bottom':
      return 'The first height is the inside bottom: 0 mm.';
    case 'heights-not-rising':
      return `Row ${problem.row} is not above the one before it. List heights from the bottom up.`;
    case 'no-width':
      return `Row ${problem.row} needs a width in mm.`;
  }
}
