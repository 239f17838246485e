/** Jars (trials) and what happens to them. Events are only ever added. */
import { z } from 'zod';
import type { FormulaId, VesselId } from '#core/formula';
import { BITES, TASTE_ROWS, TASTED_ON, type TrialEvent, type TrialLine } from '#core/trial';
import { bySchema, formulaIdSchema, ingredientIdSchema, vesselIdSchema, type By } from './formula';

export const trialIdSchema = z.string().regex(/^[\w-]{1,64}$/, 'must be 1-64 letters, digits, _ or -');
const grams = z.number().finite().gt(0, 'more than nothing').max(1_000_000);

const lineSchema: z.ZodType<TrialLine> = z.strictObject({
  ingredientId: ingredientIdSchema,
  form: z.string().max(200),
  massG: grams,
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
    note: z.string().max(1000),
  }),
]) as unknown as z.ZodType<TrialEvent>;

/** Sent again with the same id it is the same jar, the same event. */
export const newTrialSchema = z.strictObject({
  id: trialIdSchema,
  formulaId: formulaIdSchema,
  version: z.int().min(1),
  vesselId: vesselIdSchema,
  lines: z.array(lineSchema).min(1).max(200),
  by: bySchema,
});
export type NewTrial = z.infer<typeof newTrialSchema>;
export const newEventSchema = z.strictObject({ id: trialIdSchema, event: trialEventSchema, by: bySchema });
export type NewEvent = z.infer<typeof newEventSchema>;

export interface TrialEventRecord {
  readonly id: string;
  readonly event: TrialEvent;
  readonly by: By;
  readonly at: string;
}
export interface TrialRecord {
  readonly id: string;
  readonly formulaId: FormulaId;
  readonly version: number;
  readonly vesselId: VesselId;
  readonly lines: readonly TrialLine[];
  readonly by: By;
  readonly at: string;
  /** In the order they happened. */
  readonly events: readonly TrialEventRecord[];
}
