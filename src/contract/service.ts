/** What a kitchen dressed, and with how much: what it teaches the figures. */
import { z } from 'zod';
import {
  BOWL_VERDICTS,
  DISH_KINDS,
  DRESSED,
  type BowlVerdict,
  type DishKind,
  type Dressed,
} from '#core/service';
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
  /** Of the formula's own dishes; null: a kind of dish and no more. */
  dishId: z
    .string()
    .regex(/^[\w-]{1,40}$/)
    .nullable()
    .default(null),
  /** What was said of the bowl; null: nothing. */
  verdict: z.enum(BOWL_VERDICTS).nullable().default(null),
  /** What its things would have taken by the table, ml. */
  tableMl: z.number().finite().gt(0, 'more than nothing').max(500_000).nullable().default(null),
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
  readonly dishId: string | null;
  readonly verdict: BowlVerdict | null;
  readonly tableMl: number | null;
  readonly by: By;
  readonly at: string;
}
