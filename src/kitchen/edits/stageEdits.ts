/** Places to stop in a formula, made, named and taken out. Each is one step of undo. */
import {
  MOST_STAGES,
  stagesOf,
  tidyStageName,
  withStageNames,
  type AdditionId,
  type Formula,
} from '#core/formula';
import { atWorkWords } from '#words/screens/atWork';
import { patchAll } from './edits';

/** Why a stage cannot be called so; null where it can. @param stage that is renamed; left out: a new one */
export function stageNameProblem(formula: Formula, name: string, stage?: number): string | null {
  const tidy = tidyStageName(name);
  const others = stagesOf(formula).filter((_one, i) => i !== stage);
  if (tidy === '') return atWorkWords.stageNeedsAName;
  if (others.some((one) => one.toLowerCase() === tidy.toLowerCase()))
    return atWorkWords.anotherStageIsCalledSo;
  if (stage === undefined && others.length >= MOST_STAGES) return atWorkWords.stagesAreFull(MOST_STAGES);
  return null;
}

/** One more place to stop: what there is becomes the stage before it. The same formula where it cannot be. */
export function openStage(formula: Formula, name: string): Formula {
  if (stageNameProblem(formula, name)) return formula;
  const names = stagesOf(formula);
  const before = names.length === 1 && names[0] === '' ? [atWorkWords.firstStage] : names;
  return { ...formula, stageNames: withStageNames([...before, name]) };
}

export function renameStage(formula: Formula, stage: number, name: string): Formula {
  if (stageNameProblem(formula, name, stage)) return formula;
  return {
    ...formula,
    stageNames: withStageNames(stagesOf(formula).map((one, i) => (i === stage ? name : one))),
  };
}

/** No place to stop any more: what goes in there goes in with the stage before it, or with the next one. */
export function closeStage(formula: Formula, stage: number): Formula {
  const names = stagesOf(formula).filter((_one, i) => i !== stage);
  const into = Math.max(1, stage);
  return {
    ...formula,
    stageNames: names.length > 1 ? withStageNames(names) : '',
    additions: formula.additions.map((addition) =>
      addition.stage >= into ? { ...addition, stage: addition.stage - 1 } : addition,
    ),
  };
}

export const moveToStage = (formula: Formula, ids: ReadonlySet<AdditionId>, stage: number): Formula =>
  patchAll(formula, ids, { stage });

/** Of a text's headings: one alone is no place to stop; what stands before the first is the first stage. */
export const stageNamesFrom = (names: readonly string[]): string =>
  names.length < 2
    ? ''
    : withStageNames(names.slice(0, MOST_STAGES).map((name, i) => name || stageWithoutName(i)));

const stageWithoutName = (i: number): string =>
  i === 0 ? atWorkWords.firstStage : atWorkWords.stageNumber(i + 1);
