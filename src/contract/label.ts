/** A bought bottle's label, as JSON: `reckon --label FILE` reads it. */
import { z } from 'zod';

const grams = z.number().finite().min(0).max(100);

export const labelSchema = z.strictObject({
  ingredients: z
    .string()
    .max(4000)
    .describe('As it stands on the bottle, in descending order, percentages where the label gives them'),
  per100G: z
    .strictObject({
      energyKcal: z.number().finite().min(0).max(900).optional(),
      fatG: grams.optional(),
      saturatedG: grams.optional().describe('Read and not used: the tables do not know it'),
      carbohydrateG: grams.optional(),
      sugarsG: grams.optional(),
      proteinG: grams.optional(),
      saltG: grams.optional(),
    })
    .default({})
    .describe('Per 100 g, as printed'),
});

/** The published form: docs/label.schema.json is this, checked by a test. */
export const labelJsonSchema = (): unknown => z.toJSONSchema(labelSchema, { io: 'input' });
