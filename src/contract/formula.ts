import { z } from 'zod';
import {
  ADDITION_FIELDS,
  FORMULA_FIELDS,
  PHASES,
  MOST_STAGE_NAME,
  MOST_STAGES,
  TOOLS,
  type Addition,
  type AdditionId,
  type FieldChange,
  type Formula,
  type FormulaDiff,
  type FormulaId,
  type VesselId,
} from '#core/formula';
import type { IngredientId } from '#core/ingredient';
import { SPOON_SYSTEMS } from '#core/quantity';
import { SHELVES, type Shelf } from './shelfKinds';

/** Ids are made by the device that creates a thing; the schema only bounds their form. */
const idOf = <T extends string>(most = 64): z.ZodType<T, T> =>
  z
    .string()
    .regex(/^[\w-]+$/, 'must be letters, digits, _ or -')
    .min(1)
    .max(most, `at most ${most} characters`) as unknown as z.ZodType<T, T>;

export const formulaIdSchema = idOf<FormulaId>();
export const additionIdSchema = idOf<AdditionId>();
export const vesselIdSchema = idOf<VesselId>();
/** What a database's column of whole numbers holds at most. */
export const MOST_NUMBER = 2_147_483_647;
export const versionNumberSchema = z.int().min(1).max(MOST_NUMBER);
export const revisionSchema = z.int().min(0).max(MOST_NUMBER);
/** Longer than the others: the id of a version used as an ingredient holds its formula's id. */
export const ingredientIdSchema = idOf<IngredientId>(80);

const words = (max: number): z.ZodString => z.string().max(max, `at most ${max} characters`);
export const nameSchema = words(120).trim().min(1, 'needs a name');
const finite = z.number().finite();

export const spoonsSchema = z.enum(SPOON_SYSTEMS as ['us', 'metric', 'imperial', 'au']);
export const partVolumeSchema = finite.min(1, 'at least 1 ml').max(5000, 'at most 5000 ml');
export const servingVolumeSchema = finite.min(1, 'at least 1 ml').max(1000, 'at most 1000 ml');

const additionShape = {
  amountText: words(200),
  ingredientId: ingredientIdSchema.nullable(),
  ingredientText: words(200),
  form: words(200),
  note: words(2000),
  phase: z.enum(PHASES),
  optional: z.boolean(),
  locked: z.boolean(),
  // Typed before there were any: a browser may still hold such lines.
  measuredBy: idOf<string>().nullable().default(null),
  // Written before there were any, like the line above.
  stage: z
    .int()
    .min(0)
    .max(MOST_STAGES - 1)
    .default(0),
  rank: finite,
};
export const additionSchema: z.ZodType<Addition> = z.strictObject({
  id: additionIdSchema,
  ...additionShape,
});

const formulaShape = {
  name: nameSchema,
  vesselId: vesselIdSchema,
  spoons: spoonsSchema,
  partVolumeMl: partVolumeSchema,
  servingVolumeMl: servingVolumeSchema,
  countsOptional: z.boolean(),
  styleId: z
    .string()
    .regex(/^[\w-]{1,64}$/)
    .nullable(),
  targetRatio: finite.min(0.05).max(50).nullable(),
  tool: z.enum(TOOLS).nullable(),
  mixSeconds: finite.min(1).max(3600).nullable(),
  stageNames: words(MOST_STAGES * (MOST_STAGE_NAME + 1)).default(''),
  basedOnVersion: z.int().min(1).nullable(),
};
const MAX_ADDITIONS = 200;
export const formulaSchema: z.ZodType<Formula> = z.strictObject({
  ...formulaShape,
  additions: z.array(additionSchema).max(MAX_ADDITIONS, `at most ${MAX_ADDITIONS} additions`),
});

const fieldValue = z.union([z.string().max(2000), finite, z.boolean(), z.null()]);
/** Checks the new value as the field it is for: a diff must not smuggle in what the formula would refuse. */
const fieldChangeSchema = z
  .strictObject({
    additionId: additionIdSchema.nullable(),
    field: z.enum([...ADDITION_FIELDS, ...FORMULA_FIELDS]),
    // Not there: a field that came with a later release.
    from: fieldValue.optional(),
    to: fieldValue,
  })
  .superRefine((change, context) => {
    const shape: Record<string, z.ZodType> = change.additionId === null ? formulaShape : additionShape;
    const schema = shape[change.field];
    if (!schema) {
      context.addIssue({ code: 'custom', path: ['field'], message: 'is no field of this' });
      return;
    }
    const checked = schema.safeParse(change.to);
    if (!checked.success) {
      context.addIssue({ code: 'custom', path: ['to'], message: checked.error.issues[0]!.message });
    }
  }) as unknown as z.ZodType<FieldChange>;

