/** The latest step went otherwise than planned, and nobody has said yet what is to be done about it. */
import { sensibleDecimals } from '#core/quantity';
import { MEASURE_WORDS, sayMeasure } from '#words/palate';
import type { Catalogue } from '#core/ingredient';
import {
  inWindow,
  weighingWindow,
  type Deviation,
  type LoggedEvent,
  type MakingPlan,
  type PlanReason,
  type StepState,
} from '#core/trial';
import { formatAmount, type NumberStyle } from '#words/numbers';
import { atWorkWords } from '#words/screens/atWork';
import { stepName } from './stepWords';

export interface OpenDeviation {
  readonly state: StepState;
  readonly reason: Extract<PlanReason, 'poured-too-much' | 'left-out' | 'swapped'>;
  /** g above (or below) what was planned. */
  readonly byG: number;
}

/** A scale that nobody named: the window is judged as for a fine one. */
const FINE_G = 0.1;
/** Less is not worth a word. */
const SHOWN_G = 0.05;
/** Asked for 235 g and given 235 nothing is off, whatever stands behind the figure. */
const halfAStep = (shownG: number): number => 0.5 * 10 ** -sensibleDecimals(shownG);

export function openDeviation(
  states: readonly StepState[],
  making: MakingPlan,
  { moved }: Deviation,
  standing: readonly LoggedEvent[],
): OpenDeviation | null {
  const last = standing.at(-1)?.event;
  if (!last || (last.kind !== 'took' && last.kind !== 'left-out') || moved.length === 0) return null;
  // What mends a jar is no deviation from its plan.
  if (!making.steps.some(({ id }) => id === last.stepId)) return null;
  const state = states.find(({ step }) => step.id === last.stepId);
  if (state?.step.kind !== 'weigh') return null;
  const byG = state.massG - (state.plannedG ?? 0);
  if (last.kind === 'left-out') return { state, reason: 'left-out', byG };
  if (last.line.ingredientId !== state.step.line.ingredientId) return { state, reason: 'swapped', byG };
  const within = inWindow(state.massG, weighingWindow(state.plannedG ?? state.step.line.massG, FINE_G));
  return within ? null : { state, reason: 'poured-too-much', byG };
}

/** "Vinegar came out 0.2 g over. Nothing to change: sharpness 1.20 → 1.21 %." Null while all is as planned. */
export function deviationNote(
  states: readonly StepState[],
  making: MakingPlan,
  { moved, strongest }: Deviation,
  catalogue: Catalogue,
  settings: NumberStyle,
): string | null {
  const off = states
    .filter(({ step, status }) => step.kind === 'weigh' && status === 'done')
    .map((state) => ({ state, byG: state.massG - (state.plannedG ?? state.massG) }))
    .sort((a, b) => Math.abs(b.byG) - Math.abs(a.byG))[0];
  if (!off || Math.abs(off.byG) < Math.max(SHOWN_G, halfAStep(off.state.plannedG ?? 0))) return null;
  const name = stepName(off.state.step, catalogue, making, settings, off.state);
  const amount = `${formatAmount(Math.abs(off.byG), 'g', settings)} ${off.byG > 0 ? 'over' : 'under'}`;
  if (!strongest) return atWorkWords.nameCameOutAmount(name, amount);
  const { title, unit } = MEASURE_WORDS[strongest.measure];
  const move =
    `${sayMeasure(strongest.measure, strongest.from)} → ${sayMeasure(strongest.measure, strongest.to)} ${unit}`.trim();
  return atWorkWords.nameCameOutAmountForm(
    name,
    amount,
    moved.length > 0 ? '' : atWorkWords.nothingToChange,
    title,
    move,
  );
}
