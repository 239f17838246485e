/**
 * A formula in stages: each a place to stop, and all that came before it is in it. "base", "+ pesto", "+ yoghurt".
 */
import type { Addition, Formula } from './formula';

export const MOST_STAGES = 12;
export const MOST_STAGE_NAME = 60;

/** First to last; one without a name where it is made in one. */
export const stagesOf = ({ stageNames }: Pick<Formula, 'stageNames'>): readonly string[] =>
  stageNames.split('\n');

/** What was put into a stage that is gone belongs to the last. */
const stageIn = ({ stage }: Pick<Addition, 'stage'>, count: number): number => Math.min(stage, count - 1);

export const withStageNames = (names: readonly string[]): string => names.map(tidyStageName).join('\n');

export const tidyStageName = (name: string): string =>
  name.replace(/\s+/g, ' ').trim().slice(0, MOST_STAGE_NAME);

/**
 * The formula as it is where one stops: what comes after is not in it.
 *
 * @param stage 0 for the first; beyond the last: all of it
 */
export function upToStage(formula: Formula, stage: number): Formula {
  const names = stagesOf(formula);
  if (stage >= names.length - 1) return formula;
  return {
    ...formula,
    stageNames: names.slice(0, stage + 1).join('\n'),
    additions: formula.additions.filter((addition) => stageIn(addition, names.length) <= stage),
  };
}

/** What was changed up to a stage, put back under what comes after it. @param until as {@link upToStage} gave it */
export function withLaterStages(whole: Formula, until: Formula): Formula {
  const names = stagesOf(whole);
  const count = stagesOf(until).length;
  if (count >= names.length) return until;
  return {
    ...until,
    stageNames: whole.stageNames,
    additions: [
      ...until.additions,
      ...whole.additions.filter((addition) => stageIn(addition, names.length) >= count),
    ],
  };
}

/** As it is written today: what was kept before there were stages is made in one. */
export function inStages(formula: Formula): Formula {
  const kept: Partial<Formula> = formula;
  const isOld = (addition: Partial<Addition>): boolean => addition.stage === undefined;
  if (kept.stageNames !== undefined && !formula.additions.some(isOld)) return formula;
  return {
    ...formula,
    stageNames: kept.stageNames ?? '',
    additions: formula.additions.map((addition) => (isOld(addition) ? { ...addition, stage: 0 } : addition)),
  };
}

/** At which of some additions each stage begins; none where it is made in one. @param additions in their order */
export function stageStarts(
  formula: Pick<Formula, 'stageNames'>,
  additions: readonly Pick<Addition, 'stage'>[],
): readonly { readonly name: string; readonly from: number }[] {
  const names = stagesOf(formula);
  if (names.length < 2) return [];
  return names.flatMap((name, stage) => {
    const from = additions.findIndex((addition) => stageIn(addition, names.length) === stage);
    return from < 0 ? [] : [{ name, from }];
  });
}

/** Where what is typed next goes in. */
export const lastStage = (formula: Pick<Formula, 'stageNames'>): number => stagesOf(formula).length - 1;
