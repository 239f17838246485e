/** Jars (trials) and what happens to them. Events are only ever added. */
import { z } from 'zod';
import { PACES, type RescueStep } from '#core/emulsion';
import type { FormulaId, VesselId } from '#core/formula';
import { MOST_STAGES, TOOLS } from '#core/formula';
import {
  BITES,
  DEEDS,
  ADDED_WAYS,
  PLAN_REASONS,
  PLAN_WAYS,
  SIGHTS,
  SOURCES,
  TASTE_ROWS,
  TASTED_ON,
  type MakingPlan,
  type Reading,
  type Step,
  type TrialEvent,
  type TrialLine,
  type VersionState,
} from '#core/trial';
import {
  bySchema,
  formulaIdSchema,
  freezeContentSchema,
  ingredientIdSchema,
  versionNumberSchema,
  vesselIdSchema,
  type By,
} from './formula';

export const trialIdSchema = z.string().regex(/^[\w-]{1,64}$/, 'must be 1-64 letters, digits, _ or -');
const grams = z.number().finite().gt(0, 'more than nothing').max(1_000_000);

export const lineSchema: z.ZodType<TrialLine> = z.strictObject({
  ingredientId: ingredientIdSchema,
  form: z.string().max(200),
  massG: grams,
});

const finite = z.number().finite();
const pourSchema = z.discriminatedUnion('status', [
  z.strictObject({ status: z.literal('all-at-once') }),
  z.strictObject({
    status: z.literal('stages'),
    stages: z
      .array(
        z.strictObject({
          pace: z.enum(PACES),
          volumeMl: finite,
          seconds: finite,
          fromMlPerMin: finite,
          toMlPerMin: finite,
        }),
      )
      .max(20),
    totalS: finite,
  }),
]);
const rescueStepSchema: z.ZodType<RescueStep> = z.discriminatedUnion('code', [
  z.strictObject({
    code: z.literal('new-base'),
    ingredientId: ingredientIdSchema,
    massG: grams,
    waterMl: finite.min(0),
  }),
  z.strictObject({ code: z.literal('drip-in'), volumeMl: finite, plan: pourSchema }),
  z.strictObject({ code: z.literal('add-water-first'), volumeMl: finite }),
  z.strictObject({ code: z.literal('warm-bowl') }),
  z.strictObject({ code: z.literal('warm-oil'), toC: finite }),
  z.strictObject({ code: z.literal('halve-oil') }),
  z.strictObject({ code: z.literal('thin-with'), ingredientId: ingredientIdSchema, massG: grams }),
  z.strictObject({ code: z.literal('thicken-with-oil'), volumeMl: finite, plan: pourSchema }),
  z.strictObject({ code: z.literal('thicken-with-gum'), massG: grams }),
  z.strictObject({ code: z.literal('stand-out'), seconds: finite, toC: finite }),
  z.strictObject({ code: z.literal('lukewarm-bath') }),
  z.strictObject({ code: z.literal('shake-again') }),
]);

const stepIdSchema = z.string().min(1).max(64);
const words = z.string().max(1000);
const stepNoteSchema = z
  .discriminatedUnion('code', [
    z.strictObject({ code: z.literal('steep'), ingredientIds: z.array(ingredientIdSchema).min(1).max(40) }),
    z.strictObject({ code: z.literal('rest'), ingredientIds: z.array(ingredientIdSchema).min(1).max(40) }),
    z.strictObject({ code: z.literal('pour'), pour: z.int().min(1).max(1000), of: z.int().min(1).max(1000) }),
    z.strictObject({ code: z.literal('dilution'), carrierId: ingredientIdSchema, takeG: grams }),
    z.strictObject({ code: z.literal('rescue'), step: rescueStepSchema }),
  ])
  .optional();
const stepSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('weigh'),
    id: stepIdSchema,
    line: lineSchema,
    said: words,
    note: stepNoteSchema,
    paced: z.boolean(),
  }),
  z.strictObject({
    kind: z.literal('to-taste'),
    id: stepIdSchema,
    ingredientId: ingredientIdSchema,
    form: z.string().max(200),
    said: words,
  }),
  z.strictObject({
    kind: z.literal('do'),
    id: stepIdSchema,
    deed: z.enum(DEEDS),
    seconds: z.number().gt(0).max(1_000_000).nullable(),
    said: words,
    note: stepNoteSchema,
  }),
]) as unknown as z.ZodType<Step>;

export const readingSchema: z.ZodType<Reading> = z.strictObject({
  source: z.enum(SOURCES),
  deviceId: z.string().max(64),
});

const stageSchema = z
  .int()
  .min(0)
  .max(MOST_STAGES - 1);
export const makingPlanSchema: z.ZodType<MakingPlan> = z.strictObject({
  scaleFactor: z.number().finite().gt(0).max(10_000),
  plannedVolumeMl: z.number().finite().min(0).max(1_000_000),
  tool: z.enum(TOOLS),
  seconds: z.number().gt(0).max(100_000),
  roomC: z.number().min(-5).max(60).nullable(),
  bottles: z.record(ingredientIdSchema, z.string().max(200)),
  steps: z.array(stepSchema).max(300),
  stage: stageSchema.optional(),
});

