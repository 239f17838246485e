import { useState } from 'react';
import type { MeasureRecord } from '#contract';
import { weighed } from '#core/ingredient';
import { sayError, useAddMeasureMutation, useCooksQuery, useMeasuresQuery } from '../../api/kitchenApi';
import { formatAmount, formatMoment, inSentence } from '#words/numbers';
import { newId } from '../../store/device';
import { useKitchen } from '../../store/kitchen';
import { newestMeasures } from '../../store/ownMeasures';
import { useCookHere } from '../../store/useCook';
import { Button } from '../../ui/Button';
import { Loading, Trouble } from '../../ui/PageState';
import { WeighOne } from './WeighOne';

const UNIT_WORDS = {
  pinch: 'A pinch',
  dash: 'A dash',
  drop: 'A drop',
  splash: 'A splash',
  grind: 'A grind',
  knob: 'A knob',
  handful: 'A handful',
  ladle: 'A ladle',
  tsp: 'A teaspoon',
  tbsp: 'A tablespoon',
  cup: 'A cup',
} as const;

/** Pinches and spoons as this cook's own hand takes them. */
export function MeasuresPage() {
  const { data, error, refetch } = useMeasuresQuery();
  if (data) return <Measures records={data} />;
  if (error) return <Trouble error={error} retry={() => void refetch()} />;
  return <Loading what="your measures" />;
}

function Measures({ records }: { records: readonly MeasureRecord[] }) {
  const { catalogue, settings } = useKitchen();
  const cookId = useCookHere();
  const cook = (useCooksQuery().data ?? []).find(({ id }) => id === cookId);
  const [add, adding] = useAddMeasureMutation();
  const [again, setAgain] = useState<MeasureRecord | null>(null);
  const own = newestMeasures(records, cookId);
  const grams = (massG: number): string => formatAmount(massG, 'g', settings);
  return (
    <div className="grid gap-3">
      <h1 className="font-name text-2xl font-bold">My measures</h1>
      <p className="max-w-3xl">
        {cook
          ? `As ${cook.name} takes them. Whatever is typed from now on uses them; what was typed before keeps what it meant.`
          : 'Nobody is named on this device: choose above, at “Who cooks?”, or weigh the kitchen’s own.'}
      </p>
      <div className="grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
        <section aria-label="Weighed" className="card p-4">
          {own.length === 0 ? (
            <>
              <h2 className="font-name mb-1 text-lg font-bold">None weighed yet</h2>
              <p className="text-quiet">
                A pinch is 0.2 to 0.6 ml in common practice. Weigh yours three times, and amounts mean what
                your hand means.
              </p>
            </>
          ) : (
            <table className="w-full text-left">
              <caption className="sr-only">Own measures</caption>
              <thead className="text-sm text-quiet">
                <tr>
                  <th className="font-normal">Measure</th>
                  <th className="font-normal">mean</th>
                  <th className="font-normal">one falls between</th>
                  <th className="font-normal">weighed</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {own.map((record) => {
                  const { meanG, massG } = weighed(record.weighings.map((one) => one.massG));
                  const simulated = record.weighings.some(({ source }) => source === 'simulated');
                  return (
                    <tr key={record.id} className="border-t border-rule" data-testid="measure">
                      <th scope="row" className="py-2 pr-2 font-semibold">
                        {UNIT_WORDS[record.unit]} of{' '}
                        {inSentence(catalogue.get(record.ingredientId)?.name ?? record.ingredientId)}
                      </th>
                      <td className="pr-2 font-semibold whitespace-nowrap">{grams(meanG)}</td>
                      <td className="pr-2">
                        {grams(massG.low)} and {grams(massG.high)}
                        {record.weighings.length === 1 && ' (estimate)'}
                      </td>
                      <td className="pr-2 text-sm text-quiet">
                        {record.weighings.length === 1 ? 'once' : `${record.weighings.length} times`}
                        {simulated && ', simulated'}, {formatMoment(record.at)}
                      </td>
                      <td className="whitespace-nowrap">
                        <Button
                          onClick={() => {
                            setAgain(record);
                          }}
                        >
                          Weigh again
                        </Button>{' '}
                        <Button
                          disabled={adding.isLoading}
                          onClick={() => {
                            const { unit, ingredientId } = record;
                            void add({ id: newId(), cookId, unit, ingredientId, weighings: [] });
                          }}
                        >
                          Give it up
                        </Button>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          )}
          {adding.isError && (
            <p role="alert" className="mt-2 font-semibold text-acid-ink">
              Not done. {sayError(adding.error)}
            </p>
          )}
        </section>
        <WeighOne key={again?.id ?? 'new'} cookId={cookId} start={again} words={UNIT_WORDS} />
      </div>
    </div>
  );
}
