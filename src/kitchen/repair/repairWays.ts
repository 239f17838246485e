/** Ways back after a step went otherwise, as new amounts and further steps. */
import { effectOf, stateOf, type Dose, type Effect, type FormulateAnswer } from '#core/balance';
import type { Style } from '#core/palate';
import type { JudgedPortion } from '#core/reckoning';
import {
  movedMeasures,
  NOTICED_STEPS,
  plannedLines,
  type Deviation,
  type Moved,
  type Rescaling,
  type StepState,
  type TrialLine,
  type WeighStep,
} from '#core/trial';

/** Makes an id that nothing else has: whoever calls has the chance for it. */
export type NewId = () => string;

export interface Targets {
  readonly targets: readonly { readonly stepId: string; readonly massG: number }[];
  readonly steps: readonly WeighStep[];
}

export const weighStep = (line: TrialLine, kind: 'topup' | 'add' | 'rest', newId: NewId): WeighStep => ({
  kind: 'weigh',
  id: `${kind}-${newId()}`,
  line,
  said: '',
  paced: false,
});

export const asRescaled = (
  { targets, topUps }: Extract<Rescaling, { status: 'rescale' }>,
  newId: NewId,
): Targets => ({
  targets,
  steps: topUps.map((line) => weighStep(line, 'topup', newId)),
});

/** More of a step to come where there is one of it, else a step of its own. */
export function asDoses(doses: readonly Dose[], states: readonly StepState[], newId: NewId): Targets {
  const targets: { stepId: string; massG: number }[] = [];
  const steps: WeighStep[] = [];
  for (const { mayAdd, massG } of doses) {
    const { ingredient, form } = mayAdd;
    const open = states.find(
      ({ step, status }) =>
        status === 'open' && step.kind === 'weigh' && step.line.ingredientId === ingredient.id,
    );
    if (open) targets.push({ stepId: open.step.id, massG: (open.plannedG ?? 0) + massG });
    else steps.push(weighStep({ ingredientId: ingredient.id, form, massG }, 'add', newId));
  }
  return { targets, steps };
}

/** A top-up below this is not worth fetching the bottle for, g. */
const WORTH_G = 0.2;

/** The found amounts, less what has gone in. */
export function asFilled({ portions }: FormulateAnswer, states: readonly StepState[], newId: NewId): Targets {
  const lines = plannedLines(states);
  const targets: { stepId: string; massG: number }[] = [];
  const steps: WeighStep[] = [];
  for (const { ingredient, form, massG } of portions) {
    const own = lines.filter((line) => line.ingredientId === ingredient.id && line.form === form);
    const rest = massG.nominal - own.reduce((sum, { pouredG }) => sum + pouredG, 0);
    const open = own.find((line) => line.open);
    if (open) targets.push({ stepId: open.stepId, massG: Math.max(rest, WORTH_G / 2) });
    else if (rest > WORTH_G)
      steps.push(weighStep({ ingredientId: ingredient.id, form, massG: rest }, 'topup', newId));
  }
  return { targets, steps };
}

export interface Landing {
  readonly effect: Effect;
  /** Against the plan, what a taster would notice. */
  readonly moved: readonly Moved[];
}

/** Where a way lands, against what was planned. */
export function landingOf(
  deviation: Deviation,
  portions: readonly JudgedPortion[],
  style: Style | null,
): Landing {
  const planned = stateOf(deviation.planned);
  const effect = effectOf(planned, portions, style);
  const moved = movedMeasures(planned.judgement.palate, effect.palate).filter(
    ({ steps }) => Math.abs(steps) >= NOTICED_STEPS,
  );
  return { effect, moved };
}
