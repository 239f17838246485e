/** Server data. Working formulas live in their own slice; what is fetched here is what the server last said. */
import { frameWords } from '#words/screens/frame';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import type {
  BatchRecord,
  ChangeRequest,
  Combine,
  Cook,
  DevicesAnswer,
  DressingRecord,
  ErrorBody,
  FormulaRecord,
  FreezeAnswer,
  FreezeRequest,
  Hand,
  ImportReport,
  LogAnswer,
  MadeRecord,
  MeasureRecord,
  NewAnswer,
  NewBatch,
  NewBatchEvent,
  NewDressing,
  NewEvent,
  NewFormula,
  NewMeasure,
  NewPanel,
  NewTimer,
  NewTrial,
  OwnIngredient,
  PanelRecord,
  PantryEntry,
  PlanRecord,
  PutPlan,
  KitchenRecords,
  RecordsReport,
  ScaleClaim,
  SessionState,
  Settings,
  Shelf,
  ShelfRecord,
  Standings,
  TimersAnswer,
  TrialRecord,
  VersionRecord,
} from '#contract';
import type { FormulaId } from '#core/formula';
import type { Style } from '#core/palate';
import type { Vessel } from '#core/vessel';

const put = <T extends { readonly id: string }>(place: string, body: T) => ({
  url: `${place}/${body.id}`,
  method: 'PUT',
  body,
});

/** What is told of the whole kitchen's jars, apart from the jars of one formula. */
export const ALL_TRIALS = { type: 'Trials', id: 'ALL' } as const;

