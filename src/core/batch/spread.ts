/**
 * Too much or too little of one thing in one load: the loads to come take so much less or more of it, and
 * the combined batch is what was planned.
 */
import type { IngredientId } from '#core/ingredient';
import type { StepState } from '#core/trial';

export interface OpenLoad {
  readonly trialId: string;
  readonly states: readonly StepState[];
}
export interface SpreadTargets {
  readonly trialId: string;
  readonly targets: readonly { readonly stepId: string; readonly massG: number }[];
}

/** A load keeps at least this share of the thing, or it would be another dressing until all are combined; estimate. */
const LEAST_SHARE = 0.5;
const MOST_SHARE = 1.5;

/**
 * @param byG above 0: so much too much went in
 * @returns null where the loads to come cannot make it good
 */
export function spreadOver(
  loads: readonly OpenLoad[],
  { ingredientId, form }: { readonly ingredientId: IngredientId; readonly form: string },
  byG: number,
): readonly SpreadTargets[] | null {
  const open = loads.flatMap(({ trialId, states }) =>
    states.flatMap(({ step, status, plannedG }) =>
      status === 'open' &&
      step.kind === 'weigh' &&
      step.line.ingredientId === ingredientId &&
      step.line.form === form &&
      plannedG !== null &&
      plannedG > 0
        ? [{ trialId, stepId: step.id, plannedG }]
        : [],
    ),
  );
  const total = open.reduce((sum, { plannedG }) => sum + plannedG, 0);
  if (!(total > 0)) return null;
  const factor = 1 - byG / total;
  if (factor < LEAST_SHARE || factor > MOST_SHARE) return null;
  const found = new Map<string, { stepId: string; massG: number }[]>();
  for (const { trialId, stepId, plannedG } of open) {
    found.set(trialId, [...(found.get(trialId) ?? []), { stepId, massG: plannedG * factor }]);
  }
  return [...found].map(([trialId, targets]) => ({ trialId, targets }));
}
