import { Link } from 'react-router';
import type { BatchRecord } from '#contract';
import { STATE_WORDS } from '#words/batch';
import { formatDay, formatVolume } from '#words/numbers';
import { batchRunWords } from '#words/screens/batchRun';
import { keepUntilOf } from '#kitchen/paper';
import { useKitchen } from '../../data/kitchen';
import { isOpen, isUntasted, useFamily } from './useFamily';

/** A base and what it is poured on into: one weigh-out from the first to the last, each with its own day and labels. */
export function BatchFamily({ batch }: { batch: BatchRecord }) {
  const { settings } = useKitchen();
  const { members, next } = useFamily(batch);
  if (members.length < 2) return null;
  const [base] = members;
  const isBase = batch.base === null;
  const waits = !isBase && (isOpen(base!) || isUntasted(base!));
  return (
    <section
      aria-labelledby="batch-family"
      data-testid="batch-family"
      className="card grid grid-cols-[minmax(0,1fr)] gap-2 p-4"
    >
      <h2 id="batch-family" className="font-name text-lg font-bold">
        {batchRunWords.oneBase(members.length - 1)}
      </h2>
      <ol className="flex flex-wrap gap-x-3 gap-y-2">
        {members.map((one) => (
          <li
            key={one.id}
            aria-current={one.id === batch.id ? 'page' : undefined}
            className={`grid min-w-40 flex-1 content-start rounded-md border px-3 py-2 ${
              one.id === batch.id ? 'border-edge bg-tape' : 'border-rule'
            }`}
          >
            <Link
              to={`/formulas/${one.formulaId}/batch/${one.id}`}
              className={`font-semibold underline ${one.id === batch.id ? '' : 'text-leaf'}`}
            >
              {one.formulaName ?? batchRunWords.dressing}
            </Link>
            <span className="text-sm">
              {formatVolume(Math.max(0, one.plan.yieldMl - (one.plan.pouredOnMl ?? 0)), settings)},{' '}
              {STATE_WORDS[one.state]}
              {one.id === next?.id && <strong>, {batchRunWords.nextOfThem}</strong>}
            </span>
            <span className="text-sm">
              {batchRunWords.useBy} {formatDay(keepUntilOf(one).day)}
            </span>
          </li>
        ))}
      </ol>
      {waits && (
        <p className="border-l-4 border-l-oil pl-3 font-semibold" data-testid="base-first">
          {batchRunWords.makeTheBaseFirst(base!.number)}
        </p>
      )}
      {isBase && isUntasted(batch) && (
        <p className="border-l-4 border-l-oil pl-3 font-semibold">{batchRunWords.tasteBeforePouring}</p>
      )}
      {batch.base?.state === 'called-off' && (
        <p className="border-l-4 border-l-acid pl-3 font-semibold">
          {batchRunWords.theBaseWasCalledOff(batch.base.number)}
        </p>
      )}
      {next && next.id !== batch.id && !isOpen(batch) && (
        <Link
          to={`/formulas/${next.formulaId}/batch/${next.id}`}
          data-next
          className="inline-flex min-h-16 items-center justify-center rounded-md bg-bottle px-6 text-lg font-semibold text-white hover:bg-bottle-soft print:hidden"
        >
          {batchRunWords.onToEnding(next.formulaName ?? batchRunWords.dressing)}
        </Link>
      )}
    </section>
  );
}
