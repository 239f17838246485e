/** How the versions of several formulas stand. */
import { useEffect } from 'react';
import { shallowEqual } from 'react-redux';
import type { Standings } from '#contract';
import type { FormulaId } from '#core/formula';
import { useAppDispatch, useAppSelector } from '../sync/store';
import { kitchenApi } from './kitchenApi';

const NONE: Standings = {};

/** By formula; empty for those that are not answered yet. */
export function useStandingsOf(ids: readonly FormulaId[]): Readonly<Record<string, Standings>> {
  const dispatch = useAppDispatch();
  const wanted = [...new Set(ids)].sort().join(' ');
  useEffect(() => {
    const asked = wanted
      .split(' ')
      .filter(Boolean)
      .map((id) => dispatch(kitchenApi.endpoints.standings.initiate(id as FormulaId)));
    return () => {
      for (const one of asked) one.unsubscribe();
    };
  }, [dispatch, wanted]);
  return useAppSelector(
    (state) =>
      Object.fromEntries(
        wanted
          .split(' ')
          .filter(Boolean)
          .map((id) => [id, kitchenApi.endpoints.standings.select(id as FormulaId)(state).data ?? NONE]),
      ),
    shallowEqual,
  );
}