export const kitchenApi = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: 15_000 }),
  tagTypes: [
    'Shelf',
    'Formula',
    'Versions',
    'Settings',
    'Vessels',
    'Ingredients',
    'Pantry',
    'Cooks',
    'Styles',
    'Made',
    'Trials',
    'Timers',
    'Measures',
    'Panels',
    'Batches',
    'Dressings',
    'Plans',
    'PlanWeeks',
    'Session',
  ],
  endpoints: (build) => ({
    session: build.query<SessionState, void>({ query: () => 'session', providesTags: ['Session'] }),
    signIn: build.mutation<SessionState, string>({
      query: (passcode) => ({ url: 'session', method: 'POST', body: { passcode } }),
      // Everything that was refused meanwhile is asked for again.
      invalidatesTags: (result) =>
        result
          ? [
              'Session',
              'Shelf',
              'Formula',
              'Settings',
              'Vessels',
              'Ingredients',
              'Pantry',
              'Cooks',
              'Made',
              'Trials',
              'Timers',
              'Measures',
              'Panels',
              'Batches',
              'Dressings',
              'Plans',
              'PlanWeeks',
            ]
          : [],
    }),
    signOut: build.mutation<SessionState, void>({
      query: () => ({ url: 'session', method: 'DELETE', body: {} }),
      invalidatesTags: ['Session'],
    }),
    formulas: build.query<ShelfRecord[], void>({ query: () => 'formulas', providesTags: ['Shelf'] }),
    formula: build.query<FormulaRecord, FormulaId>({
      query: (id) => `formulas/${id}`,
      // The working slice is the owner while a formula is open; a kept answer would be stale.
      keepUnusedDataFor: 0,
      providesTags: (_result, _error, id) => [{ type: 'Formula', id }],
    }),
    createFormula: build.mutation<FormulaRecord, NewFormula>({
      query: (body) => ({ url: 'formulas', method: 'POST', body }),
      invalidatesTags: ['Shelf'],
    }),
    changeFormula: build.mutation<FormulaRecord, { id: FormulaId; change: ChangeRequest }>({
      query: ({ id, change }) => ({ url: `formulas/${id}/changes`, method: 'POST', body: change }),
      invalidatesTags: (_result, _error, { id }) => ['Shelf', { type: 'Formula', id }],
    }),
    moveFormula: build.mutation<FormulaRecord, { id: FormulaId; shelf: Shelf }>({
      query: ({ id, shelf }) => ({ url: `formulas/${id}/shelf`, method: 'POST', body: { shelf } }),
      invalidatesTags: ['Shelf', 'Made'],
      async onQueryStarted({ id, shelf }, { dispatch, queryFulfilled }) {
        const shown = dispatch(
          kitchenApi.util.updateQueryData('formulas', undefined, (list) =>
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
    trials: build.query<TrialRecord[], FormulaId>({
      query: (id) => `formulas/${id}/trials`,
      providesTags: (_result, _error, id) => [{ type: 'Trials', id }],
    }),
    beginTrial: build.mutation<TrialRecord, NewTrial>({
      query: (body) => ({ url: 'trials', method: 'POST', body }),
      invalidatesTags: (_result, _error, { formulaId }) => [{ type: 'Trials', id: formulaId }, ALL_TRIALS],
    }),
    /** The kitchen's latest jars, whatever they are of. */
    kitchenLog: build.query<LogAnswer, { before?: number; q: string; cook: string }>({
      query: (params) => ({ url: 'log', params }),
      providesTags: [ALL_TRIALS],
    }),
    standings: build.query<Standings, void>({ query: () => 'standings', providesTags: [ALL_TRIALS] }),
    latestTrials: build.query<TrialRecord[], void>({ query: () => 'trials', providesTags: [ALL_TRIALS] }),
    /** Sent by the outbox alone: there it is kept until it is recorded. */
    recordEvent: build.mutation<TrialRecord, NewEvent & { trialId: string; formulaId: FormulaId }>({
      query: ({ trialId, formulaId: _formulaId, ...body }) => ({
        url: `trials/${trialId}/events`,
        method: 'POST',
        body,
      }),
    }),
    measures: build.query<MeasureRecord[], void>({
      query: () => 'measures',
      providesTags: ['Measures'],
    }),
    addMeasure: build.mutation<MeasureRecord, NewMeasure>({
      query: (body) => ({ url: 'measures', method: 'POST', body }),
      invalidatesTags: ['Measures'],
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
    readDocument: build.mutation<ImportReport, unknown>({
      query: (body) => ({ url: 'document', method: 'POST', body }),
      invalidatesTags: ['Shelf', 'Made', 'Ingredients'],
    }),
    addRecords: build.mutation<RecordsReport, KitchenRecords>({
      query: (body) => ({ url: 'records', method: 'POST', body }),
      invalidatesTags: ['Trials', 'Batches'],
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
          kitchenApi.util.updateQueryData('plan', day, () => ({ day, revision: revision + 1, content })),
        );
        try {
          await queryFulfilled;
          dispatch(kitchenApi.util.invalidateTags(['PlanWeeks']));
        } catch {
          shown.undo();
          dispatch(kitchenApi.util.invalidateTags(['Plans']));
        }
      },
    }),
    timers: build.query<TimersAnswer, void>({ query: () => 'timers', providesTags: ['Timers'] }),
    startTimer: build.mutation<TimersAnswer, NewTimer>({
      query: (body) => ({ url: 'timers', method: 'POST', body }),
      invalidatesTags: ['Timers'],
    }),
    endTimer: build.mutation<TimersAnswer, string>({
      query: (id) => ({ url: `timers/${id}/end`, method: 'POST', body: {} }),
      invalidatesTags: ['Timers'],
    }),
    devices: build.query<DevicesAnswer, void>({ query: () => 'devices' }),
    claimScale: build.mutation<DevicesAnswer, ScaleClaim & { takeOver: boolean }>({
      query: (body) => ({ url: 'devices/scale/claim', method: 'POST', body }),
    }),
    releaseScale: build.mutation<DevicesAnswer, string>({
      // Sent while the page goes away, too.
      query: (trialId) => ({
        url: 'devices/scale/release',
        method: 'POST',
        body: { trialId },
        keepalive: true,
      }),
    }),
    tareScale: build.mutation<DevicesAnswer, string>({
      query: (trialId) => ({ url: 'devices/scale/tare', method: 'POST', body: { trialId } }),
    }),
    moveHand: build.mutation<unknown, Hand>({
      query: (body) => ({ url: 'devices/hand', method: 'POST', body }),
    }),
    vessels: build.query<Vessel[], void>({ query: () => 'vessels', providesTags: ['Vessels'] }),
    saveVessel: build.mutation<Vessel, Vessel>({
      query: (vessel) => put('vessels', vessel),
      invalidatesTags: ['Vessels'],
    }),
    ownIngredients: build.query<OwnIngredient[], void>({
      query: () => 'ingredients',
      providesTags: ['Ingredients'],
    }),
    saveIngredient: build.mutation<OwnIngredient, OwnIngredient>({
      query: (row) => put('ingredients', row),
      invalidatesTags: ['Ingredients'],
    }),
    pantry: build.query<Record<string, PantryEntry>, void>({
      query: () => 'pantry',
      providesTags: ['Pantry'],
    }),
    savePantry: build.mutation<PantryEntry, { id: string; entry: PantryEntry }>({
      query: ({ id, entry }) => ({ url: `pantry/${id}`, method: 'PUT', body: entry }),
      invalidatesTags: ['Pantry'],
    }),
    styles: build.query<Style[], void>({ query: () => 'styles', providesTags: ['Styles'] }),
    saveStyle: build.mutation<Style, Style>({
      query: (style) => put('styles', style),
      invalidatesTags: ['Styles'],
    }),
    dropStyle: build.mutation<unknown, string>({
      query: (id) => ({ url: `styles/${id}`, method: 'DELETE', body: {} }),
      invalidatesTags: ['Styles'],
    }),
    cooks: build.query<Cook[], void>({ query: () => 'cooks', providesTags: ['Cooks'] }),
    saveCook: build.mutation<Cook, Cook>({ query: (cook) => put('cooks', cook), invalidatesTags: ['Cooks'] }),
    settings: build.query<Settings, void>({ query: () => 'settings', providesTags: ['Settings'] }),
    saveSettings: build.mutation<Settings, Settings>({
      query: (body) => ({ url: 'settings', method: 'PUT', body }),
      // How many makings prove a version is one of them.
      invalidatesTags: [ALL_TRIALS],
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
  useBatchesOfFormulaQuery,
  useBatchesQuery,
  useBatchQuery,
  useBeginBatchMutation,
  useCombineBatchMutation,
  useRecordBatchEventMutation,
  useAddDressingMutation,
  useDressingsQuery,
  useAddMeasureMutation,
  useAnswerPanelMutation,
  useBeginPanelMutation,
  useBeginTrialMutation,
  useClaimScaleMutation,
  useDevicesQuery,
  useEndTimerMutation,
  useKitchenLogQuery,
  useLatestTrialsQuery,
  useMoveHandMutation,
  useReleaseScaleMutation,
  useStartTimerMutation,
  useTareScaleMutation,
  useTimersQuery,
  useChangeFormulaMutation,
  useCooksQuery,
  useCreateFormulaMutation,
  useDropStyleMutation,
  useFormulaQuery,
  useFormulasQuery,
  useFreezeMutation,
  useMadeQuery,
  useMeasuresQuery,
  useMoveFormulaMutation,
  useOwnIngredientsQuery,
  usePanelsQuery,
  useAddRecordsMutation,
  usePlanWeekQuery,
  usePlanQuery,
  useSavePlanMutation,
  useReadDocumentMutation,
  usePantryQuery,
  useSaveCookMutation,
  useSaveIngredientMutation,
  useSavePantryMutation,
  useSaveSettingsMutation,
  useSaveStyleMutation,
  useSaveVesselMutation,
  useSessionQuery,
  useSettingsQuery,
  useSignInMutation,
  useSignOutMutation,
  useStandingsQuery,
  useStylesQuery,
  useTrialsQuery,
  useVersionsQuery,
  useVesselsQuery,
} = kitchenApi;

/** What went wrong, for a cook. */
export function sayError(error: unknown): string {
  const body = (error as { data?: Partial<ErrorBody> } | undefined)?.data;
  if (body?.error) return body.error.message;
  return isUnreachable(error) ? frameWords.theKitchenSServerCannot : frameWords.theKitchenSServerGave;
}

export const isUnreachable = (error: unknown): boolean => {
  const status = (error as { status?: unknown } | undefined)?.status;
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR' || status === 503;
};
