/** Whatever the kitchen has, found by a few words. */
import { z } from 'zod';
import type { FormulaId } from '#core/formula';

export const findQuerySchema = z.strictObject({ q: z.string().trim().min(1).max(200) });

export interface FoundFormula {
  readonly id: FormulaId;
  readonly name: string;
}
export interface FoundJar {
  readonly id: string;
  readonly formulaId: FormulaId;
  readonly formulaName: string | null;
  readonly version: number;
  /** ISO time. */
  readonly at: string;
  /** What was written of it. */
  readonly note: string;
}
export interface FoundBatch {
  readonly id: string;
  readonly number: string;
  readonly formulaId: FormulaId;
  readonly formulaName: string | null;
}
/** The first of each kind; ingredients, pages and actions the device knows itself. */
export interface FindAnswer {
  readonly formulas: readonly FoundFormula[];
  readonly jars: readonly FoundJar[];
  readonly batches: readonly FoundBatch[];
  /** Formulas not looked into yet: ask again in a moment. */
  readonly pending: number;
}
