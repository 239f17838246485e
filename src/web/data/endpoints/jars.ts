/** Jars and what happened to them, measures and blind tastings. */
import type { By, JarsAnswer, JarTimes, KitchenNews, MeasureRecord, NewAnswer, NewEvent, NewMeasure, NewPanel, NewPicture, PanelRecord, PictureRecord, PicturesAnswer, KitchenRecords, RecordsReport, Standings, StyleSaid, TrialRecord } from '#contract';
import type { FormulaId } from '#core/formula';
import type { HoldLesson } from '#core/trial';
import type { BegunJar } from '../../sync/outboxSlice';
import { ALL_TRIALS } from './base';
import { formulasApi } from './formulas';

/** What is not named is not asked for. */
export interface JarsAsked {
  readonly q?: string;
  readonly cook?: string;
  readonly bottle?: string;
  readonly formula?: string;
  readonly from?: string;
  readonly to?: string;
}

export const jarsApi = formulasApi.injectEndpoints({
  endpoints: (build) => ({
    trials: build.query<TrialRecord[], FormulaId>({
      query: (id) => `formulas/${id}/trials`,
      providesTags: (_result, _error, id) => [{ type: 'Trials', id }],
    }),
    beginTrial: build.mutation<TrialRecord, BegunJar & { readonly by: By }>({
      query: (body) => ({ url: 'trials', method: 'POST', body }),
      invalidatesTags: (_result, _error, { formulaId }) => [{ type: 'Trials', id: formulaId }, ALL_TRIALS],
    }),
    /** The kitchen's jars, whatever they are of, a page at a time. */
    kitchenJars: build.query<JarsAnswer, JarsAsked & { readonly before?: string }>({
      query: (params) => ({ url: 'log/jars', params }),
      providesTags: [ALL_TRIALS],
    }),
    jarTimes: build.query<JarTimes, JarsAsked>({
      query: (params) => ({ url: 'log/times', params }),
      providesTags: [ALL_TRIALS],
    }),
    standings: build.query<Standings, FormulaId>({
      query: (id) => `formulas/${id}/standings`,
      providesTags: (_result, _error, id) => [{ type: 'Trials', id }, ALL_TRIALS],
    }),
    kitchenNews: build.query<KitchenNews, void>({ query: () => 'log/news', providesTags: [ALL_TRIALS] }),
    said: build.query<StyleSaid[], void>({ query: () => 'log/said', providesTags: [ALL_TRIALS] }),
    lessons: build.query<HoldLesson[], void>({ query: () => 'log/lessons', providesTags: [ALL_TRIALS] }),
    /** Sent by the outbox alone: there it is kept until it is recorded. */
    recordEvent: build.mutation<TrialRecord, NewEvent & { trialId: string; formulaId: FormulaId }>({
      query: ({ trialId, formulaId: _formulaId, ...body }) => ({
        url: `trials/${trialId}/events`,
        method: 'POST',
        body,
      }),
    }),
    addRecords: build.mutation<RecordsReport, KitchenRecords>({
      query: (body) => ({ url: 'records', method: 'POST', body }),
      invalidatesTags: ['Trials', 'Batches'],
    }),
    measures: build.query<MeasureRecord[], void>({
      query: () => 'measures',
      providesTags: ['Measures'],
    }),
    addMeasure: build.mutation<MeasureRecord, NewMeasure>({
      query: (body) => ({ url: 'measures', method: 'POST', body }),
      invalidatesTags: ['Measures'],
    }),
    pictures: build.query<PicturesAnswer, string>({
      query: (trialId) => `trials/${trialId}/pictures`,
      providesTags: ['Pictures'],
    }),
    keepPicture: build.mutation<PictureRecord, NewPicture & { readonly trialId: string }>({
      query: ({ trialId, ...body }) => ({ url: `trials/${trialId}/pictures`, method: 'POST', body }),
      invalidatesTags: ['Pictures'],
    }),
    removePicture: build.mutation<unknown, string>({
      query: (id) => ({ url: `pictures/${id}`, method: 'DELETE', body: {} }),
      invalidatesTags: ['Pictures'],
    }),
    panels: build.query<PanelRecord[], void>({ query: () => 'panels', providesTags: ['Panels'] }),
    beginPanel: build.mutation<PanelRecord, NewPanel>({
      query: (body) => ({ url: 'panels', method: 'POST', body }),
      invalidatesTags: ['Panels'],
    }),
    answerPanel: build.mutation<PanelRecord, NewAnswer & { panelId: string }>({
      query: ({ panelId, ...body }) => ({ url: `panels/${panelId}/answers`, method: 'POST', body }),
      invalidatesTags: ['Panels'],
    }),
  }),
});
