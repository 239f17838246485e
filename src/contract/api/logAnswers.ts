/** What the log and the search answer. */
import { z } from 'zod';
import { COMPLAINTS } from '#core/balance';
import { PALATE_KEYS } from '#core/palate';
import type { FindAnswer } from '../find';
import { formulaIdSchema } from '../formula';
import type { JarsAnswer, JarTimes, KitchenNews, LogAnswer } from '../log';
import { trialIdSchema } from '../trial';
import { versionNumberSchema } from '../formula';
import { count, logged, moment, trialRecordSchema } from './answers';

export const logAnswerSchema: z.ZodType<LogAnswer> = z.strictObject({
  entries: z.array(
    z.strictObject({
      ...logged,
      place: z.int().min(1),
      trialId: trialIdSchema,
      formulaId: formulaIdSchema,
      formulaName: z.string().nullable(),
      version: versionNumberSchema,
    }),
  ),
  next: z.int().nullable().describe('Ask for what is before it; null at the end'),
});
export const kitchenNewsSchema: z.ZodType<KitchenNews> = z.strictObject({
  week: z.array(z.strictObject({ formulaId: formulaIdSchema, count })),
  failing: z.array(z.strictObject({ formulaId: formulaIdSchema, failed: count, tasted: count })),
  drifting: z.array(
    z.strictObject({
      formulaId: formulaIdSchema,
      measure: z.enum(PALATE_KEYS),
      from: z.number(),
      to: z.number(),
      steps: z.number().describe('In steps that a taster notices'),
    }),
  ),
  bottles: z.array(
    z.strictObject({
      formulaId: formulaIdSchema,
      ingredientId: z.string(),
      bottle: z.string(),
      rightWith: count,
      madeWith: count,
      rightWithout: count,
      madeWithout: count,
    }),
  ),
  comesTo: z.array(
    z.strictObject({
      formulaId: formulaIdSchema,
      complaint: z.enum(COMPLAINTS).nullable().describe('Of the jars as made; null: they were right'),
      jarIds: z.array(trialIdSchema),
      of: count,
      since: z
        .strictObject({ ingredientId: z.string(), bottle: z.string() })
        .nullable()
        .describe('All those jars were made with it, and no other'),
    }),
  ),
  names: z.record(z.string(), z.string()).describe('Of the formulas above that are still there'),
});
export const jarsAnswerSchema: z.ZodType<JarsAnswer> = z.strictObject({
  jars: z.array(trialRecordSchema),
  names: z.record(z.string(), z.string()).describe('Of their formulas, where they are still there'),
  next: trialIdSchema.nullable().describe('Ask for what is before it; null at the end'),
});
export const jarTimesSchema: z.ZodType<JarTimes> = z.strictObject({
  times: z.array(moment).describe('When they were begun, newest first; the latest 5000'),
  bottles: z.array(z.string()).describe('Every bottle that was ever named'),
  formulas: z
    .array(z.strictObject({ id: formulaIdSchema, name: z.string() }))
    .describe('Those that jars are of'),
});
const foundName = z.string().nullable().describe('Null: the formula is gone');
export const findAnswerSchema: z.ZodType<FindAnswer> = z.strictObject({
  formulas: z.array(z.strictObject({ id: formulaIdSchema, name: z.string() })),
  jars: z.array(
    z.strictObject({
      id: trialIdSchema,
      formulaId: formulaIdSchema,
      formulaName: foundName,
      version: versionNumberSchema,
      at: moment,
      note: z.string(),
    }),
  ),
  batches: z.array(
    z.strictObject({
      id: trialIdSchema,
      number: z.string(),
      formulaId: formulaIdSchema,
      formulaName: foundName,
    }),
  ),
  pending: count.describe('Formulas not looked into yet: ask again in a moment'),
});
