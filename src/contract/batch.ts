/** Batches: a plan that never changes, loads that are made like jars, events that are only ever added. */
import { z } from 'zod';
import {
  ROUNDINGS,
  SCHOOLS,
  TEMPERATURES_AT,
  type BatchEvent,
  type BatchSnapshot,
  type BatchState,
} from '#core/batch';
import { TOOLS, type FormulaId } from '#core/formula';
import { madeId } from '#core/ingredient';
import { PALATE_KEYS, type PalateKey } from '#core/palate';
import { CAUTION_CODES, LIMIT_NAMES, type CautionCode } from '#core/safety';
import { VERSION_STATES } from '#core/trial';
import { upgradePlan } from './shapes';
import {
  bySchema,
  formulaIdSchema,
  ingredientIdSchema,
  nameSchema,
  versionNumberSchema,
  vesselIdSchema,
  type By,
} from './formula';
import { makingPlanSchema, readingSchema, trialIdSchema, type TrialRecord } from './trial';

const amount = z.number().finite().min(0).max(10_000_000);
export const daySchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'must be a day such as 2026-05-31')
  .pipe(z.iso.date('is no day of the calendar'));

/** One day, or all from one to another; with neither, the latest. */
export const batchesQuerySchema = z
  .strictObject({ day: daySchema.optional(), from: daySchema.optional(), to: daySchema.optional() })
  .refine(
    ({ from, to }) =>
      from === undefined || to === undefined || Date.parse(to) - Date.parse(from) <= 31 * 86_400_000,
    { path: ['to'], error: 'is more than a month after from' },
  );
export const batchListQuerySchema = z.strictObject({
  offset: z.coerce.number().int().min(0).max(1_000_000).default(0),
});

const named = z.array(z.strictObject({ name: nameSchema })).max(200);
const sentences = z.array(z.string().max(600)).max(80);
const safetySchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('found'),
    limit: z.enum(LIMIT_NAMES),
    limitedBy: named,
    allergens: z.strictObject({
      certain: sentences,
      probable: sentences,
      mayBe: sentences,
      missing: sentences,
    }),
    cautions: z
      .array(
        z.strictObject({
          code: z.enum(CAUTION_CODES as [CautionCode, ...CautionCode[]]),
          value: z.number().finite().nullable(),
          limit: z.number().finite().nullable(),
          ingredients: named,
          words: sentences,
        }),
      )
      .max(40),
  }),
  z.strictObject({
    kind: z.literal('said'),
    because: z.string().max(400),
    allergens: sentences,
    cautions: sentences,
    onLabel: z.array(z.string().max(120)).max(2).nullable(),
  }),
]);

const planSchema: z.ZodType<BatchSnapshot> = z.strictObject({
  target: z.string().max(200),
  scaleFactor: amount.gt(0),
  madeMl: amount.gt(0),
  yieldMl: amount.gt(0),
  massG: amount.gt(0),
  portions: amount,
  handWorkS: amount.optional(),
  portionMl: amount.gt(0),
  pouredOnMl: amount.optional(),
  school: z.enum(SCHOOLS),
  rounding: z.enum(ROUNDINGS),
  readabilityG: amount.gt(0),
  tool: z.enum(TOOLS),
  mixingVesselId: vesselIdSchema,
  storage: z
    .strictObject({ vesselId: vesselIdSchema, count: z.int().min(1).max(10_000), fillMl: amount.gt(0) })
    .nullable(),
  styleId: z.string().max(64).nullable(),
  lines: z
    .array(
      z.strictObject({
        ingredientId: ingredientIdSchema,
        name: nameSchema,
        form: z.string().max(200),
        exactG: amount,
        plannedG: amount,
        asideG: amount,
        aside: z.enum(['no', 'held-back', 'per-service']),
      }),
    )
    .min(1)
    .max(200),
  toTaste: z.array(z.string().max(400)).max(200),
  drift: z
    .array(
      z.strictObject({
        measure: z.enum(PALATE_KEYS as unknown as [PalateKey, ...PalateKey[]]),
        from: z.number().finite(),
        to: z.number().finite(),
      }),
    )
    .max(40),
  keeping: z.strictObject({ days: z.int().min(1).max(60), cold: z.boolean() }),
  safety: safetySchema,
  notAfter: z
    .strictObject({ day: daySchema, name: z.string().max(200) })
    .nullable()
    .optional(),
  cost: amount.nullable(),
  versionState: z.enum(VERSION_STATES),
});
/** A page or a table of an older release sends its own shape. */
export const snapshotSchema: z.ZodType<BatchSnapshot> = z.preprocess(upgradePlan, planSchema);

