/** The plan of a day: services, dishes, side jobs, and what is ticked off. */
import { z } from 'zod';
import { DISH_KINDS, DRESSED, MOMENTS } from '#core/service';
import { daySchema } from './batch';
import { formulaIdSchema, nameSchema, revisionSchema, versionNumberSchema } from './formula';
import { upgradePlanContent } from './shapes';

const idSchema = z.string().regex(/^[\w-]{1,40}$/);
/** Minutes from midnight. */
const minuteSchema = z
  .int()
  .min(0)
  .max(24 * 60 - 1);
const taskIdSchema = z.string().min(1).max(140);

export const dishSchema = z.strictObject({
  id: idSchema,
  formulaId: formulaIdSchema,
  version: versionNumberSchema.nullable(),
  kind: z.enum(DISH_KINDS),
  dressed: z.enum(DRESSED),
  servingG: z.number().gt(0, 'more than nothing').max(5000),
  moment: z.enum(MOMENTS),
  /** Which of the formula's own dishes it is; kind and weight stand in where that is gone. */
  bowlId: idSchema.optional(),
  /** Made that day; else it stands in the fridge. */
  fresh: z.boolean(),
});
export const serviceSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  atMin: minuteSchema,
  covers: z.int().min(1, 'at least one').max(5000),
  dishes: z.array(dishSchema).max(30),
});
export const jobSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  minutes: z.int().min(1, 'at least one').max(2880),
  handsOn: z.boolean(),
  tool: z.string().trim().min(1).max(60).nullable(),
  serviceId: idSchema,
  beforeMinutes: z.int().min(0).max(2880),
});
const contentSchema = z.strictObject({
  cooks: z.int().min(1, 'at least one').max(20),
  /** Nobody is there before, minutes from midnight. */
  fromMin: minuteSchema,
  services: z.array(serviceSchema).max(20),
  jobs: z.array(jobSchema).max(100),
  /** When a task was begun that takes its time, by its id. */
  begun: z.record(taskIdSchema, z.iso.datetime()).default({}),
  /** When a task was ended, by its id. */
  done: z.record(taskIdSchema, z.iso.datetime()),
  /** Where a cook has put a task, minutes from midnight. */
  movedMin: z.record(taskIdSchema, z.number().min(-1440).max(2880)),
});
/** A page or a table of an older release sends its own shape. */
export const planContentSchema: z.ZodType<PlanContent> = z.preprocess(upgradePlanContent, contentSchema);
export type PlanContent = z.infer<typeof contentSchema>;
/** What a row holds, in whatever shape it was written. @throws nothing: it was checked when it was written */
export const planContentOf = (content: unknown): PlanContent => upgradePlanContent(content) as PlanContent;
export type PlanService = z.infer<typeof serviceSchema>;
export type PlanDish = z.infer<typeof dishSchema>;
export type PlanJob = z.infer<typeof jobSchema>;

export const putPlanSchema = z.strictObject({
  day: daySchema,
  /** The one that was seen; 0: none yet. */
  revision: revisionSchema,
  content: planContentSchema,
});
export type PutPlan = z.infer<typeof putPlanSchema>;
export interface PlanRecord {
  readonly day: string;
  readonly revision: number;
  readonly content: PlanContent;
}
