import { TOOL_WORDS } from '#words/hold';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { daySchema, type BatchRecord } from '#contract';
import { latestOf } from '#core/batch';
import { STATE_WORDS } from '#words/batch';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { useBatchDaysQuery, useBatchesQuery } from '../../data/kitchenApi';
import { formatDay, formatMoney, formatVolume } from '#words/numbers';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { Loading, Trouble } from '../../parts/PageState';
import { NextStep } from '../../parts/NextStep';
import { Orders } from './Orders';
import { keepUntilOf } from '#kitchen/paper';
import { PullTable } from './PullTable';
import { pullOfBatches } from '#kitchen/batch';
import { today } from '#kitchen/day';
import { usePaper } from '../../data/usePaper';
import { HeadRow } from '../../ui/HeadRow';

/** The batches of a day beside each other, with one pull list for all of them. */
export function DayPage() {
  const [search] = useSearchParams();
  const day = daySchema.safeParse(search.get('day')).data ?? today();
  const { currentData, error, refetch } = useBatchesQuery({ day });
  if (currentData) return <Day key={day} day={day} shown={currentData} />;
  return error ? (
    <Trouble error={error} retry={() => void refetch()} />
  ) : (
    <Loading what={batchRunWords.theBatches} />
  );
}

function Day({ day, shown }: { day: string; shown: readonly BatchRecord[] }) {
  const kitchen = useKitchen();
  const { settings } = kitchen;
  const [, setSearch] = useSearchParams();
  const [dayText, setDayText] = useState(day);
  const paper = usePaper();
  // What is done or called off needs nothing from the store any more.
  const toMake = shown.filter(({ state }) => state === 'planned' || state === 'weighing');
  const pull = pullOfBatches(toMake, kitchen);
  const portions = toMake.reduce((sum, { plan }) => sum + plan.portions, 0);
  const otherDays = (useBatchDaysQuery().data ?? []).filter((one) => one !== day);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <div className="flex flex-wrap items-end gap-4">
        <h1 className="font-name text-2xl font-bold">{batchRunWords.batchesDay(formatDay(day))}</h1>
        <Field
          label={batchRunWords.day2}
          type="date"
          value={dayText}
          onText={(text) => {
            setDayText(text);
            if (daySchema.safeParse(text).success) setSearch({ day: text }, { replace: true });
          }}
          className="w-44 print:hidden"
        />
        {otherDays.length > 0 && (
          <p className="text-sm text-quiet print:hidden">
            {batchRunWords.also}{' '}
            {otherDays.slice(0, 6).map((one, i) => (
              <span key={one}>
                {i > 0 && ', '}
                <Link to={`/batches?day=${one}`} className="underline">
                  {formatDay(one)}
                </Link>
              </span>
            ))}
          </p>
        )}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)] content-start gap-3.5">
        <section aria-label={batchRunWords.batchesOfTheDay} className="card overflow-x-auto p-4">
          {shown.length === 0 ? (
            <NextStep says={batchRunWords.noBatchOnThisDay} label={batchRunWords.chooseWhatToScale} to="/" />
          ) : (
            <table className="w-full text-left" data-testid="day-batches">
              <caption className="sr-only">{batchRunWords.batchesOfTheDay}</caption>
              <thead className="text-sm text-quiet">
                <HeadRow
                  titles={[
                    batchRunWords.batch,
                    batchRunWords.what,
                    batchRunWords.comesOut,
                    batchRunWords.loads,
                    batchRunWords.with,
                    batchRunWords.useBy,
                    batchRunWords.stands,
                    batchRunWords.cost,
                  ]}
                />
              </thead>
              <tbody>
                {shown.map((batch) => (
                  <DayRow key={batch.id} batch={batch} />
                ))}
              </tbody>
            </table>
          )}
        </section>
        <div
          className={`grid grid-cols-[minmax(0,1fr)] items-start gap-3.5 ${toMake.length > 0 ? 'lg:grid-cols-[minmax(0,1fr)_minmax(0,26rem)]' : ''}`}
        >
          {toMake.length > 0 && (
            <div className="grid content-start gap-3">
              <PullTable list={pull} portions={portions} settings={settings} />
              <Button
                className="print:hidden"
                disabled={paper.busy}
                onClick={() => void paper.printHeld(`days/${day}/pull-list`, `pull-${day}.pdf`)}
              >
                {batchRunWords.printThePullList}
              </Button>
              {paper.error && <Alert>{paper.error}</Alert>}
            </div>
          )}
          <Orders key={day} day={day} />
        </div>
      </div>
    </div>
  );
}

function DayRow({ batch }: { batch: BatchRecord }) {
  const { settings } = useKitchen();
  const { plan, state } = batch;
  const signed = latestOf(batch.events, 'signed')?.event.name;
  return (
    <tr className="border-t border-rule align-baseline">
      <th scope="row" className="py-2 pr-3">
        <Link
          to={`/formulas/${batch.formulaId}/batch/${batch.id}`}
          className="font-semibold whitespace-nowrap text-leaf underline"
        >
          {batch.number}
        </Link>
      </th>
      <td className="min-w-56 pr-3">
        {batch.formulaName ?? batchRunWords.dressing} v{batch.version}
        {batch.base && <span className="text-quiet">, {batchRunWords.fromBatch(batch.base.number)}</span>}
        {plan.versionState !== 'proven' && <span className="text-quiet">, {plan.versionState}</span>}
      </td>
      <td className="pr-3 whitespace-nowrap">{formatVolume(plan.yieldMl, settings)}</td>
      <td className="pr-3">{batch.loads.length}</td>
      <td className="pr-3">{TOOL_WORDS[plan.tool]}</td>
      <td className="pr-3 whitespace-nowrap">{formatDay(keepUntilOf(batch).day)}</td>
      <td className="pr-3">
        {STATE_WORDS[state]}
        {signed && batchRunWords.bySigned(signed)}
      </td>
      <td className="whitespace-nowrap">{plan.cost === null ? '–' : formatMoney(plan.cost, settings)}</td>
    </tr>
  );
}
