/** The two dressings of a tasting: their names, and what every taster must know before the first sip. */
import { useMemo } from 'react';
import type { SampleRef, ShelfRecord } from '#contract';
import { judgeFormula, reckonFormula, type Judgement } from '#core/reckoning';
import { sideBySideWords } from '#words/screens/sideBySide';
import { useFormulasById } from '../../data/shelf';
import { useVersionsQuery } from '../../data/kitchenApi';
import { contextFor, vesselOf } from '#kitchen/reading';
import { useKitchen } from '../../data/kitchen';

export const nameOf = ({ formulaId, version }: SampleRef, formulas: readonly ShelfRecord[]): string =>
  `${formulas.find(({ id }) => id === formulaId)?.formula.name ?? sideBySideWords.aFormulaThatIsGone}, v${version}`;

export function useSample(sample: SampleRef): {
  readonly name: string;
  readonly judgement: Judgement | null;
} {
  const kitchen = useKitchen();
  const formulas = useFormulasById([sample.formulaId]);
  const versions = useVersionsQuery(sample.formulaId).data;
  const formula = versions?.find(({ number }) => number === sample.version)?.formula;
  const judgement = useMemo(
    () =>
      formula
        ? judgeFormula(
            reckonFormula(formula, vesselOf(formula, kitchen.vessels), contextFor(formula, kitchen)),
          )
        : null,
    [formula, kitchen],
  );
  return { name: nameOf(sample, formulas), judgement };
}
