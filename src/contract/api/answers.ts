/** What the kitchen answers, as schemas: the types say the same to the compiler, these to whoever reads the API. */
import { sharedKindSchema } from '../changesSchemas';
import { z } from 'zod';
import {
  bySchema,
  formulaIdSchema,
  formulaSchema,
  ingredientIdSchema,
  versionNumberSchema,
  versionSchema,
  vesselIdSchema,
} from '../formula';
import type { FormulaRecord, FreezeAnswer, Kin, KinAnswer, MadeRecord } from '../formula';
import { SHELF_STATES, SHELVES } from '../shelfKinds';
import { type ShelfAnswer, type ShelfChoices, type ShelfRecord } from '../shelf';
import { batchEventSchema, daySchema, snapshotSchema, type BatchList, type BatchRecord } from '../batch';
import { INSTRUMENTS, type DevicesAnswer } from '../device';
import type { ImportReport } from '../document';
import { ERROR_STATUS, type ErrorBody, type ErrorCode } from '../errors';
import { newMeasureSchema, type MeasureRecord } from '../measure';
import { newAnswerSchema, newPanelShape, type PanelRecord } from '../panel';
import { planContentSchema, type PlanRecord } from '../plan';
import { newDressingSchema, type DressingRecord } from '../service';
import type { SessionState } from '../session';
import { newTimerSchema, type TimersAnswer } from '../timer';
import { lineSchema, makingPlanSchema, trialBatchSchema, trialEventSchema, trialIdSchema } from '../trial';
import type { StyleSaid } from '../log';
import type { Standings, TrialRecord } from '../trial';
import { TOOLS } from '#core/formula';
import { PALATE_KEYS } from '#core/palate';
import { VERSION_STATES, type HoldLesson } from '#core/trial';
import { BATCH_STATES } from '#core/batch';

export const moment = z.iso.datetime();
export const count = z.int().min(0);

const workedOn = {
  id: formulaIdSchema,
  revision: count.describe('Goes up with every change; say the one you saw when you change it'),
  formula: formulaSchema,
  shelf: z.enum(SHELVES),
  latestNumber: count.describe('The highest version number given so far'),
  createdAt: moment,
  updatedAt: moment,
};
export const formulaRecordSchema: z.ZodType<FormulaRecord> = z.strictObject({
  ...workedOn,
  baseVersion: versionSchema.nullable().describe('The version the working changes grew from'),
});
export const shelfRecordSchema: z.ZodType<ShelfRecord> = z.strictObject({
  ...workedOn,
  changed: z.boolean().describe('Working changes differ from the version they grew from'),
  state: z.enum(SHELF_STATES).describe('How the version stands that it grew from'),
});
export const shelfAnswerSchema: z.ZodType<ShelfAnswer> = z.strictObject({
  records: z.array(shelfRecordSchema),
  offset: count,
  total: count.describe('How many fit, beyond this window too'),
  here: count.describe('How many stand in this place'),
  everywhere: count,
  pending: count.describe('Not looked into yet: ask again in a moment'),
});
export const shelfChoicesSchema: z.ZodType<ShelfChoices> = z.strictObject({
  acids: z.array(z.string()),
  allergens: z.array(z.string()),
  pending: count.describe('Not looked into yet: ask again in a moment'),
});
export const freezeAnswerSchema: z.ZodType<FreezeAnswer> = z.strictObject({
  version: versionSchema,
  record: formulaRecordSchema,
});
const kinSchema: z.ZodType<Kin> = z.strictObject({
  formulaId: formulaIdSchema,
  name: z.string(),
  number: versionNumberSchema,
  latest: z.int().min(0),
});
export const kinAnswerSchema: z.ZodType<KinAnswer> = z.strictObject({
  bases: z.array(kinSchema),
  endings: z.array(kinSchema),
});
export const madeRecordSchema: z.ZodType<MadeRecord> = z.strictObject({
  formulaId: formulaIdSchema,
  number: versionNumberSchema,
  latest: z.int().min(1),
  formula: formulaSchema,
});

export const logged = {
  id: trialIdSchema,
  event: trialEventSchema,
  by: bySchema,
  at: moment,
};
export const trialRecordSchema: z.ZodType<TrialRecord> = z.strictObject({
  id: trialIdSchema,
  formulaId: formulaIdSchema,
  version: versionNumberSchema,
  vesselId: vesselIdSchema,
  styleId: z.string().nullable(),
  lines: z.array(lineSchema),
  making: makingPlanSchema.nullable(),
  batch: trialBatchSchema
    .nullable()
    .describe('A load of a batch, or all its loads together; null: a jar of its own'),
  by: bySchema,
  at: moment,
  events: z.array(z.strictObject(logged)).describe('In the order they happened; only ever added to'),
});
export const standingsSchema: z.ZodType<Standings> = z.record(
  z.string(),
  z.strictObject({ state: z.enum(VERSION_STATES), right: count, made: count }),
);

const positive = z.number().min(0);
export const styleSaidSchema: z.ZodType<StyleSaid> = z.strictObject({
  styleId: z.string(),
  at: moment,
  observations: z.array(
    z.strictObject({
      measure: z.enum(PALATE_KEYS),
      value: z.number(),
      says: z.enum(['too-much', 'too-little', 'right']),
    }),
  ),
});
export const holdLessonSchema: z.ZodType<HoldLesson> = z.strictObject({
  formulaId: formulaIdSchema,
  at: z.string(),
  predicted: z.strictObject({
    medianS: positive,
    bandFactor: positive,
    tool: z.enum(TOOLS),
    binder: z.string(),
  }),
  fineS: positive.nullable(),
  goneS: positive.nullable(),
  measuredS: positive.nullable().optional(),
});

