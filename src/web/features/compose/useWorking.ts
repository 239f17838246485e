import { useEffect } from 'react';
import type { FormulaId } from '#core/formula';
import { useFormulaQuery } from '../../api/kitchenApi';
import { readMirror } from '../../store/mirror';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { formulaOpened, type WorkingFormula } from '../../store/workingSlice';

interface Opening {
  readonly working: WorkingFormula | undefined;
  readonly error: unknown;
  readonly retry: () => void;
}

/** Opens a formula: what the server holds, with what this browser still kept on top. */
export function useWorking(id: FormulaId): Opening {
  const dispatch = useAppDispatch();
  const { data, error, refetch } = useFormulaQuery(id, { refetchOnMountOrArgChange: true });
  const working = useAppSelector((state) => state.working.byId[id]);
  const busy = working !== undefined && working.save !== 'saved';
  useEffect(() => {
    // Unsent work is the owner; the server's state comes back with the answer to the next change.
    if (!data || busy || (working && working.revision >= data.revision)) return undefined;
    let current = true;
    void readMirror(id).then((mirrored) => {
      if (current) dispatch(formulaOpened({ record: data, mirrored }));
    });
    return () => {
      current = false;
    };
  }, [data, busy, working, id, dispatch]);
  return { working, error: working ? undefined : error, retry: () => void refetch() };
}
