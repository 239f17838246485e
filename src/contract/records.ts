/** Everything that was made, whole: jars with their events, batches with theirs. It is only ever added to. */
import { z } from 'zod';
import { batchRecordSchema, trialRecordSchema } from './api/answers';
import type { BatchRecord } from './batch';
import type { TrialRecord } from './trial';

export const MOST_RECORDS = 50_000;

/** A batch brings its loads and its whole with it. */
export const recordsSchema = z.strictObject({
  jars: z.array(trialRecordSchema).max(MOST_RECORDS),
  batches: z.array(batchRecordSchema).max(MOST_RECORDS),
});
export interface KitchenRecords {
  readonly jars: readonly TrialRecord[];
  readonly batches: readonly BatchRecord[];
}

export const recordsReportSchema = z.strictObject({
  jarsAdded: z.int(),
  eventsAdded: z.int(),
  batchesAdded: z.int(),
  /** There already. */
  same: z.int(),
  /** Left out, and why. */
  refused: z.array(z.string()),
});
export type RecordsReport = z.infer<typeof recordsReportSchema>;
