/** What happened in the whole kitchen, a page at a time. */
import { z } from 'zod';
import type { FormulaId } from '#core/formula';
import type { BottleChange, ComesTo, Drift, Failing, Observation } from '#core/trial';
import { formulaIdSchema } from './formula';
import { trialIdSchema, type TrialEventRecord, type TrialRecord } from './trial';

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

const moment = z.iso.datetime({ offset: true });
/** Which jars of the whole kitchen a diary shows; empty: all. */
export const jarsQuerySchema = z.strictObject({
  /** Words in the notes, the bottles, or the name of the formula. */
  q: z.string().max(200).default(''),
  cook: z.string().max(64).default(''),
  bottle: z.string().max(200).default(''),
  formula: formulaIdSchema.optional(),
  /** Begun in this time; the first moment counts, the last does not. */
  from: moment.optional(),
  to: moment.optional(),
  /** Older than this jar. */
  before: trialIdSchema.optional(),
});
/** A page of the diary, newest jar first. */
export interface JarsAnswer {
  readonly jars: readonly TrialRecord[];
  /** Of their formulas, where they are still there. */
  readonly names: Readonly<Record<string, string>>;
  /** Ask for what is before it; null at the end. */
  readonly next: string | null;
}
/** When jars were begun, newest first, and the bottles that were ever named: what a diary is chosen by. */
export interface JarTimes {
  readonly times: readonly string[];
  readonly bottles: readonly string[];
  /** Those that jars are of. */
  readonly formulas: readonly { readonly id: FormulaId; readonly name: string }[];
}

/** What the latest jars of the whole kitchen come to. */
export interface KitchenNews {
  readonly week: readonly { readonly formulaId: FormulaId; readonly count: number }[];
  readonly failing: readonly Failing[];
  readonly drifting: readonly Drift[];
  readonly bottles: readonly BottleChange[];
  /** What the mouth keeps saying of a formula. */
  readonly comesTo: readonly ComesTo[];
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