export const MOST_BATCH_LOADS = 60;
export const MOST_ENDINGS = 12;
const newEndingSchema = z.strictObject({
  id: trialIdSchema,
  formulaId: formulaIdSchema,
  version: versionNumberSchema,
  plan: snapshotSchema,
  /** Made one after the other, each with an id of its own. */
  loads: z
    .array(z.strictObject({ trialId: trialIdSchema, making: makingPlanSchema }))
    .min(1, 'at least one load')
    .max(MOST_BATCH_LOADS, `at most ${MOST_BATCH_LOADS} loads`),
});
export const newBatchSchema = newEndingSchema
  .extend({
    day: daySchema,
    /** What there has to be of it that day, ml: where others have taken on enough meanwhile, this is none. */
    needMl: amount.gt(0).optional(),
    /** Batches of the same day that go on from this one, each with it as one of its lines. */
    endings: z.array(newEndingSchema).max(MOST_ENDINGS, `at most ${MOST_ENDINGS} endings`).optional(),
    by: bySchema,
  })
  .refine(
    ({ formulaId, version, endings }) =>
      (endings ?? []).every(({ plan }) =>
        plan.lines.some(({ ingredientId }) => ingredientId === madeId(formulaId, version)),
      ),
    { path: ['endings'], error: 'has a batch that this one is not in' },
  );
export type NewBatch = z.infer<typeof newBatchSchema>;
export type NewEnding = z.infer<typeof newEndingSchema>;

const words = z.string().trim().max(1000);
export const batchEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('called-off'), reason: words }),
  z.strictObject({
    kind: z.literal('lot'),
    ingredientId: ingredientIdSchema,
    text: z.string().trim().max(200),
  }),
  z.strictObject({
    kind: z.literal('temperature'),
    where: z.enum(TEMPERATURES_AT),
    value: z.number().min(-40, 'at least -40 °C').max(200, 'at most 200 °C'),
    reading: readingSchema,
  }),
  z.strictObject({
    kind: z.literal('use-by'),
    days: z.int('whole days').min(1, 'at least one day').max(60, 'at most 60 days'),
    reason: words,
  }),
  z.strictObject({
    kind: z.literal('hand-work'),
    seconds: z.number().min(1).max(86_400),
    saidS: z.number().min(0).max(1_000_000),
  }),
  z.strictObject({ kind: z.literal('noted'), note: words.min(1, 'needs words') }),
  z.strictObject({ kind: z.literal('verdict'), right: z.boolean(), note: words }),
  z.strictObject({ kind: z.literal('signed'), name: z.string().trim().min(1, 'needs a name').max(80) }),
  z.strictObject({ kind: z.literal('corrected'), eventId: trialIdSchema }),
]) as unknown as z.ZodType<Exclude<BatchEvent, { kind: 'combined' }>>;

export const newBatchEventSchema = z.strictObject({
  id: trialIdSchema,
  event: batchEventSchema,
  by: bySchema,
});
export type NewBatchEvent = z.infer<typeof newBatchEventSchema>;

/** All loads become one jar, in a vessel that holds them. */
export const combineSchema = z.strictObject({
  trialId: trialIdSchema,
  vesselId: vesselIdSchema,
  by: bySchema,
});
export type Combine = z.infer<typeof combineSchema>;

export interface BatchEventRecord {
  readonly id: string;
  readonly event: BatchEvent;
  readonly by: By;
  readonly at: string;
}
/** Batches of a formula in short. */
export interface BatchList {
  readonly batches: readonly (Pick<BatchRecord, 'id' | 'number' | 'version' | 'day' | 'state'> & {
    readonly yieldMl: number;
  })[];
  /** There are earlier ones. */
  readonly more: boolean;
}
/** The batch of a base that another one goes on from. */
export interface BaseOfBatch {
  readonly batchId: string;
  readonly number: string;
  readonly formulaId: FormulaId;
  readonly formulaName: string | null;
  readonly version: number;
  readonly state: BatchState;
  /** By its own record, YYYY-MM-DD: what goes on from it keeps no longer. */
  readonly useBy: string;
}
export interface BatchRecord {
  readonly id: string;
  /** "20261126-02". */
  readonly number: string;
  readonly formulaId: FormulaId;
  readonly formulaName: string | null;
  readonly version: number;
  readonly day: string;
  readonly plan: BatchSnapshot;
  /** Null: it goes on from none. */
  readonly base: BaseOfBatch | null;
  readonly by: By;
  readonly at: string;
  readonly state: BatchState;
  /** In their order. */
  readonly loads: readonly TrialRecord[];
  /** Null until they are combined. */
  readonly whole: TrialRecord | null;
  /** In the order they happened. */
  readonly events: readonly BatchEventRecord[];
}
