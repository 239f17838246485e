/** Every edit of a formula as a pure function: the next formula, or the same one where nothing changes. */
import { amountTextFor, followsRatio, ratioEdit, type RatioSide } from '#core/composition';
import {
  inOrder,
  PHASES,
  rankAt,
  readLine,
  usualPhase,
  type Addition,
  type AdditionId,
  type Formula,
  type Phase,
  type ReadingContext,
} from '#core/formula';
import type { Reckoning } from '#core/reckoning';

export function patchAddition(formula: Formula, id: AdditionId, patch: Partial<Addition>): Formula {
  return {
    ...formula,
    additions: formula.additions.map((addition) =>
      addition.id === id ? { ...addition, ...patch } : addition,
    ),
  };
}

export const removeAddition = (formula: Formula, id: AdditionId): Formula => ({
  ...formula,
  additions: formula.additions.filter((addition) => addition.id !== id),
});

const ofPhase = (formula: Formula, phase: Phase): readonly Addition[] =>
  inOrder(formula.additions).filter((addition) => addition.phase === phase);

/** Adds what was typed at the end of its phase. Unreadable words are kept as typed. */
export function addTyped(
  formula: Formula,
  text: string,
  context: ReadingContext,
  newId: () => AdditionId,
): Formula {
  const line = readLine(text, context);
  const phase = usualPhase(line, context.catalogue);
  const others = ofPhase(formula, phase);
  const addition: Addition = {
    id: newId(),
    amountText: line.amountText,
    ingredientId: line.ingredientId,
    ingredientText: line.ingredientText,
    form: line.form,
    note: '',
    phase,
    optional: false,
    rank: rankAt(others, others.length),
  };
  return { ...formula, additions: [...formula.additions, addition] };
}

/** Puts an addition at an index of a phase. */
export function placeAddition(formula: Formula, id: AdditionId, phase: Phase, index: number): Formula {
  const others = ofPhase(formula, phase).filter((addition) => addition.id !== id);
  return patchAddition(formula, id, { phase, rank: rankAt(others, index) });
}

/** One place up or down; past the end of a phase it goes over into the next. */
export function stepAddition(formula: Formula, id: AdditionId, direction: 'up' | 'down'): Formula {
  const addition = formula.additions.find((candidate) => candidate.id === id);
  if (!addition) return formula;
  const here = ofPhase(formula, addition.phase);
  const index = here.findIndex((candidate) => candidate.id === id);
  const next = index + (direction === 'up' ? -1 : 1);
  if (next >= 0 && next < here.length) return placeAddition(formula, id, addition.phase, next);
  const phase = PHASES[PHASES.indexOf(addition.phase) + (direction === 'up' ? -1 : 1)];
  if (!phase) return formula;
  return placeAddition(formula, id, phase, direction === 'up' ? ofPhase(formula, phase).length : 0);
}

/** The order after a drag: ids and phase headings in one list, as they lie on the screen. */
export function dropAddition(
  formula: Formula,
  id: AdditionId,
  order: readonly (AdditionId | Phase)[],
): Formula {
  let phase: Phase = 'base';
  let index = 0;
  for (const entry of order) {
    if (entry === id) return placeAddition(formula, id, phase, index);
    const heading = PHASES.find((candidate) => candidate === entry);
    if (heading) {
      phase = heading;
      index = 0;
    } else index += 1;
  }
  return formula;
}

/** Sets the ratio by rewriting the amounts of the side that follows. Null where there is no ratio to set. */
export function setRatio(
  formula: Formula,
  reckoning: Reckoning,
  wanted: number,
  follows: RatioSide,
  context: ReadingContext,
): Formula | null {
  const edit = ratioEdit(reckoning.portions, wanted, follows);
  if (edit.status === 'impossible') return null;
  const kitchen = { spoons: formula.spoons, decimalSign: context.decimalSign };
  let next = formula;
  for (const { addition, reading, counted } of reckoning.additions) {
    if (!counted || reading.status !== 'read' || !followsRatio(reading.ingredient, follows)) continue;
    if (reading.massG.nominal === 0) continue;
    const massG = reading.massG.nominal * edit.factor;
    const amountText = amountTextFor(massG, addition.amountText, reading.ingredient, kitchen);
    next = patchAddition(next, addition.id, { amountText });
  }
  return next;
}