export const diffSchema: z.ZodType<FormulaDiff> = z.strictObject({
  added: z.array(additionSchema).max(MAX_ADDITIONS),
  removed: z.array(additionSchema).max(MAX_ADDITIONS),
  updated: z.array(fieldChangeSchema).max(5000),
});

/** The key makes a repeated send harmless: the first answer is given again. */
export const changeRequestSchema = z.strictObject({
  baseRevision: revisionSchema,
  idempotencyKey: z.string().regex(/^[\w-]{8,64}$/),
  diff: diffSchema,
});
export type ChangeRequest = z.infer<typeof changeRequestSchema>;

export const newFormulaSchema = z.strictObject({ id: formulaIdSchema, formula: formulaSchema });
export type NewFormula = z.infer<typeof newFormulaSchema>;

/** Who did it, on which device. Not a login: a name chosen on the device. */
export const bySchema = z.strictObject({
  cookId: z.string().max(64).nullable(),
  deviceId: z.string().max(64),
});
export type By = z.infer<typeof bySchema>;

export const versionSchema = z.strictObject({
  number: versionNumberSchema,
  /** The version it grew from; null for the first. */
  parent: versionNumberSchema.nullable(),
  note: z.string(),
  formula: formulaSchema,
  by: bySchema,
  createdAt: z.string(),
});
export type VersionRecord = z.infer<typeof versionSchema>;

/** A formula as it is worked on. */
export interface FormulaRecord {
  readonly id: FormulaId;
  readonly revision: number;
  readonly formula: Formula;
  readonly shelf: Shelf;
  /** The version the working changes grew from. */
  readonly baseVersion: VersionRecord | null;
  /** The highest number given so far; 0 before the first freeze. */
  readonly latestNumber: number;
  readonly createdAt: string;
  readonly updatedAt: string;
}

export const freezeRequestSchema = z.strictObject({
  /** The revision the cook sees; an older one is refused, so that nothing unseen is frozen. */
  revision: revisionSchema,
  note: z.string().max(500).default(''),
  by: bySchema.default({ cookId: null, deviceId: '' }),
});
/** What is frozen as it stood when it was asked for, whatever the formula has become since. */
export const freezeContentSchema = z.strictObject({
  formula: formulaSchema,
  note: z.string().max(500).default(''),
});
export type FreezeRequest = z.input<typeof freezeRequestSchema>;
/** What came of it: the version, and the working formula that now grows from it. */
export interface FreezeAnswer {
  readonly version: VersionRecord;
  readonly record: FormulaRecord;
}

/** A frozen version that may go into other formulas. */
export interface MadeRecord {
  readonly formulaId: FormulaId;
  readonly number: number;
  /** The highest number of that formula. */
  readonly latest: number;
  readonly formula: Formula;
}

/** Of what a formula is made, and what goes on from it. */
export interface Kin {
  readonly formulaId: FormulaId;
  readonly name: string;
  /** The version that is pinned: of the other one in a base, of this one in an ending. */
  readonly number: number;
  /** The highest number there is of what is pinned. */
  readonly latest: number;
}
export interface KinAnswer {
  readonly bases: readonly Kin[];
  readonly endings: readonly Kin[];
}

export const madeQuerySchema = z.strictObject({
  /** Words of its name; left out: what is in use, and what was frozen last. */
  q: z.string().max(200).default(''),
});

/** Ids in one text, commas between: of what is chosen on the shelf. */
export const formulaIdsSchema = z
  .string()
  .max(8000)
  .transform((text) => text.split(',').filter(Boolean))
  .pipe(z.array(formulaIdSchema).min(1, 'at least one').max(100, 'at most 100'));

export const shelfRequestSchema = z.strictObject({ shelf: z.enum(SHELVES) });
