/** The shelf, a window at a time: what is asked for, and what stands in it. */
import { z } from 'zod';
import type { Formula } from '#core/formula';
import { formulaIdSchema, type FormulaRecord } from './formula';
import { SHELF_KINDS, SHELF_SORTS, SHELF_STATES, SHELVES, type ShelfState } from './shelfKinds';

export const MOST_AT_ONCE = 100;

const flag = z
  .enum(['0', '1'])
  .default('0')
  .transform((text) => text === '1');

export const shelfQuerySchema = z.strictObject({
  /** These alone, wherever they stand, with commas between. */
  ids: z
    .string()
    .max(8000)
    .transform((text) => text.split(',').filter(Boolean))
    .pipe(z.array(formulaIdSchema).max(MOST_AT_ONCE))
    .optional(),
  place: z.enum(SHELVES).default('shelf'),
  q: z.string().max(200).default(''),
  state: z.enum(['any', ...SHELF_STATES]).default('any'),
  kind: z.enum(SHELF_KINDS).default('any'),
  /** The acid that brings most, by name. */
  acid: z.string().max(120).default(''),
  /** An allergen that must not be in it. */
  avoid: z.string().max(120).default(''),
  /** Of what is on hand. */
  onHand: flag,
  /** With a frozen version. */
  frozen: flag,
  sort: z.enum(SHELF_SORTS).default('shelf'),
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
  limit: z.coerce.number().int().min(1).max(MOST_AT_ONCE).default(60),
});
export type ShelfQuery = z.output<typeof shelfQuerySchema>;
export type ShelfAsk = z.input<typeof shelfQuerySchema>;

/** A formula as it stands on the shelf. */
export interface ShelfRecord extends Omit<FormulaRecord, 'baseVersion'> {
  readonly formula: Formula;
  /** Working changes differ from the version they grew from. */
  readonly changed: boolean;
  readonly state: ShelfState;
}

export interface ShelfAnswer {
  readonly records: readonly ShelfRecord[];
  /** Place of the first of them among those that fit. */
  readonly offset: number;
  /** How many fit, beyond this window too. */
  readonly total: number;
  /** How many stand in this place, whether they fit or not. */
  readonly here: number;
  /** How many in all places. */
  readonly everywhere: number;
  /** Not looked into yet: ask again in a moment. */
  readonly pending: number;
}

/** Acids and allergens that occur: a filter that can only be empty is none. */
export interface ShelfChoices {
  readonly acids: readonly string[];
  readonly allergens: readonly string[];
  /** Formulas not looked into yet: ask again in a moment. */
  readonly pending: number;
}
