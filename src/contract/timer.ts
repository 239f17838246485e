/** Timers of the kitchen: they run on the server's clock, and every screen shows them. */
import { z } from 'zod';
import type { FormulaId } from '#core/formula';
import { formulaIdSchema } from './formula';
import { trialIdSchema } from './trial';

export const newTimerSchema = z.strictObject({
  id: trialIdSchema,
  label: z.string().trim().min(1, 'must say what it is for').max(120),
  seconds: z
    .number()
    .gt(0, 'must be more than nothing')
    .max(7 * 86_400),
  formulaId: formulaIdSchema.nullable(),
  trialId: trialIdSchema.nullable(),
  /** Begun so long ago, s, by the clock of the device: it waited for the network. */
  agoS: z
    .number()
    .min(0)
    .max(7 * 86_400)
    .default(0),
});
export type NewTimer = z.input<typeof newTimerSchema>;

export interface TimerRecord {
  readonly id: string;
  readonly label: string;
  readonly seconds: number;
  readonly formulaId: FormulaId | null;
  readonly trialId: string | null;
  readonly startedAt: string;
}
/** With the server's clock, so that a tablet whose own is wrong counts rightly. */
export interface TimersAnswer {
  readonly now: string;
  readonly timers: readonly TimerRecord[];
}
