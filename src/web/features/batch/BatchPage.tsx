import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import type { VersionRecord } from '#contract';
import { STATE_WORDS } from '#words/batch';
import { sameContent, stagesOf, upToStage, type FormulaId } from '#core/formula';
import { batchPlanWords } from '#words/screens/batchPlan';
import {
  sayError,
  useBatchesOfFormulaQuery,
  useStandingsQuery,
  useVersionsQuery,
} from '../../data/kitchenApi';
import { formatVolume } from '#words/numbers';
import { usualVersion } from '#kitchen/batch';
import { useKitchen } from '../../data/kitchen';
import { useWorking } from '../../sync/useWorking';
import { useFreezeNow } from '../../sync/freeze';
import { type WorkingFormula } from '../../sync/working';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { FormulaPending } from '../../parts/FormulaPage';
import { BatchPlanner } from './BatchPlanner';
import { useBatchDraft } from './draft';
import { JarStrip } from './JarStrip';
import { StageHead } from '../../parts/StageHead';

/** From a tested jar to a kitchen batch: planned from a version that does not change any more. */
export function BatchPage() {
  const id = useParams().id as FormulaId;
  const { working, error, retry } = useWorking(id);
  const versions = useVersionsQuery(id);
  if (!working || !versions.data) {
    return (
      <FormulaPending
        error={error ?? versions.error}
        what={batchPlanWords.theBatch}
        retry={() => {
          retry();
          void versions.refetch();
        }}
      />
    );
  }
  return <Bench key={id} working={working} versions={versions.data} />;
}

function Bench({ working, versions }: { working: WorkingFormula; versions: readonly VersionRecord[] }) {
  const [draft, setDraft] = useBatchDraft();
  const standings = useStandingsQuery(working.id).data;
  const newestFirst = [...versions].sort((a, b) => b.number - a.number);
  const stateOf = (number: number) => standings?.[number]?.state ?? 'draft';
  const usual = usualVersion(standings, newestFirst[0]?.number ?? 0);
  const numbered = (number: number | null) => newestFirst.find((one) => one.number === number);
  const whole = numbered(draft.version) ?? numbered(usual) ?? null;
  const names = whole ? stagesOf(whole.formula) : [];
  const last = names.length - 1;
  const stage = draft.stage !== null && draft.stage < last ? draft.stage : null;
  const version = useMemo(
    () => whole && (stage === null ? whole : { ...whole, formula: upToStage(whole.formula, stage) }),
    [whole, stage],
  );
  const changed = working.baseVersion === null || !sameContent(working.baseVersion.formula, working.formula);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <StageHead
        id={working.id}
        name={working.formula.name}
        detail={version ? batchPlanWords.vNumberToABatch(version.number) : batchPlanWords.toABatch}
      />
      {changed && (
        <FreezeFirst
          working={working}
          hasVersions={versions.length > 0}
          onFrozen={(number) => {
            setDraft({ version: number });
          }}
        />
      )}
      {last > 0 && (
        <div className="flex flex-wrap items-center gap-3 print:hidden" data-testid="as-far-as">
          <span aria-hidden className="font-semibold">
            {batchPlanWords.asFarAs}
          </span>
          <Chips
            label={batchPlanWords.asFarAs}
            value={String(stage ?? last)}
            options={names.map((name, i) => ({ value: String(i), label: name }))}
            onChange={(value) => {
              setDraft({ stage: Number(value) === last ? null : Number(value) });
            }}
          />
        </div>
      )}
      {version && (
        <BatchPlanner
          stopsAt={stage === null ? null : { stage, name: names[stage]! }}
          working={working}
          version={version}
          draft={draft}
          setDraft={setDraft}
          versions={newestFirst.map(({ number }) => ({ number, state: stateOf(number) }))}
        />
      )}
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-2">
        <BatchesSoFar formulaId={working.id} />
        {version && <JarStrip working={working} version={version} />}
      </div>
    </div>
  );
}

/** Working changes are in no version: a batch is never planned from what may still move. */
function FreezeFirst({
  working,
  hasVersions,
  onFrozen,
}: {
  working: WorkingFormula;
  hasVersions: boolean;
  onFrozen: (number: number) => void;
}) {
  const freezing = useFreezeNow();
  const [wanted, setWanted] = useState(false);
  const next = working.latestNumber + 1;
  const run = async (): Promise<void> => {
    setWanted(true);
    try {
      onFrozen((await freezing.freezeNow(working, batchPlanWords.forABatch)).number);
    } catch {
      // Said below.
    }
  };
  return (
    <section
      aria-label={batchPlanWords.notFrozen}
      className="card flex flex-wrap items-center gap-3 border-l-4 border-l-oil p-3"
    >
      <p className="flex-1 basis-80">
        {hasVersions ? batchPlanWords.yourLatestChangesAreIn : batchPlanWords.aBatchIsPlannedFrom}
        {wanted && freezing.error !== undefined && (
          <span role="alert" className="block font-semibold text-acid-ink">
            {batchPlanWords.notFrozenError(sayError(freezing.error))}
          </span>
        )}
      </p>
      <Button
        kind={hasVersions ? 'plain' : 'main'}
        data-next={hasVersions ? undefined : ''}
        disabled={working.save !== 'saved' || freezing.isLoading}
        onClick={() => void run()}
      >
        {batchPlanWords.freezeAsVNextAnd(next)}
      </Button>
    </section>
  );
}

function BatchesSoFar({ formulaId }: { formulaId: FormulaId }) {
  const { settings } = useKitchen();
  const [offset, setOffset] = useState(0);
  const { data } = useBatchesOfFormulaQuery({ id: formulaId, offset });
  const batches = data?.batches ?? [];
  return (
    <section aria-label={batchPlanWords.batchesOfThis} className="card p-4 print:hidden">
      <h2 className="font-name mb-1 text-lg font-bold">{batchPlanWords.batchesOfThis}</h2>
      {data && batches.length === 0 && <p className="text-quiet">{batchPlanWords.noneYetWhatIsPlanned}</p>}
      <ul>
        {batches.map(({ id, number, version, yieldMl, state }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-t border-rule py-1.5">
            <Link to={`/formulas/${formulaId}/batch/${id}`} className="font-semibold text-leaf underline">
              {number}
            </Link>
            <span>
              v{version}, {formatVolume(yieldMl, settings)}
            </span>
            <span className="ml-auto text-quiet">{STATE_WORDS[state]}</span>
          </li>
        ))}
      </ul>
      {(offset > 0 || data?.more) && (
        <p className="flex gap-3 pt-2">
          {offset > 0 && (
            <Button
              onClick={() => {
                setOffset(0);
              }}
            >
              {batchPlanWords.theLatest}
            </Button>
          )}
          {data?.more && (
            <Button
              onClick={() => {
                setOffset(offset + batches.length);
              }}
            >
              {batchPlanWords.earlierOnes}
            </Button>
          )}
        </p>
      )}
    </section>
  );
}
