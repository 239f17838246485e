/** Batches, what dishes took, and the plan of a day. */
import type { BatchRecord, Combine, DressingRecord, NewBatch, NewBatchEvent, NewDressing, PlanRecord, PutPlan } from '#contract';
import type { FormulaId } from '#core/formula';
import { ALL_TRIALS } from './base';
import { jarsApi } from './jars';

export const batchesApi = jarsApi.injectEndpoints({
  endpoints: (build) => ({
    batches: build.query<BatchRecord[], void>({ query: () => 'batches', providesTags: ['Batches'] }),
    batchesOfFormula: build.query<BatchRecord[], FormulaId>({
      query: (id) => `formulas/${id}/batches`,
      providesTags: ['Batches'],
    }),
    batch: build.query<BatchRecord, string>({ query: (id) => `batches/${id}`, providesTags: ['Batches'] }),
    beginBatch: build.mutation<BatchRecord, NewBatch>({
      query: (body) => ({ url: 'batches', method: 'POST', body }),
      invalidatesTags: (_result, _error, { formulaId }) => ['Batches', { type: 'Trials', id: formulaId }],
    }),
    recordBatchEvent: build.mutation<BatchRecord, NewBatchEvent & { batchId: string }>({
      query: ({ batchId, ...body }) => ({ url: `batches/${batchId}/events`, method: 'POST', body }),
      invalidatesTags: ['Batches'],
    }),
    combineBatch: build.mutation<BatchRecord, Combine & { batchId: string }>({
      query: ({ batchId, ...body }) => ({ url: `batches/${batchId}/combine`, method: 'POST', body }),
      invalidatesTags: (result) => [
        'Batches',
        ALL_TRIALS,
        ...(result ? [{ type: 'Trials' as const, id: result.formulaId }] : []),
      ],
    }),
    dressings: build.query<DressingRecord[], void>({ query: () => 'dressings', providesTags: ['Dressings'] }),
    addDressing: build.mutation<DressingRecord, NewDressing>({
      query: (body) => ({ url: 'dressings', method: 'POST', body }),
      invalidatesTags: ['Dressings'],
    }),
    plan: build.query<PlanRecord, string>({ query: (day) => `plans/${day}`, providesTags: ['Plans'] }),
    planWeek: build.query<PlanRecord[], string>({
      query: (day) => `weeks/${day}`,
      providesTags: ['Plans', 'PlanWeeks'],
    }),
    savePlan: build.mutation<PlanRecord, PutPlan>({
      query: (body) => ({ url: `plans/${body.day}`, method: 'PUT', body }),
      // Shown at once; what another device has meanwhile is said, and fetched.
      async onQueryStarted({ day, revision, content }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          batchesApi.util.updateQueryData('plan', day, () => ({ day, revision: revision + 1, content })),
        );
        try {
          await queryFulfilled;
          dispatch(batchesApi.util.invalidateTags(['PlanWeeks']));
        } catch {
          shown.undo();
          dispatch(batchesApi.util.invalidateTags(['Plans']));
        }
      },
    }),
  }),
});