export const batchRecordSchema: z.ZodType<BatchRecord> = z.strictObject({
  id: trialIdSchema,
  number: z.string().describe('Such as 20261126-02'),
  formulaId: formulaIdSchema,
  formulaName: z.string().nullable(),
  version: versionNumberSchema,
  day: daySchema,
  plan: snapshotSchema,
  base: z
    .strictObject({
      batchId: trialIdSchema,
      number: z.string(),
      formulaId: formulaIdSchema,
      formulaName: z.string().nullable(),
      version: versionNumberSchema,
      state: z.enum(BATCH_STATES),
      useBy: daySchema,
    })
    .nullable()
    // Records of an older release know of no base.
    .default(null),
  by: bySchema,
  at: moment,
  state: z.enum(BATCH_STATES),
  loads: z.array(trialRecordSchema),
  whole: trialRecordSchema.nullable(),
  events: z.array(
    z.strictObject({
      id: trialIdSchema,
      by: bySchema,
      at: moment,
      event: z.union([
        batchEventSchema,
        z.strictObject({ kind: z.literal('combined'), trialId: trialIdSchema }),
      ]),
    }),
  ),
});

export const batchListSchema: z.ZodType<BatchList> = z.strictObject({
  batches: z.array(
    z.strictObject({
      id: trialIdSchema,
      number: z.string(),
      version: versionNumberSchema,
      day: daySchema,
      yieldMl: positive,
      state: z.enum(BATCH_STATES),
    }),
  ),
  more: z.boolean().describe('There are earlier ones'),
});
export const measureRecordSchema: z.ZodType<MeasureRecord> = newMeasureSchema.extend({ at: moment });
export const panelRecordSchema: z.ZodType<PanelRecord> = z.strictObject({
  ...newPanelShape,
  at: moment,
  answers: z.array(newAnswerSchema.extend({ at: moment })),
});
export const dressingRecordSchema: z.ZodType<DressingRecord> = newDressingSchema.extend({ at: moment });
export const timersAnswerSchema: z.ZodType<TimersAnswer> = z.strictObject({
  now: moment.describe('The kitchen’s clock'),
  timers: z.array(newTimerSchema.extend({ startedAt: moment })),
});
export const planRecordSchema: z.ZodType<PlanRecord> = z.strictObject({
  day: daySchema,
  revision: count,
  content: planContentSchema,
});

const claim = z.strictObject({ trialId: trialIdSchema, screenId: z.string(), label: z.string() }).nullable();
export const devicesAnswerSchema: z.ZodType<DevicesAnswer> = z.strictObject({
  instruments: z.array(
    z.strictObject({
      id: z.string(),
      instrument: z.enum(INSTRUMENTS),
      name: z.string(),
      source: z.enum(['simulated', 'device']),
      readability: z.number(),
      capacity: z.number(),
    }),
  ),
  claim,
});
export const importReportSchema: z.ZodType<ImportReport> = z.strictObject({
  added: z.array(z.string()),
  same: z.array(z.string()),
  beside: z.array(z.string()),
  ingredientsAdded: count,
  ingredientsKept: z.array(z.string()),
});
export const restoredSchema = z.strictObject({
  kitchen: z.string(),
  madeAt: moment,
  formulas: count,
  jars: count,
  batches: count,
  asideFile: z.string().describe('What was there before lies here, on the kitchen’s machine'),
});
export type Restored = z.infer<typeof restoredSchema>;
export const restoringSchema = z.strictObject({
  stage: z
    .enum(['none', 'receiving', 'checking', 'building', 'understanding', 'exchanging'])
    .describe('None: nothing is being restored'),
  rows: count.describe('How many rows of this stage are done'),
});
export type Restoring = z.infer<typeof restoringSchema>;
export const backupsStateSchema = z.strictObject({
  newest: z
    .strictObject({ day: daySchema, madeAt: moment, bytes: count })
    .nullable()
    .describe('The newest daily backup'),
  kept: count.describe('How many daily backups there are'),
  folder: z.string().describe('Where they lie, on the kitchen’s machine'),
  second: z
    .strictObject({ folder: z.string(), trouble: z.string().nullable() })
    .nullable()
    .describe('The second place, where one is named'),
  trouble: z.string().nullable().describe('Why the last try failed, to be shown as it is'),
  clockJumpedDays: z
    .int()
    .nullable()
    .describe('By how many days the machine’s clock went on its own, ahead or back; null: it did not'),
});
export type BackupsState = z.infer<typeof backupsStateSchema>;
export const sessionStateSchema: z.ZodType<SessionState> = z.strictObject({
  needed: z.boolean(),
  signedIn: z.boolean(),
});
export const pantrySchema = (entry: z.ZodType): z.ZodType => z.record(ingredientIdSchema, entry);
export const folderProofSchema = z.strictObject({
  sha256: z.string().describe('Of a file that was just put into the kitchen’s own folder under this name'),
});
export const okSchema = z.strictObject({ status: z.literal('ok') });
export const errorSchema: z.ZodType<ErrorBody> = z.strictObject({
  error: z.strictObject({
    code: z.enum(Object.keys(ERROR_STATUS) as [ErrorCode, ...ErrorCode[]]),
    message: z.string().describe('What is wrong and what to do, to be shown as it is'),
    details: z.unknown().optional(),
  }),
});
export const sharedRecordSchema = z.strictObject({
  kind: sharedKindSchema,
  id: z.string(),
  revision: count,
  doc: z.unknown().describe('As the kind has it; null where it was taken out'),
});
