/** Freezing what is worked on as a version: in one place, whatever it is frozen for. */
import { sameContent, type Formula, type FormulaId } from '#core/formula';
import type { VersionRecord } from '#contract';
import { useFreezeMutation } from '../data/kitchenApi';
import { byNow } from './device';
import { store, useAppDispatch } from './store';
import { keyOf } from './shared';
import { formulaHeard, workingOf, type WorkingFormula } from './working';

type Frozen = Pick<WorkingFormula, 'id' | 'revision'>;

export function useFreezeNow() {
  const dispatch = useAppDispatch();
  const [freeze, { isLoading, isError, error }] = useFreezeMutation();
  return {
    isLoading,
    isError,
    error,
    /** @throws whatever the kitchen answered; it is in `error`, too */
    freezeNow: async ({ id, revision }: Frozen, note: string): Promise<VersionRecord> => {
      const { record, version } = await freeze({ id, revision, note, by: byNow() }).unwrap();
      dispatch(formulaHeard(record));
      return version;
    },
  };
}

/**
 * Waits until the kitchen has this content of the formula. However long it is away; given up when the formula
 * becomes something else or whoever asked is gone.
 * @returns null: given up
 */
export function whenSaved(
  id: FormulaId,
  content: Formula,
  gone: AbortSignal,
): Promise<WorkingFormula | null> {
  return new Promise((resolve) => {
    const end = (working: WorkingFormula | null): void => {
      unsubscribe();
      gone.removeEventListener('abort', look);
      resolve(working);
    };
    const look = (): void => {
      const work = store.getState().work.byKey[keyOf('formula', id)];
      const working = work && workingOf(work);
      if (gone.aborted || !working || !sameContent(working.formula, content)) end(null);
      else if (working.save === 'saved') end(working);
    };
    const unsubscribe = store.subscribe(look);
    gone.addEventListener('abort', look);
    // Not before this function has returned: it may be saved already.
    queueMicrotask(look);
  });
}
