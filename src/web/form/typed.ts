import { readDecimal } from '../ui/readDecimal';

export interface Bounds {
  /** The value must be larger than this one. */
  readonly above?: number;
  readonly from?: number;
  readonly to?: number;
  readonly whole?: boolean;
}

/** What was typed: no value for an empty field and for what does not fit; `wrong` is what a field marks. */
export type Typed =
  | { readonly fits: true; readonly value: number; readonly blank: false; readonly wrong: false }
  | { readonly fits: false; readonly value: null; readonly blank: boolean; readonly wrong: boolean };

/** A number typed into a field of its own, against its bounds. What an empty field means is for the caller. */
export function typedNumber(text: string, bounds: Bounds = {}): Typed {
  const blank = text.trim() === '';
  const value = readDecimal(text);
  return value !== null && isWithin(value, bounds)
    ? { fits: true, value, blank: false, wrong: false }
    : { fits: false, value: null, blank, wrong: !blank };
}

const isWithin = (value: number, { above, from, to, whole = false }: Bounds): boolean =>
  (above === undefined || value > above) &&
  (from === undefined || value >= from) &&
  (to === undefined || value <= to) &&
  (!whole || Number.isInteger(value));
