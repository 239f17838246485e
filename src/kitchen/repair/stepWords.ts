/** A step in a cook's words. */
import type { IngredientId } from '#core/ingredient';
import type { Catalogue } from '#core/ingredient';
import { isMassUnit, parseAmount, type DecimalSign, type Unit } from '#core/quantity';
import type { DoStep, MakingPlan, Step, StepState } from '#core/trial';
import { formatAmount, type NumberStyle } from '#words/numbers';
import { sayDeed, sayStepNote, type StepWords } from '#words/trial';

export const secondsOf = ({ seconds }: DoStep): number => seconds ?? 0;

export const ingredientIdOf = (step: Step): IngredientId | null =>
  step.kind === 'weigh' ? step.line.ingredientId : step.kind === 'to-taste' ? step.ingredientId : null;
export const formOf = (step: Step): string =>
  step.kind === 'weigh' ? step.line.form : step.kind === 'to-taste' ? step.form : '';

function unitsSaid(step: Step, decimalSign: DecimalSign): readonly Unit[] {
  if (step.kind !== 'weigh' || step.note) return [];
  const read = parseAmount(step.said, decimalSign);
  return read.status === 'read' && read.amount.kind === 'measured'
    ? read.amount.terms.map(({ unit }) => unit)
    : [];
}
/** Its amount was said in spoons, pinches, cloves: in anything but scale and measuring jug. */
export const isSaidByHand = (step: Step, decimalSign: DecimalSign): boolean => {
  const units = unitsSaid(step, decimalSign);
  return units.length > 0 && !units.some((unit) => isMassUnit(unit) || METRIC_VOLUMES.has(unit));
};
export const isSaidByWeight = (step: Step, decimalSign: DecimalSign): boolean =>
  unitsSaid(step, decimalSign).some(isMassUnit);
const METRIC_VOLUMES: ReadonlySet<Unit> = new Set<Unit>(['ml', 'cl', 'dl', 'l']);

/** What a step's words are made with in this kitchen. */
export const stepWordsOf = (catalogue: Catalogue, style: NumberStyle): StepWords => ({
  nameOf: (id) => catalogue.get(id)?.name ?? id,
  amount: (massG) => formatAmount(massG, 'g', style),
});

/** As it was typed, or what is to be said of it: "1 tbsp", "pour 1 of 3"; empty where there is nothing. */
export const stepSaid = (step: Step, words: StepWords): string =>
  step.kind === 'weigh' && step.note ? sayStepNote(step.note, words) : step.said;

/** "Honey"; "Shallot, grated"; "Close and shake". */
export function stepName(
  step: Step,
  catalogue: Catalogue,
  { tool }: Pick<MakingPlan, 'tool'>,
  style: NumberStyle,
  taken?: StepState,
): string {
  if (step.kind === 'do') return sayDeed(step, tool, stepWordsOf(catalogue, style));
  const last = taken?.takes.filter(({ id }) => taken.counted.has(id)).at(-1)?.event.line;
  const id = last?.ingredientId ?? ingredientIdOf(step)!;
  const form = last?.form ?? formOf(step);
  const name = catalogue.get(id)?.name ?? id;
  return form && !name.toLowerCase().includes(form.toLowerCase()) ? `${name}, ${form}` : name;
}
