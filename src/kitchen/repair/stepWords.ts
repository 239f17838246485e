/** A step in a cook's words. */
import type { IngredientId } from '#core/ingredient';
import type { Catalogue } from '#core/ingredient';
import type { DoStep, MakingPlan, Step, StepState } from '#core/trial';
import { sayDeed } from '#words/trial';

export const secondsOf = ({ seconds }: DoStep): number => seconds ?? 0;

export const ingredientIdOf = (step: Step): IngredientId | null =>
  step.kind === 'weigh' ? step.line.ingredientId : step.kind === 'to-taste' ? step.ingredientId : null;
export const formOf = (step: Step): string =>
  step.kind === 'weigh' ? step.line.form : step.kind === 'to-taste' ? step.form : '';

/** "Honey"; "Shallot, grated"; "Close and shake". */
export function stepName(
  step: Step,
  catalogue: Catalogue,
  { tool }: Pick<MakingPlan, 'tool'>,
  taken?: StepState,
): string {
  if (step.kind === 'do') return sayDeed(step, tool);
  const last = taken?.takes.filter(({ id }) => taken.counted.has(id)).at(-1)?.event.line;
  const id = last?.ingredientId ?? ingredientIdOf(step)!;
  const form = last?.form ?? formOf(step);
  const name = catalogue.get(id)?.name ?? id;
  return form && !name.toLowerCase().includes(form.toLowerCase()) ? `${name}, ${form}` : name;
}
