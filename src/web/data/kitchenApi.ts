/** Server data. Working formulas live in their own slice; what is fetched here is what the server last said. */
import type { ErrorBody } from '#contract';
import { frameWords } from '#words/screens/frame';
import { keepingApi } from './endpoints/keeping';

export { ALL_TAGS, ALL_TRIALS } from './endpoints/base';
/** All there is to ask for. */
export const kitchenApi = keepingApi;

export const {
  useBatchesOfFormulaQuery,
  useBatchDaysQuery,
  useBatchesQuery,
  useBatchQuery,
  useBeginBatchMutation,
  useCombineBatchMutation,
  useRecordBatchEventMutation,
  useDressingsQuery,
  useAddMeasureMutation,
  useAnswerPanelMutation,
  useBeginPanelMutation,
  useBeginTrialMutation,
  useClaimScaleMutation,
  useDevicesQuery,
  useJarTimesQuery,
  useKitchenJarsQuery,
  useMoveHandMutation,
  useReleaseScaleMutation,
  useTareScaleMutation,
  useTimersQuery,
  useCooksQuery,
  useCreateFormulaMutation,
  useFindQuery,
  useFormulasQuery,
  useFreezeMutation,
  useKitchenNewsQuery,
  useLessonsQuery,
  useMadeNamedQuery,
  useMadeQuery,
  useMeasuresQuery,
  useMoveFormulaMutation,
  useOwnIngredientsQuery,
  usePanelsQuery,
  usePicturesQuery,
  useKeepPictureMutation,
  useRemovePictureMutation,
  useAddRecordsMutation,
  usePlanWeekQuery,
  useReadDocumentMutation,
  usePantryQuery,
  useBackupsQuery,
  useRestoringQuery,
  useSessionQuery,
  useSaidQuery,
  useSettingsQuery,
  useShelfChoicesQuery,
  useSignInMutation,
  useSignOutMutation,
  useStandingsQuery,
  useStylesQuery,
  useTrialsQuery,
  useKinQuery,
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
