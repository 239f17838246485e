/** What may stand in a shared document, and how a change of one is asked for. */
import { z } from 'zod';
import type { Change } from '#core/document';
import { daySchema } from './batch';
import { dishesContentSchema } from './dishes';
import { formulaIdSchema, ingredientIdSchema, vesselIdSchema } from './formula';
import {
  cookSchema,
  ingredientRowSchema,
  pantryEntrySchema,
  settingsSchema,
  styleSchema,
  vesselSchema,
} from './kitchen';
import { planContentSchema } from './plan';
import { practiceContentSchema } from './practice';
import { SETTINGS_ID, SHARED_KINDS, type SharedDoc, type SharedKind } from './shared';

const anyId = z.string().regex(/^[\w-]{1,80}$/);

interface Checked<T> {
  readonly id: z.ZodType<string>;
  readonly doc: z.ZodType<T>;
}
export const SHARED_SCHEMAS: { readonly [K in SharedKind]: Checked<SharedDoc[K]> } = {
  plan: { id: daySchema, doc: planContentSchema },
  settings: { id: z.literal(SETTINGS_ID), doc: settingsSchema },
  pantry: { id: ingredientIdSchema, doc: pantryEntrySchema },
  vessel: { id: vesselIdSchema, doc: vesselSchema.nullable() },
  style: { id: anyId, doc: styleSchema.nullable() },
  ingredient: { id: ingredientIdSchema, doc: ingredientRowSchema.nullable() },
  cook: { id: anyId, doc: cookSchema.nullable() },
  dishes: { id: formulaIdSchema, doc: dishesContentSchema },
  practice: { id: anyId, doc: practiceContentSchema },
};
export const sharedKindSchema = z.enum(SHARED_KINDS as [SharedKind, ...SharedKind[]]);

const MOST_CHANGES = 2000;
const MOST_DEPTH = 8;
const changeSchema: z.ZodType<Change> = z.strictObject({
  path: z.array(z.string().min(1).max(140)).max(MOST_DEPTH),
  from: z.unknown().optional(),
  to: z.unknown().optional(),
});
export const sharedChangesSchema = z.strictObject({
  /** The same key sent again is answered again, and changes nothing. */
  idempotencyKey: z.string().regex(/^[\w-]{8,64}$/),
  changes: z.array(changeSchema).min(1).max(MOST_CHANGES),
});
export type SharedChanges = z.infer<typeof sharedChangesSchema>;
