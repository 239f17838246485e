import { useEffect } from 'react';
import type { FormulaId } from '#core/formula';
import { kitchenApi, useFormulaQuery } from '../data/kitchenApi';
import { readMirror } from './mirror';
import { onSavedElsewhere } from './otherTabs';
import { useAppDispatch, useAppSelector } from './store';
import { formulaOpened, type WorkingFormula } from './workingSlice';

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
    void readMirror(id).then((found) => {
      if (current) dispatch(formulaOpened({ record: data, found }));
    });
    return () => {
      current = false;
    };
  }, [data, busy, working, id, dispatch]);
  useEffect(
    () =>
      onSavedElsewhere((message) => {
        if (message.id === id) dispatch(kitchenApi.util.invalidateTags([{ type: 'Formula', id }]));
      }),
    [id, dispatch],
  );
  useEffect(() => {
    // A half-typed amount is taken as it stands when the page goes away.
    const settle = (): void => {
      if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
    };
    window.addEventListener('pagehide', settle);
    return () => {
      window.removeEventListener('pagehide', settle);
    };
  }, []);
  return { working, error: working ? undefined : error, retry: () => void refetch() };
}
