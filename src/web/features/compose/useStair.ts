/** At which stage the bench looks: all that comes after it is out of sight, and stays as it is. */
import { useMemo, useState } from 'react';
import { lastStage, upToStage, withLaterStages, type Formula } from '#core/formula';
import type { WorkingFormula } from '../../sync/working';

export interface StairView {
  readonly at: number;
  readonly onAt: (stage: number) => void;
  readonly down: () => void;
  readonly up: () => void;
  /** As it is where one stops there. */
  readonly working: WorkingFormula;
  /** What was changed there, with what comes after it. */
  readonly whole: (until: Formula) => Formula;
}

export function useStair(working: WorkingFormula): StairView {
  const { formula } = working;
  // Null: the whole, however many stages it comes to have.
  const [chosen, setChosen] = useState<number | null>(null);
  const last = lastStage(formula);
  const at = chosen === null ? last : Math.min(chosen, last);
  return useMemo(() => {
    const onAt = (stage: number): void => {
      setChosen(stage >= last ? null : Math.max(0, stage));
    };
    return {
      at,
      onAt,
      down: () => {
        onAt(at - 1);
      },
      up: () => {
        onAt(at + 1);
      },
      working: at === last ? working : { ...working, formula: upToStage(formula, at) },
      whole: (until) => (at === last ? until : withLaterStages(formula, until)),
    };
  }, [at, last, formula, working]);
}
