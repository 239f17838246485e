/** What this cook has practised, and what is practised on. Nothing here is written anywhere but into the practice itself. */
import { useMemo } from 'react';
import { ANYONE, MOST_AT_ONCE, MOST_ANSWERS } from '#contract';
import { unreadOf, judgeFormula, reckonFormula, type Judgement } from '#core/reckoning';
import type { Formula, FormulaId } from '#core/formula';
import type { PractiseAnswer } from '#core/practise';
import { contextFor, vesselOf, type Kitchen } from '#kitchen/reading';
import { useFormulasQuery } from '../../data/kitchenApi';
import { useCookHere } from '../../data/useCook';
import { newId } from '../../sync/device';
import { useShared } from '../../sync/useWork';

const NONE: readonly PractiseAnswer[] = [];

export function usePractice() {
  const cookId = useCookHere();
  const { thing, error, retry } = useShared('practice', cookId ?? ANYONE);
  const answers: readonly PractiseAnswer[] = thing?.doc.answers ?? NONE;
  return {
    ...{ cookId, thing, error, retry, answers },
    record: (answer: PractiseAnswer): void => {
      if (!thing) return;
      const { kind, item, difficulty } = answer;
      const kept = { id: newId(), at: new Date().toISOString(), kind, item: item.slice(0, 200) };
      const score = Math.min(1, Math.max(0, answer.score));
      const all = [...thing.doc.answers, { ...kept, difficulty: Math.round(difficulty), score }];
      thing.edit({ answers: all.slice(-MOST_ANSWERS) });
    },
  };
}
export interface Dressing {
  readonly id: FormulaId;
  readonly name: string;
  readonly formula: Formula;
  readonly judgement: Judgement;
  readonly volumeMl: number;
}
const MOST_DRESSINGS = 24;

/** The dressings of this kitchen that can be read whole; undefined while they are fetched. */
export function useDressings(kitchen: Kitchen): readonly Dressing[] | undefined {
  const { data } = useFormulasQuery({ limit: MOST_AT_ONCE });
  return useMemo(
    () =>
      data?.records
        .slice(0, MOST_DRESSINGS)
        .map(({ id, formula }) => {
          const vessel = vesselOf(formula, kitchen.vessels);
          const reckoning = reckonFormula(formula, vessel, contextFor(formula, kitchen));
          const judgement = judgeFormula(reckoning);
          return { id, formula, judgement, reckoning, name: formula.name };
        })
        .filter(
          ({ judgement, reckoning }) =>
            judgement.portions.length > 1 && unreadOf(reckoning.additions).length === 0,
        )
        .map(({ reckoning, ...dressing }): Dressing => ({
          ...dressing,
          volumeMl: reckoning.totals.mixedVolumeMl,
        })),
    [data, kitchen],
  );
}

/** A whole number of its own for each round, so that a reload brings the same one back. */
export const newSeed = (): number => Math.floor(Math.random() * 0x7fff_ffff);
