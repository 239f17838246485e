/** Server data. Working formulas live in their own slice; what is fetched here is what the server last said. */
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type {
  ErrorBody,
  FormulaRecord,
  FreezeRequest,
  NewFormula,
  OwnIngredient,
  Settings,
  VersionRecord,
} from '#contract';
import type { FormulaId } from '#core/formula';
import type { Vessel } from '#core/vessel';

export const kitchenApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 }),
  tagTypes: ['Shelf', 'Settings'],
  endpoints: (build) => ({
    formulas: build.query<FormulaRecord[], void>({ query: () => 'formulas', providesTags: ['Shelf'] }),
    formula: build.query<FormulaRecord, FormulaId>({
      query: (id) => `formulas/${id}`,
      // The working slice is the owner while a formula is open; a kept answer would be stale.
      keepUnusedDataFor: 0,
    }),
    createFormula: build.mutation<FormulaRecord, NewFormula>({
      query: (body) => ({ url: 'formulas', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    freeze: build.mutation<VersionRecord, FreezeRequest & { id: FormulaId }>({
      query: ({ id, ...body }) => ({ url: `formulas/${id}/versions`, method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    vessels: build.query<Vessel[], void>({ query: () => 'vessels' }),
    ownIngredients: build.query<OwnIngredient[], void>({ query: () => 'ingredients' }),
    settings: build.query<Settings, void>({ query: () => 'settings', providesTags: ['Settings'] }),
    saveSettings: build.mutation<Settings, Settings>({
      query: (body) => ({ url: 'settings', method: 'PUT', body }),
      async onQueryStarted(next, { dispatch, queryFulfilled }) {
        const shown = dispatch(kitchenApi.util.updateQueryData('settings', undefined, () => next));
        try {
          await queryFulfilled;
        } catch {
          shown.undo();
        }
      },
    }),
  }),
});

export const {
  useCreateFormulaMutation,
  useFormulaQuery,
  useFormulasQuery,
  useFreezeMutation,
  useOwnIngredientsQuery,
  useSaveSettingsMutation,
  useSettingsQuery,
  useVesselsQuery,
} = kitchenApi;

/** What went wrong, for a cook. */
export function sayError(error: unknown): string {
  const body = (error as { data?: Partial<ErrorBody> } | undefined)?.data;
  if (body?.error) return body.error.message;
  return isUnreachable(error)
    ? 'The kitchen’s server cannot be reached. Start it again, then try once more.'
    : 'The kitchen’s server gave no usable answer. Try once more.';
}

export const isUnreachable = (error: unknown): boolean => {
  const status = (error as { status?: unknown } | undefined)?.status;
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || status === 503;
};
