/** Formulas, their versions, and documents. */
import type { FormulaRecord, FreezeAnswer, FreezeRequest, ImportReport, KinAnswer, MadeRecord, NewFormula, Shelf, ShelfAnswer, ShelfAsk, ShelfChoices, VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { ALL_TRIALS, baseApi } from './base';

export const formulasApi = baseApi.injectEndpoints({
  endpoints: (build) => ({
    formulas: build.query<ShelfAnswer, ShelfAsk>({
      query: (params) => ({ url: 'formulas', params }),
      providesTags: ['Shelf', ALL_TRIALS],
    }),
    shelfChoices: build.query<ShelfChoices, void>({
      query: () => 'formulas/choices',
      providesTags: ['Shelf'],
    }),
    createFormula: build.mutation<FormulaRecord, NewFormula>({
      query: (body) => ({ url: 'formulas', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    moveFormula: build.mutation<FormulaRecord, { id: FormulaId; shelf: Shelf }>({
      query: ({ id, shelf }) => ({ url: `formulas/${id}/shelf`, method: 'POST', body: { shelf } }),
      invalidatesTags: ['Shelf', 'Made'],
      // It is gone from where it stood at once; the windows are fetched anew when it is done.
      async onQueryStarted({ id, shelf }, { dispatch, getState, queryFulfilled }) {
        const asks = formulasApi.util.selectCachedArgsForQuery(getState(), 'formulas');
        const shown = asks.map((ask) =>
          dispatch(
            formulasApi.util.updateQueryData('formulas', ask, (answer) => ({
              ...answer,
              records: answer.records.filter(
                (record) => record.id !== id || (ask.place ?? 'shelf') === shelf || ask.ids !== undefined,
              ),
            })),
          ),
        );
        queryFulfilled.catch(() => {
          for (const one of shown) one.undo();
        });
      },
    }),
    versions: build.query<VersionRecord[], FormulaId>({
      query: (id) => `formulas/${id}/versions`,
      providesTags: (_result, _error, id) => [{ type: 'Versions', id }],
    }),
    kin: build.query<KinAnswer, FormulaId>({
      query: (id) => `formulas/${id}/kin`,
      providesTags: ['Made'],
    }),
    freeze: build.mutation<FreezeAnswer, FreezeRequest & { id: FormulaId }>({
      query: ({ id, ...body }) => ({ url: `formulas/${id}/versions`, method: 'POST', body }),
      invalidatesTags: (_result, _error, { id }) => ['Shelf', 'Made', { type: 'Versions', id }],
    }),
    made: build.query<MadeRecord[], void>({ query: () => 'formulas/made', providesTags: ['Made'] }),
    /** Beyond those in use and the latest: what a name that is typed may mean. They join the others. */
    madeNamed: build.query<MadeRecord[], string>({
      query: (q) => ({ url: 'formulas/made', params: { q } }),
      async onQueryStarted(_q, { dispatch, queryFulfilled }) {
        const found = await queryFulfilled.catch(() => null);
        if (!found || found.data.length === 0) return;
        dispatch(formulasApi.util.updateQueryData('made', undefined, (known) => withNew(known, found.data)));
      },
    }),
    readDocument: build.mutation<ImportReport, unknown>({
      query: (body) => ({ url: 'document', method: 'POST', body }),
      invalidatesTags: ['Shelf', 'Made', 'Ingredients'],
    }),
  }),
});

/** The same list where nothing is new: nothing has to be reckoned again. */
function withNew(known: MadeRecord[], more: readonly MadeRecord[]): MadeRecord[] {
  const keyOf = ({ formulaId, number }: MadeRecord): string => `${formulaId}/${number}`;
  const have = new Set(known.map(keyOf));
  const fresh = more.filter((one) => !have.has(keyOf(one)));
  return fresh.length === 0 ? known : [...known, ...fresh];
}
