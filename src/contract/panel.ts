/** Two dressings tasted side by side, blind: cards from a seed, answers only ever added. */
import { z } from 'zod';
import { TEST_KINDS } from '#core/sensory';
import type { FormulaId } from '#core/formula';
import { bySchema, formulaIdSchema, versionNumberSchema, type By } from './formula';
import { trialIdSchema } from './trial';

const sampleSchema = z.strictObject({ formulaId: formulaIdSchema, version: versionNumberSchema });
export const MOST_TASTERS = 60;

export const newPanelShape = {
  id: trialIdSchema,
  kind: z.enum(TEST_KINDS),
  a: sampleSchema,
  b: sampleSchema,
  tasters: z.int().min(1, 'at least one taster').max(MOST_TASTERS, `at most ${MOST_TASTERS} tasters`),
  seed: z.int().min(0).max(4_294_967_295),
  by: bySchema,
};
export const newPanelSchema = z
  .strictObject(newPanelShape)
  .refine(({ a, b }) => a.formulaId !== b.formulaId || a.version !== b.version, {
    path: ['b'],
    message: 'must be another dressing than the first',
  });
export type NewPanel = z.infer<typeof newPanelSchema>;

export const newAnswerSchema = z.strictObject({
  id: trialIdSchema,
  taster: z.int().min(1).max(MOST_TASTERS),
  code: z.string().regex(/^\d{3}$/, 'must be three digits'),
  by: bySchema,
});
export type NewAnswer = z.infer<typeof newAnswerSchema>;

export interface SampleRef {
  readonly formulaId: FormulaId;
  readonly version: number;
}
export interface PanelRecord extends Omit<NewPanel, 'a' | 'b'> {
  readonly a: SampleRef;
  readonly b: SampleRef;
  readonly at: string;
  /** In the order they came; the last of a taster counts. */
  readonly answers: readonly (NewAnswer & { readonly by: By; readonly at: string })[];
}
