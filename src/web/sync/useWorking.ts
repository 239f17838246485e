import type { FormulaId } from '#core/formula';
import { keyOf } from './shared';
import { useWork } from './useWork';
import { workingOf, type WorkingFormula } from './working';

interface Opening {
  readonly working: WorkingFormula | undefined;
  readonly error: unknown;
  readonly retry: () => void;
}

/** Opens a formula. */
export function useWorking(id: FormulaId): Opening {
  const { work, error, retry } = useWork(keyOf('formula', id));
  return { working: work && workingOf(work), error, retry };
}
