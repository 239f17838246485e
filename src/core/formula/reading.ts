/** What a line is read with, and what it is read as. */
import type { Catalogue, Ingredient, Measuring } from '#core/ingredient';
import type { Amount, DecimalSign, Doubt, Problem, Range } from '#core/quantity';

export interface ReadingContext {
  readonly catalogue: Catalogue;
  readonly measuring: Measuring;
  readonly decimalSign: DecimalSign;
}

export interface ReadAddition {
  readonly status: 'read';
  readonly ingredient: Ingredient;
  readonly amount: Amount;
  readonly massG: Range;
  readonly doubts: readonly Doubt[];
}
export interface UnreadAddition {
  readonly status: 'unread';
  readonly problem: Problem;
}
export type AdditionReading = ReadAddition | UnreadAddition;
