import { Link, useParams } from 'react-router';
import type { BatchRecord } from '#contract';
import { STATE_WORDS } from '#words/batch';
import { batchRunWords } from '#words/screens/batchRun';
import { useBatch } from '../../data/batches';
import { formatVolume } from '#words/numbers';
import { useKitchen } from '../../data/kitchen';
import { NameTape } from '../../parts/FormulaPage';
import { FormulaStages } from '../../parts/FormulaStages';
import { Loading, Trouble } from '../../parts/PageState';
import { BatchLog } from './BatchLog';
import { BatchFamily } from './BatchFamily';
import { FinishBatch } from './FinishBatch';
import { HandWork } from './HandWork';
import { Lots } from './Lots';
import { Papers } from './Papers';
import { RunLoads } from './RunLoads';
import { SignBatch } from './SignBatch';
import { Temperatures } from './Temperatures';

/** One batch from the first gram to the signature. */
export function BatchRunPage() {
  const { batchId = '', id = '' } = useParams();
  const { data, error, refetch } = useBatch(batchId);
  if (data) return <Run key={batchId} batch={data} />;
  if (!error) return <Loading what={batchRunWords.theBatch} />;
  return (
    <Trouble error={error} retry={() => void refetch()}>
      <Link
        to={`/formulas/${id}/batch`}
        className="inline-flex items-center font-semibold text-leaf underline"
      >
        {batchRunWords.allBatchesOfThis}
      </Link>
    </Trouble>
  );
}

function Run({ batch }: { batch: BatchRecord }) {
  const { settings } = useKitchen();
  const { plan, state, formulaId } = batch;
  const closed = state === 'signed' || state === 'called-off';
  const sized = formatVolume(plan.yieldMl, settings);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <NameTape
          name={batch.formulaName ?? batchRunWords.dressing}
          detail={batchRunWords.vVersionBatchNumber(batch.version, batch.number)}
        />
        <span data-testid="batch-state" className="font-semibold">
          {STATE_WORDS[state]}
        </span>
        <span className="text-quiet">
          {sized === plan.target ? sized : batchRunWords.sizedForTarget(sized, plan.target)}
        </span>
        <Link to={`/formulas/${formulaId}/batch`} className="text-leaf underline print:hidden">
          {batchRunWords.allBatchesOfThis}
        </Link>
        <span className="ml-auto max-w-full min-w-0 print:hidden">
          <FormulaStages id={formulaId} />
        </span>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_360px]">
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <BatchFamily batch={batch} />
          <RunLoads batch={batch} />
          {batch.whole && <FinishBatch batch={batch} whole={batch.whole} />}
          {!closed && batch.whole && <SignBatch batch={batch} />}
          <BatchLog batch={batch} />
        </div>
        <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
          <Papers batch={batch} />
          <HandWork batch={batch} />
          <Temperatures batch={batch} />
          <Lots batch={batch} />
        </div>
      </div>
    </div>
  );
}
