import { useEffect, useRef, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { daySchema, type VersionRecord } from '#contract';
import { keepUntil, type BatchPlan, type BatchRequest } from '#core/batch';
import type { FormulaId } from '#core/formula';
import { sayBatchProblem } from '#words/batch';
import type { VersionState } from '#core/trial';
import { batchPlanWords } from '#words/screens/batchPlan';
import { Alert } from '../../ui/Alert';
import { sayError, useBeginBatchMutation } from '../../data/kitchenApi';
import { formatMass, formatVolume } from '#words/numbers';
import { newBatchOf, notAfterOf, withEndings, type ReadVersion } from '#kitchen/batch';
import { byNow, newId } from '../../sync/device';
import { useKitchen } from '../../data/kitchen';
import type { WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Working } from '../../ui/Working';
import { sayTarget, type BatchDraft, type SetDraft } from './draft';
import { ForADish } from './ForADish';
import { LoadsAside } from './LoadsAside';
import { PlanFields } from './PlanFields';
import { PlanTable } from './PlanTable';
import { PullTable } from './PullTable';
import { SplitInto } from './SplitInto';
import { useEndings, useSplit, type EndingRow, type SplitPlanning } from './useSplit';
import { today } from '#kitchen/day';
import { useBatchPlan } from './useBatchPlan';

interface PlannerProps {
  readonly working: WorkingFormula;
  readonly version: VersionRecord;
  /** Where it is stopped; null: it is made to its end. */
  readonly stopsAt: { readonly stage: number; readonly name: string } | null;
  readonly versions: readonly { readonly number: number; readonly state: VersionState }[];
  readonly draft: BatchDraft;
  readonly setDraft: SetDraft;
}

const NONE: readonly EndingRow[] = [];
const STATE_HINTS: Readonly<Record<VersionState, string | null>> = {
  proven: null,
  tried: batchPlanWords.triedNotProvenItWas,
  draft: batchPlanWords.aDraftNoJarOf,
};

/** How much, with what, and what comes of it: the plan is there as soon as something is typed. */
export function BatchPlanner({ working, version, stopsAt, versions, draft, setDraft }: PlannerProps) {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const { rows, pouredOnMl } = useEndings(working.id, version.number, draft);
  // A base that is stopped early is not what its endings have in them.
  const splits = stopsAt === null && rows.length > 0;
  const planning = useBatchPlan(version, draft, kitchen, splits ? pouredOnMl : 0);
  const { request, search, stop, again, problems, read } = planning;
  const { lines, toTaste, unread } = read;
  const answer = search.status === 'done' ? search.answer : null;
  // The plan before stays on the screen while the next is worked out.
  const [last, setLast] = useState<{ plan: BatchPlan; request: BatchRequest } | null>(null);
  useEffect(() => {
    if (answer?.status === 'planned' && request) setLast({ plan: answer, request });
  }, [answer, request]);
  const shown = answer?.status === 'cannot' ? null : last;
  const splitting = useSplit(
    splits ? rows : NONE,
    { id: working.id, version: version.number, read },
    shown?.plan ?? null,
    request,
    kitchen,
  );
  const state = versions.find(({ number }) => number === version.number)?.state ?? 'draft';
  const say = (amount: number, unit: 'ml' | 'g'): string =>
    unit === 'ml' ? formatVolume(amount, settings) : formatMass(amount, settings);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5">
      <PlanFields
        draft={draft}
        setDraft={setDraft}
        versions={versions}
        version={version}
        lines={lines}
        problems={problems}
        kitchen={kitchen}
        request={request}
        plan={shown?.plan ?? null}
      />
      <ForADish formulaId={working.id} formula={version.formula} kitchen={kitchen} setDraft={setDraft} />
      {splits && (
        <SplitInto
          id={working.id}
          name={working.formula.name}
          version={version.number}
          rows={rows}
          planning={splitting}
          plan={shown?.plan ?? null}
          setDraft={setDraft}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_360px]">
        <section
          aria-label={batchPlanWords.thePlan}
          className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4 lg:min-h-[44rem]"
        >
          {STATE_HINTS[state] && (
            <p className="border-l-4 border-l-oil pl-3 font-semibold" data-testid="unproven">
              {batchPlanWords.vNumberIsStatehints(version.number, STATE_HINTS[state])}
            </p>
          )}
          {unread.length > 0 && (
            <p role="alert" className="border-l-4 border-l-acid pl-3">
              {batchPlanWords.notReadAndNotScaled(unread.join('; '))}
            </p>
          )}
          {search.status === 'working' && (
            <Working what={batchPlanWords.planningTheBatch} done={search.done} onStop={stop} />
          )}
          {(search.status === 'failed' || search.status === 'stopped') && (
            <p role="alert">
              {search.status === 'failed' ? search.message : batchPlanWords.stoppedWhatStandsHereIs}{' '}
              <Button onClick={again}>{batchPlanWords.planAgain}</Button>
            </p>
          )}
          {answer?.status === 'cannot' && request && (
            <p role="alert" className="font-semibold" data-testid="cannot">
              {sayBatchProblem(answer.problem, request.tool, say)}
            </p>
          )}
          {!request && lines.length === 0 && (
            <p className="text-quiet">{batchPlanWords.thereIsNothingInThis}</p>
          )}
          {shown && <PlanTable {...shown} formula={version.formula} kitchen={kitchen} toTaste={toTaste} />}
          {shown && answer && request === shown.request && (
            <TakeOn
              working={working}
              stopsAt={stopsAt}
              version={version}
              draft={draft}
              read={read}
              state={state}
              plan={shown.plan}
              request={shown.request}
              poured={splits && pouredOnMl > 0 ? splitting : null}
            />
          )}
        </section>
        {shown ? (
          <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
            <LoadsAside {...shown} settings={settings} />
            <PullTable
              list={splitting.split?.pullList ?? shown.plan.pullList}
              portions={splitting.split ? 0 : shown.plan.portions}
              settings={settings}
              onlyBatch
            />
          </div>
        ) : (
          <div />
        )}
      </div>
    </div>
  );
}

interface TakeOnProps {
  readonly working: WorkingFormula;
  readonly version: VersionRecord;
  readonly stopsAt: PlannerProps['stopsAt'];
  readonly draft: BatchDraft;
  readonly read: ReadVersion;
  readonly state: VersionState;
  readonly plan: BatchPlan;
  readonly request: BatchRequest;
  /** What it is poured on into; null: nothing. */
  readonly poured: SplitPlanning | null;
}

/** Writes the plan down for a day: from then on it does not change. */
function TakeOn({ working, version, stopsAt, draft, read, state, plan, request, poured }: TakeOnProps) {
  const { settings, pantry } = useKitchen();
  const navigate = useNavigate();
  const [begin, beginning] = useBeginBatchMutation();
  const [search] = useSearchParams();
  const [day, setDay] = useState(() => search.get('day') ?? today());
  // One id for the try: sent again after a failure it is the same batch.
  const id = useRef(newId());
  const endingIds = useRef(new Map<FormulaId, string>());
  // All of it or none: an ending that is not worked out yet, or does not fit, is not left behind unsaid.
  const whole = poured === null || (poured.split !== null && poured.split.overMl === 0);
  const dayFits = daySchema.safeParse(day).success;
  const take = async (): Promise<void> => {
    const size = sayTarget(draft, settings.servingVolumeMl);
    const target = stopsAt ? batchPlanWords.onlyAsFarAs(size, stopsAt.name) : size;
    const stage = stopsAt?.stage;
    const about = { id: id.current, formulaId: working.id, version, state, stage, day, target, by: byNow() };
    try {
      const base = newBatchOf(about, plan, request, read, pantry);
      const over = {
        day: keepUntil(day, read.judged.keeping, null, notAfterOf(plan, pantry)).day,
        name: working.formula.name,
      };
      const endings = (poured?.endings ?? []).map((one) => {
        const { formulaId, version: own, state: stands, baseMl } = one.row;
        const ownId = endingIds.current.get(formulaId) ?? newId();
        endingIds.current.set(formulaId, ownId);
        const said = batchPlanWords.outOf(formatVolume(baseMl, settings), working.formula.name);
        return newBatchOf(
          { id: ownId, formulaId, version: own, state: stands, day, target: said, by: byNow() },
          one.plan,
          one.request,
          one.read,
          pantry,
        );
      });
      const batch = await begin(withEndings(base, endings, over)).unwrap();
      void navigate(`/formulas/${working.id}/batch/${batch.id}`);
    } catch {
      // Said below; the plan and the id stay.
    }
  };
  return (
    <form
      className="flex flex-wrap items-end gap-3 border-t border-rule pt-3 print:hidden"
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
    >
      <Field
        label={batchPlanWords.forTheDay}
        type="date"
        value={day}
        onText={setDay}
        problem={dayFits ? null : batchPlanWords.aDayOfTheCalendar}
        className="w-44"
      />
      <Button
        kind="main"
        data-next
        type="submit"
        className="min-h-11 flex-1 basis-64"
        disabled={!dayFits || !whole || beginning.isLoading}
      >
        {batchPlanWords.takeItOnFormOf(
          plan.loads.length === 1 ? batchPlanWords.oneLoad : batchPlanWords.lengthLoads(plan.loads.length),
          version.number,
          poured?.endings.length ?? 0,
        )}
      </Button>
      {beginning.error !== undefined && (
        <Alert className="w-full">{batchPlanWords.notWrittenDownError(sayError(beginning.error))}</Alert>
      )}
    </form>
  );
}
