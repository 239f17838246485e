/** What is to be said of typed lines, for tests. */
import { emptyFormula, readLine, type AdditionId, type Formula, type VesselId } from '#core/formula';
import { measuringWith, REFERENCE_CATALOGUE } from '#core/ingredient';
import { STARTING_VESSELS } from '#core/vessel';
import type { Judgement } from './judgement';
import { judgeFormula, reckonFormula } from './reckoning';

const context = {
  catalogue: REFERENCE_CATALOGUE,
  measuring: measuringWith('metric'),
  decimalSign: 'point',
} as const;

export function judgedLines(lines: readonly string[]): Judgement {
  const formula: Formula = {
    ...emptyFormula('x', 'jar' as VesselId, 'metric'),
    additions: lines.map((text, rank) => {
      const { amountText, ingredientId, ingredientText, form } = readLine(text, context);
      return {
        id: `a${rank}` as AdditionId,
        amountText,
        ingredientId,
        ingredientText,
        form,
        rank,
        note: '',
        phase: 'base' as const,
        optional: false,
        locked: false,
        measuredBy: null,
        stage: 0,
      };
    }),
  };
  return judgeFormula(reckonFormula(formula, STARTING_VESSELS[0]!, context));
}
