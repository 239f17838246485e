import { useState } from 'react';
import type { MeasureRecord } from '#contract';
import { weighed } from '#core/ingredient';
import { measuresWords } from '#words/screens/measures';
import { Alert } from '../../ui/Alert';
import { sayError, useAddMeasureMutation, useCooksQuery, useMeasuresQuery } from '../../data/kitchenApi';
import { formatAmount, formatMoment, inSentence } from '#words/numbers';
import { newId } from '../../sync/device';
import { useKitchen } from '../../data/kitchen';
import { newestMeasures } from '#kitchen/reading';
import { useCookHere } from '../../data/useCook';
import { Button } from '../../ui/Button';
import { Loading, Trouble } from '../../parts/PageState';
import { WeighOne } from './WeighOne';

const UNIT_WORDS = {
  pinch: measuresWords.aPinch,
  dash: measuresWords.aDash,
  drop: measuresWords.aDrop,
  splash: measuresWords.aSplash,
  grind: measuresWords.aGrind,
  knob: measuresWords.aKnob,
  handful: measuresWords.aHandful,
  ladle: measuresWords.aLadle,
  tsp: measuresWords.aTeaspoon,
  tbsp: measuresWords.aTablespoon,
  cup: measuresWords.aCup,
} as const;

/** Pinches and spoons as this cook's own hand takes them. */
export function MeasuresPage() {
  const { data, error, refetch } = useMeasuresQuery();
  if (data) return <Measures records={data} />;
  if (error) return <Trouble error={error} retry={() => void refetch()} />;
  return <Loading what={measuresWords.yourMeasures} />;
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
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
      <h1 className="font-name text-2xl font-bold">{measuresWords.myMeasures}</h1>
      <p className="max-w-3xl">
        {cook ? measuresWords.asNameTakesThemWhatever(cook.name) : measuresWords.nobodyIsNamedOnThis}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3.5 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
        <section aria-label={measuresWords.weighed} className="card p-4">
          {own.length === 0 ? (
            <>
              <h2 className="font-name mb-1 text-lg font-bold">{measuresWords.noneWeighedYet}</h2>
              <p className="text-quiet">{measuresWords.aPinchIs02}</p>
            </>
          ) : (
            <table className="w-full text-left">
              <caption className="sr-only">{measuresWords.ownMeasures}</caption>
              <thead className="text-sm text-quiet">
                <tr>
                  <th className="font-normal">{measuresWords.measure}</th>
                  <th className="font-normal">{measuresWords.mean2}</th>
                  <th className="font-normal">{measuresWords.oneFallsBetween}</th>
                  <th className="font-normal">{measuresWords.weighed2}</th>
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
                        {measuresWords.unitOf(UNIT_WORDS[record.unit])}{' '}
                        {inSentence(catalogue.get(record.ingredientId)?.name ?? record.ingredientId)}
                      </th>
                      <td className="pr-2 font-semibold whitespace-nowrap">{grams(meanG)}</td>
                      <td className="pr-2">
                        {measuresWords.gramsAndGrams2(grams(massG.low), grams(massG.high))}
                        {record.weighings.length === 1 && measuresWords.estimate}
                      </td>
                      <td className="pr-2 text-sm text-quiet">
                        {record.weighings.length === 1
                          ? measuresWords.once
                          : measuresWords.lengthTimes(record.weighings.length)}
                        {simulated && measuresWords.simulated2}, {formatMoment(record.at)}
                      </td>
                      <td className="whitespace-nowrap">
                        <Button
                          onClick={() => {
                            setAgain(record);
                          }}
                        >
                          {measuresWords.weighAgain}
                        </Button>{' '}
                        <Button
                          disabled={adding.isLoading}
                          onClick={() => {
                            const { unit, ingredientId } = record;
                            void add({ id: newId(), cookId, unit, ingredientId, weighings: [] });
                          }}
                        >
                          {measuresWords.giveItUp}
                        </Button>
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          )}
          {adding.isError && (
            <Alert className="mt-2">{measuresWords.notDoneError(sayError(adding.error))}</Alert>
          )}
        </section>
        <WeighOne key={again?.id ?? 'new'} cookId={cookId} start={again} words={UNIT_WORDS} />
      </div>
    </div>
  );
}
