/** Batches, what dishes took, and the plan of a day. */
import type { BatchList, BatchRecord, Combine, DressingRecord, NewBatch, NewBatchEvent, NewDressing, PlanRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import { ALL_TRIALS } from './base';
import { jarsApi } from './jars';

export const batchesApi = jarsApi.injectEndpoints({
  endpoints: (build) => ({
    batches: build.query<BatchRecord[], { day: string } | { from: string; to: string }>({
      query: (params) => ({ url: 'batches', params }),
      providesTags: ['Batches'],
    }),
    batchDays: build.query<string[], void>({ query: () => 'batches/days', providesTags: ['Batches'] }),
    batchesOfFormula: build.query<BatchList, { id: FormulaId; offset: number }>({
      query: ({ id, offset }) => ({ url: `formulas/${id}/batches`, params: { offset } }),
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
    planWeek: build.query<PlanRecord[], string>({
      query: (day) => `weeks/${day}`,
      providesTags: ['PlanWeeks'],
    }),
  }),
});
