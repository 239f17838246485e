/** Formulas, their versions, and documents. */
import type { FormulaRecord, FreezeAnswer, FreezeRequest, ImportReport, MadeRecord, NewFormula, Shelf, ShelfRecord, VersionRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { baseApi } from './base';

export const formulasApi = baseApi.injectEndpoints({
  endpoints: (build) => ({
    formulas: build.query<ShelfRecord[], void>({ query: () => 'formulas', providesTags: ['Shelf'] }),
    createFormula: build.mutation<FormulaRecord, NewFormula>({
      query: (body) => ({ url: 'formulas', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    moveFormula: build.mutation<FormulaRecord, { id: FormulaId; shelf: Shelf }>({
      query: ({ id, shelf }) => ({ url: `formulas/${id}/shelf`, method: 'POST', body: { shelf } }),
      invalidatesTags: ['Shelf', 'Made'],
      async onQueryStarted({ id, shelf }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          formulasApi.util.updateQueryData('formulas', undefined, (list) =>
            list.map((record) => (record.id === id ? { ...record, shelf } : record)),
          ),
        );
        queryFulfilled.catch(() => {
          shown.undo();
        });
      },
    }),
    versions: build.query<VersionRecord[], FormulaId>({
      query: (id) => `formulas/${id}/versions`,
      providesTags: (_result, _error, id) => [{ type: 'Versions', id }],
    }),
    freeze: build.mutation<FreezeAnswer, FreezeRequest & { id: FormulaId }>({
      query: ({ id, ...body }) => ({ url: `formulas/${id}/versions`, method: 'POST', body }),
      invalidatesTags: (_result, _error, { id }) => ['Shelf', 'Made', { type: 'Versions', id }],
    }),
    made: build.query<MadeRecord[], void>({ query: () => 'formulas/made', providesTags: ['Made'] }),
    readDocument: build.mutation<ImportReport, unknown>({
      query: (body) => ({ url: 'document', method: 'POST', body }),
      invalidatesTags: ['Shelf', 'Made', 'Ingredients'],
    }),
  }),
});
