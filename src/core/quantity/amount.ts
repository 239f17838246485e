import { exactly, less, plus, type Range } from './range';
import type { Unit } from './units';
import type { Size } from './vocabulary';

/** One "count × unit" of an amount; "2 tbsp + 1 tsp" has two. */
export interface AmountTerm {
  readonly count: Range;
  readonly unit: Unit;
  readonly size: Size | null;
  /** "1 cup minus 1 tbsp": it is left out of the others. */
  readonly minus?: true;
}

export type Amount =
  /** Nominal 0 and always listed. */
  { readonly kind: 'to-taste' } | { readonly kind: 'measured'; readonly terms: readonly AmountTerm[] };

/** Sum of a value over the terms of an amount. */
export function sumOverTerms(terms: readonly AmountTerm[], value: (term: AmountTerm) => Range): Range {
  return terms.reduce((total, term) => (term.minus ? less : plus)(total, value(term)), exactly(0));
}
