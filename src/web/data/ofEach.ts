/** The same question asked of several formulas. */
import { useEffect } from 'react';
import { shallowEqual } from 'react-redux';
import type { Standings, VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { useAppDispatch, useAppSelector } from '../sync/store';
import { kitchenApi } from './kitchenApi';

const NO_STANDINGS: Standings = {};
const NO_VERSIONS: readonly VersionRecord[] = [];
const { standings, versions } = kitchenApi.endpoints;
type Asked = { readonly unsubscribe: () => void };
type Dispatch = ReturnType<typeof useAppDispatch>;

function useOfEach(ids: readonly FormulaId[], ask: (dispatch: Dispatch, id: FormulaId) => Asked): string {
  const dispatch = useAppDispatch();
  const wanted = [...new Set(ids)].sort().join(' ');
  useEffect(() => {
    const asked = idsOf(wanted).map((id) => ask(dispatch, id));
    return () => {
      for (const one of asked) one.unsubscribe();
    };
  }, [dispatch, wanted, ask]);
  return wanted;
}
const idsOf = (wanted: string): readonly FormulaId[] => wanted.split(' ').filter(Boolean) as FormulaId[];
const askStandings = (dispatch: Dispatch, id: FormulaId): Asked => dispatch(standings.initiate(id));
const askVersions = (dispatch: Dispatch, id: FormulaId): Asked => dispatch(versions.initiate(id));

/** How the versions stand, by formula; empty for those that are not answered yet. */
export function useStandingsOf(ids: readonly FormulaId[]): Readonly<Record<string, Standings>> {
  const wanted = useOfEach(ids, askStandings);
  return useAppSelector(
    (state) =>
      Object.fromEntries(
        idsOf(wanted).map((id) => [id, standings.select(id)(state).data ?? NO_STANDINGS]),
      ),
    shallowEqual,
  );
}

/** The versions, by formula; empty for those that are not answered yet. */
export function useVersionsOf(
  ids: readonly FormulaId[],
): Readonly<Record<string, readonly VersionRecord[]>> {
  const wanted = useOfEach(ids, askVersions);
  return useAppSelector(
    (state) =>
      Object.fromEntries(idsOf(wanted).map((id) => [id, versions.select(id)(state).data ?? NO_VERSIONS])),
    shallowEqual,
  );
}
