/**
 * Jars, batches and their events are never rewritten: what an older release wrote stays as it lies, and is
 * brought to today's shape when it is read. Each row says which shape it was written in.
 *
 * 1: until cautions were kept as codes. A batch kept sentences.
 * 2: codes. A step's note, the way that was taken and a batch's safety are findings, not words.
 *    Steps and events of shape 1 are valid as they are: their words stay their own.
 */
import type { BatchSnapshot } from '#core/batch';

export const SHAPE = 2;

/** The plan of a batch, in whatever shape it was written. What is no plan at all comes back as it is. */
export function upgradePlan(plan: unknown): unknown {
  if (typeof plan !== 'object' || plan === null || 'safety' in plan || !('keeping' in plan)) return plan;
  const { allergens, cautions, onLabel, keeping, ...rest } = plan as PlanOfShape1;
  const { because, ...kept } = keeping;
  return {
    ...rest,
    keeping: kept,
    safety: { kind: 'said', because, allergens, cautions, onLabel: onLabel ?? null },
  };
}

/** @throws nothing: a row was checked when it was written */
export const planOfRow = ({
  shape,
  plan,
}: {
  readonly shape: number;
  readonly plan: unknown;
}): BatchSnapshot => (shape < 2 ? upgradePlan(plan) : plan) as BatchSnapshot;

/**
 * The plan of a day as it was kept before its minutes said that they are minutes. What is none comes back as
 * it is.
 */
export function upgradePlanContent(content: unknown): unknown {
  if (typeof content !== 'object' || content === null || !('from' in content)) return content;
  const { from, moved, services, ...rest } = content as DayOfShape1;
  if (!Array.isArray(services)) return content;
  return {
    ...rest,
    fromMin: from,
    movedMin: moved,
    services: (services as DayOfShape1['services']).map(({ at, ...service }) => ({ ...service, atMin: at })),
  };
}

interface DayOfShape1 {
  readonly from: number;
  readonly moved: Readonly<Record<string, number>>;
  readonly services: readonly { readonly at: number }[];
}

type PlanOfShape1 = Omit<BatchSnapshot, 'safety' | 'keeping'> & {
  readonly keeping: { readonly days: number; readonly because: string; readonly cold: boolean };
  readonly allergens: readonly string[];
  readonly cautions: readonly string[];
  readonly onLabel?: readonly string[] | undefined;
};