const rowValue = z.union([z.literal(-2), z.literal(-1), z.literal(0), z.literal(1), z.literal(2)]);
export const trialEventSchema: z.ZodType<TrialEvent> = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('tasted'),
    on: z.enum(TASTED_ON),
    temperatureC: z.number().min(-5).max(90).nullable(),
    minutesAfterShake: z.number().min(0).max(100_000).nullable(),
    rows: z.partialRecord(z.enum(TASTE_ROWS), rowValue),
    bite: z.enum(BITES).nullable(),
    flat: z.boolean(),
    right: z.boolean(),
    note: z.string().max(1000),
    drawnG: z.number().min(0).max(1000),
  }),
  z.strictObject({
    kind: z.literal('added'),
    lines: z.array(lineSchema).min(1).max(40),
    note: words,
    way: z.enum(ADDED_WAYS).optional(),
  }),
  z.strictObject({
    kind: z.literal('took'),
    stepId: stepIdSchema,
    line: lineSchema,
    reading: readingSchema,
    seen: trialIdSchema.nullable(),
  }),
  z.strictObject({ kind: z.literal('did'), stepId: stepIdSchema }),
  z.strictObject({ kind: z.literal('left-out'), stepId: stepIdSchema }),
  z.strictObject({
    kind: z.literal('planned'),
    reason: z.enum(PLAN_REASONS),
    targets: z.array(z.strictObject({ stepId: stepIdSchema, massG: grams })).max(300),
    steps: z.array(stepSchema).max(100),
    before: stepIdSchema.nullable(),
    note: words,
    way: z.enum(PLAN_WAYS).optional(),
    stage: stageSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('corrected'), eventId: trialIdSchema }),
  z.strictObject({
    kind: z.literal('settled'),
    stepId: stepIdSchema,
    keep: z.array(trialIdSchema).min(1).max(40),
  }),
  z
    .strictObject({
      kind: z.literal('measured'),
      what: z.enum(['ph', 'temperature']),
      value: z.number().finite(),
      reading: readingSchema,
    })
    .refine(
      ({ what, value }) => (what === 'ph' ? value >= 0 && value <= 14 : value >= -40 && value <= 200),
      'must be a pH from 0 to 14, or from -40 to 200 °C',
    ),
  z.strictObject({ kind: z.literal('shook'), seconds: z.number().min(0).max(100_000) }),
  z.strictObject({
    kind: z.literal('looked'),
    saw: z.enum(SIGHTS),
    seconds: z
      .number()
      .finite()
      .gt(0, 'must be after the mixing')
      .max(60 * 86_400),
    predicted: z
      .strictObject({
        medianS: z.number().finite().gt(0),
        bandFactor: z.number().finite().gt(1).max(1000),
        tool: z.enum(TOOLS),
        binder: z.string().max(40),
      })
      .nullable(),
    note: words,
    firstLayerS: z
      .number()
      .finite()
      .gt(0)
      .max(365 * 86_400)
      .optional(),
  }),
  z.strictObject({ kind: z.literal('split') }),
]) as unknown as z.ZodType<TrialEvent>;

/** Sent again with the same id it is the same jar, the same event. */
const NEITHER_NOR = { path: ['version'], message: 'must be a version, or what is to be frozen' };
export const newTrialSchema = z
  .strictObject({
    id: trialIdSchema,
    formulaId: formulaIdSchema,
    /** Left out: what is to be frozen says it. */
    version: versionNumberSchema.optional(),
    /** What it is made from, where that is no version yet: it is frozen first, once. */
    freeze: freezeContentSchema.optional(),
    vesselId: vesselIdSchema,
    /** The style aimed at; null: none. */
    styleId: z.string().max(64).nullable().default(null),
    /** What is in it already; empty where it is made step by step. */
    lines: z.array(lineSchema).max(200),
    making: makingPlanSchema.nullable().default(null),
    by: bySchema,
  })
  .refine(({ lines, making }) => lines.length > 0 || (making?.steps.length ?? 0) > 0, {
    path: ['lines'],
    message: 'must hold something, or be made step by step',
  })
  .refine((jar) => (jar.version === undefined) !== (jar.freeze === undefined), NEITHER_NOR);
export type NewTrial = z.input<typeof newTrialSchema>;
export const newEventSchema = z.strictObject({
  id: trialIdSchema,
  event: trialEventSchema,
  by: bySchema,
  /** When it happened by the device's clock: later than now is now. */
  happenedAt: z.iso.datetime().optional(),
});
export type NewEvent = z.infer<typeof newEventSchema>;

/** How the versions of a formula stand, by number. */
export type Standings = Readonly<Record<number, VersionStanding>>;
export interface VersionStanding {
  readonly state: VersionState;
  readonly right: number;
  readonly made: number;
}

export const trialBatchSchema: z.ZodType<TrialBatch> = z.strictObject({
  batchId: trialIdSchema,
  role: z.enum(['load', 'whole']),
  load: z.int().min(0),
  of: z.int().min(1),
});
/** A load of a batch, or all its loads together. */
export interface TrialBatch {
  readonly batchId: string;
  readonly role: 'load' | 'whole';
  /** From 1; 0 for the whole. */
  readonly load: number;
  readonly of: number;
}

export interface TrialEventRecord {
  readonly id: string;
  readonly event: TrialEvent;
  readonly by: By;
  /** When it happened. */
  readonly at: string;
}
export interface TrialRecord {
  readonly id: string;
  readonly formulaId: FormulaId;
  readonly version: number;
  readonly vesselId: VesselId;
  readonly styleId: string | null;
  readonly lines: readonly TrialLine[];
  /** Null: it was begun as made already. */
  readonly making: MakingPlan | null;
  /** Null: a jar of its own. */
  readonly batch: TrialBatch | null;
  readonly by: By;
  readonly at: string;
  /** In the order they happened. */
  readonly events: readonly TrialEventRecord[];
}
