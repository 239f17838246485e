/** What happened in the whole kitchen, a page at a time. */
import { z } from 'zod';
import type { FormulaId } from '#core/formula';
import type { BottleChange, Drift, Failing, Observation } from '#core/trial';
import type { TrialEventRecord } from './trial';

/** One page of what happened in the whole kitchen, newest first. */
export const logQuerySchema = z.strictObject({
  /** Older than this entry. */
  before: z.coerce.number().int().min(1).optional(),
  q: z.string().max(200).default(''),
  cook: z.string().max(64).default(''),
});
export interface LogEntry extends TrialEventRecord {
  readonly place: number;
  readonly trialId: string;
  readonly formulaId: FormulaId;
  readonly formulaName: string | null;
  readonly version: number;
}
export interface LogAnswer {
  readonly entries: readonly LogEntry[];
  /** Ask for what is before it; null at the end. */
  readonly next: number | null;
}

/** What the latest jars of the whole kitchen come to. */
export interface KitchenNews {
  readonly week: readonly { readonly formulaId: FormulaId; readonly count: number }[];
  readonly failing: readonly Failing[];
  readonly drifting: readonly Drift[];
  readonly bottles: readonly BottleChange[];
  /** Of the formulas above that are still there. */
  readonly names: Readonly<Record<string, string>>;
}

/** What tasters said of one jar that aimed at a style. */
export interface StyleSaid {
  readonly styleId: string;
  /** When it was last tasted. */
  readonly at: string;
  readonly observations: readonly Observation[];
}
