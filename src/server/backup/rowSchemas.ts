/** What each table's row must be to a kitchen: the database takes more than the program understands. */
import { z } from 'zod';
import {
  batchEventSchema,
  bySchema,
  cookSchema,
  daySchema,
  dishesContentSchema,
  practiceContentSchema,
  PICTURE_LIMITS,
  seenSchema,
  formulaIdSchema,
  formulaSchema,
  ingredientIdSchema,
  ingredientRowSchema,
  lineSchema,
  makingPlanSchema,
  MOST_NUMBER,
  newAnswerSchema,
  newDressingSchema,
  newMeasureSchema,
  newPanelShape,
  newTimerSchema,
  pantryEntrySchema,
  planContentSchema,
  planOfRow,
  settingsSchema,
  SHELVES,
  snapshotSchema,
  styleSchema,
  trialBatchSchema,
  trialEventSchema,
  trialIdSchema,
  upgradePlanContent,
  vesselSchema,
} from '#contract';
import type { TableName } from './format';

const id = trialIdSchema;
const number = z.int().min(1).max(MOST_NUMBER);
const count = z.int().min(0).max(MOST_NUMBER);
/** As PostgreSQL writes one into JSON. */
const moment = z.iso.datetime({ offset: true });
const shape = z.int().min(1).max(1000);
const name = z.string().min(1).max(200);

/** What rows share: when they were made. */
const made = { created_at: moment };
const kept = { updated_at: moment };
const combined = z.strictObject({ kind: z.literal('combined'), trialId: trialIdSchema });

/** By the columns of the tables as they are today; a column that is not named here is the database's own concern. */
export const ROW_SCHEMAS: Readonly<Record<TableName, z.ZodType>> = {
  formulas: z.object({
    id: formulaIdSchema,
    revision: count,
    content: formulaSchema,
    shelf: z.enum(SHELVES),
    shelf_since: moment.nullable(),
    ...made,
    ...kept,
  }),
  versions: z.object({
    formula_id: formulaIdSchema,
    number,
    content: formulaSchema,
    parent: number.nullable(),
    note: z.string().max(10_000),
    by: bySchema,
    ...made,
  }),
  applied_changes: z.object({
    key: z.string().min(1).max(200),
    formula_id: formulaIdSchema,
    revision: count,
    ...made,
  }),
  ingredients: z.object({ id: ingredientIdSchema, row: ingredientRowSchema, ...kept }),
  vessels: z.object({ id: name, content: vesselSchema, position: z.int() }),
  settings: z.object({ id: name, content: settingsSchema, ...kept }),
  pantry: z.object({ ingredient_id: ingredientIdSchema, content: pantryEntrySchema, ...kept }),
  cooks: z.object({ id: name, content: cookSchema, ...made }),
  styles: z.object({ id: name, content: styleSchema, ...kept }),
  trials: z.object({
    id,
    formula_id: formulaIdSchema,
    version: number,
    vessel_id: name,
    style_id: z.string().max(64).nullable(),
    lines: z.array(lineSchema).max(400),
    making: makingPlanSchema.nullable(),
    shape,
    batch: trialBatchSchema.nullable(),
    by: bySchema,
    ...made,
  }),
  trial_events: z.object({
    place: number,
    id,
    trial_id: id,
    event: trialEventSchema,
    shape,
    by: bySchema,
    happened_at: moment.nullable(),
    ...made,
  }),
  measures: z.object({
    id,
    cook_id: newMeasureSchema.shape.cookId,
    unit: newMeasureSchema.shape.unit,
    ingredient_id: ingredientIdSchema,
    weighings: newMeasureSchema.shape.weighings,
    ...made,
  }),
  panels: z.object({ id, content: z.object(newPanelShape).omit({ id: true }), ...made }),
  panel_answers: z.object({
    place: number,
    id,
    panel_id: id,
    content: newAnswerSchema.omit({ id: true }),
    ...made,
  }),
  batches: z
    .object({
      id,
      formula_id: formulaIdSchema,
      version: number,
      day: daySchema,
      place: number,
      plan: z.unknown(),
      // Older copies know of no base.
      base_id: id.nullable().default(null),
      shape,
      by: bySchema,
      ...made,
    })
    .refine(({ plan, shape: of }) => snapshotSchema.safeParse(planOfRow({ shape: of, plan })).success, {
      path: ['plan'],
    }),
  batch_events: z.object({
    place: number,
    id,
    batch_id: id,
    event: z.union([batchEventSchema, combined]),
    shape,
    by: bySchema,
    ...made,
  }),
  dressings: z.object({ id, content: newDressingSchema.omit({ id: true }), ...made }),
  plans: z.object({
    day: daySchema,
    revision: count,
    content: z.preprocess(upgradePlanContent, planContentSchema),
    ...kept,
  }),
  pictures: z.object({
    id,
    trial_id: id,
    taken_at: moment,
    seconds: z.number().positive().nullable(),
    width_px: z.int().min(1).max(PICTURE_LIMITS.longEdgePx),
    height_px: z.int().min(1).max(PICTURE_LIMITS.longEdgePx),
    bytes: z.int().min(1).max(PICTURE_LIMITS.jpegBytes),
    jpeg: z.string().regex(/^\/9j[A-Za-z0-9+/]+={0,2}$/),
    seen: seenSchema,
    by: bySchema,
    ...made,
  }),
  practice: z.object({ cook_id: z.string().max(80), content: practiceContentSchema, ...kept }),
  formula_dishes: z.object({ formula_id: formulaIdSchema, content: dishesContentSchema, ...kept }),
  timers: z.object({
    id,
    label: newTimerSchema.shape.label,
    seconds: newTimerSchema.shape.seconds,
    formula_id: formulaIdSchema.nullable(),
    trial_id: id.nullable(),
    started_at: moment,
    ended_at: moment.nullable(),
  }),
};
