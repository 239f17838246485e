/** Measures that a cook weighed: each weighing up is a record of its own, so that old entries keep what they meant. */
import { z } from 'zod';
import { OWN_UNITS, type IngredientId, type OwnUnit } from '#core/ingredient';
import { SOURCES, type Source } from '#core/trial';
import { ingredientIdSchema } from './formula';
import { trialIdSchema } from './trial';

export const newMeasureSchema = z.strictObject({
  id: trialIdSchema,
  /** Whose hand; null: the kitchen's. */
  cookId: z.string().max(64).nullable(),
  unit: z.enum(OWN_UNITS),
  ingredientId: ingredientIdSchema,
  /** Of one each. None: it is measured as the kitchen's again. */
  weighings: z
    .array(
      z.strictObject({
        massG: z.number().finite().gt(0, 'must be more than nothing').max(10_000),
        source: z.enum(SOURCES),
      }),
    )
    .max(50, 'at most 50 weighings'),
});
export type NewMeasure = z.infer<typeof newMeasureSchema>;

export interface MeasureRecord {
  readonly id: string;
  readonly cookId: string | null;
  readonly unit: OwnUnit;
  readonly ingredientId: IngredientId;
  readonly weighings: readonly { readonly massG: number; readonly source: Source }[];
  readonly at: string;
}
