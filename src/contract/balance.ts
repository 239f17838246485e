/** What may be asked of the search for amounts, as JSON: `reckon --formulate FILE` reads it. */
import { z } from 'zod';
import { PALATE_KEYS, type PalateKey } from '#core/palate';
import { ingredientIdSchema } from './formula';

const grams = z.number().finite().min(0).max(1_000_000);

export const formulateSchema = z.strictObject({
  volumeMl: z.number().finite().gt(0).max(1_000_000).describe('What it should come to once mixed, ml'),
  styleId: z.string().max(64).nullable().default(null).describe('A style whose windows are aimed at'),
  onHand: z
    .array(
      z.strictObject({
        ingredientId: ingredientIdSchema,
        maxG: grams.nullable().default(null).describe('At most, g; null: enough'),
      }),
    )
    .min(1)
    .max(40)
    .describe('What may go in, and nothing else'),
  targets: z
    .array(
      z.strictObject({
        measure: z.enum(PALATE_KEYS as unknown as [PalateKey, ...PalateKey[]]),
        value: z.number().finite().min(0).max(1000).describe('In the unit of the core: fractions are 0..1'),
      }),
    )
    .max(PALATE_KEYS.length)
    .default([]),
  locks: z
    .array(z.strictObject({ ingredientId: ingredientIdSchema, massG: grams }))
    .max(40)
    .default([])
    .describe('Exactly this goes in, g'),
});
export type FormulateJson = z.infer<typeof formulateSchema>;

/** The published form: docs/formulate.schema.json is this, checked by a test. */
export const formulateJsonSchema = (): unknown => z.toJSONSchema(formulateSchema, { io: 'input' });
