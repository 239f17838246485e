/** What a kitchen dressed, and with how much: what it teaches the figures. */
import { z } from 'zod';
import { DISH_KINDS, DRESSED, type DishKind, type Dressed } from '#core/service';
import type { FormulaId } from '#core/formula';
import { bySchema, formulaIdSchema, versionNumberSchema, type By } from './formula';
import { trialIdSchema } from './trial';

export const newDressingSchema = z.strictObject({
  id: trialIdSchema,
  formulaId: formulaIdSchema,
  version: versionNumberSchema,
  kind: z.enum(DISH_KINDS),
  dressed: z.enum(DRESSED),
  /** Of the dish, g. */
  massG: z.number().finite().gt(0, 'more than nothing').max(500_000),
  /** What it really took, ml. */
  ml: z.number().finite().gt(0, 'more than nothing').max(500_000),
  by: bySchema,
});
export type NewDressing = z.infer<typeof newDressingSchema>;
export interface DressingRecord {
  readonly id: string;
  readonly formulaId: FormulaId;
  readonly version: number;
  readonly kind: DishKind;
  readonly dressed: Dressed;
  readonly massG: number;
  readonly ml: number;
  readonly by: By;
  readonly at: string;
}
