import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { BatchRecord, TrialRecord } from '#contract';
import { deviationsOf, isWeighed } from '#core/batch';
import { stepStates, trialLines } from '#core/trial';
import type { Vessel } from '#core/vessel';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { sayError, useCombineBatchMutation } from '../../data/kitchenApi';
import { TrialJar } from '../../parts/TrialJar';
import { formatAmount, formatVolume, inSentence } from '#words/numbers';
import { byNow, newId } from '../../sync/device';
import { withWaiting } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { useAppSelector } from '../../sync/store';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { openVessels } from '#kitchen/batch';
import { useSay } from './useSay';

const DEVIATION_WORDS = {
  over: batchRunWords.moreThanPlanned,
  under: batchRunWords.lessThanPlanned,
  'left-out': batchRunWords.leftOut,
  swapped: batchRunWords.insteadOfSomethingElse,
} as const;

/** Every load as it stands, the next one to weigh, and the combining once all are there. */
export function RunLoads({ batch }: { batch: BatchRecord }) {
  const { settings, catalogue, vessels } = useKitchen();
  const waiting = useAppSelector((state) => state.outbox.waiting);
  const loads = useMemo(() => batch.loads.map((load) => withWaiting(load, waiting)), [batch.loads, waiting]);
  const states = loads.map((load) => stepStates(load.making?.steps ?? [], load.events));
  const next = states.findIndex((load) => !isWeighed(load));
  const vessel = vessels.find(({ id }) => id === batch.plan.mixingVesselId) ?? vessels.at(-1)!;
  const deviations = deviationsOf(
    loads.flatMap((load) =>
      load.making ? [{ trialId: load.id, making: load.making, events: load.events }] : [],
    ),
    batch.plan.readabilityG,
  );
  const open = batch.state !== 'called-off' && !batch.whole;
  const unsent = loads.some((load) => load.waiting.size > 0);
  return (
    <section
      aria-label={batchRunWords.loads}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <h2 className="font-name text-lg font-bold">
        {loads.length === 1 ? batchRunWords.theLoad : batchRunWords.lengthLoads(loads.length)}
      </h2>
      <div className="flex flex-wrap items-start gap-x-8 gap-y-3">
        <ol className="flex flex-wrap gap-4" data-testid="run-loads">
          {loads.map((load, i) => {
            const own = states[i]!;
            const done = own.filter(({ status }) => status !== 'open').length;
            return (
              <li
                key={load.id}
                className="grid w-36 content-start justify-items-center gap-1 text-center text-sm"
              >
                <TrialJar
                  trial={load}
                  vessel={vessel}
                  catalogue={catalogue}
                  width={110}
                  height={110}
                  label={batchRunWords.loadPart2(i + 1)}
                />
                <span className="font-semibold">
                  {batchRunWords.loadPartFormatvolume(
                    i + 1,
                    formatVolume(load.making?.plannedVolumeMl ?? 0, settings),
                  )}
                </span>
                <span className="text-quiet">
                  {isWeighed(own)
                    ? batchRunWords.weighed
                    : done === 0
                      ? batchRunWords.notBegun
                      : batchRunWords.doneOfLengthSteps(done, own.length)}
                </span>
                <Link
                  to={`/formulas/${batch.formulaId}/make?jar=${load.id}`}
                  data-next={i === next && open ? '' : undefined}
                  className={
                    i === next && open
                      ? 'inline-flex min-h-16 w-full items-center justify-center rounded-md bg-bottle px-3 font-semibold text-white hover:bg-bottle-soft print:hidden'
                      : 'inline-flex min-h-8 items-center text-leaf underline print:hidden'
                  }
                >
                  {i === next && open
                    ? done === 0
                      ? batchRunWords.weighOut
                      : batchRunWords.goOnWeighing
                    : batchRunWords.lookAtIt}
                  <span className="sr-only"> {batchRunWords.loadPart3(i + 1)}</span>
                </Link>
              </li>
            );
          })}
        </ol>
        <Weighed batch={batch} loads={loads} />
      </div>
      {deviations.length > 0 && (
        <ul className="text-sm" data-testid="deviations">
          {deviations.map(({ load, stepId, ingredientId, what, plannedG, massG }) => (
            <li key={`${load} ${stepId}`}>
              {batchRunWords.loadPartFormatvolume(
                load,
                inSentence(catalogue.get(ingredientId)?.name ?? ingredientId),
              )}{' '}
              {batchRunWords.deviationMassgFor(DEVIATION_WORDS[what], formatAmount(massG, 'g', settings))}{' '}
              {formatAmount(plannedG, 'g', settings)}
            </li>
          ))}
        </ul>
      )}
      {next < 0 && open && <Combine batch={batch} vessels={vessels} unsent={unsent} />}
      {open && <CallOff batch={batch} />}
    </section>
  );
}

/** What the whole was to hold, and what has been weighed of it. */
function Weighed({
  batch,
  loads,
}: {
  batch: BatchRecord;
  loads: readonly Pick<TrialRecord, 'lines' | 'events'>[];
}) {
  const { settings, catalogue } = useKitchen();
  const taken = new Map<string, { massG: number; name: string }>();
  for (const { ingredientId, form, massG } of loads.flatMap((load) => trialLines(load.lines, load.events))) {
    const key = `${ingredientId} ${form}`;
    const name = catalogue.get(ingredientId)?.name ?? ingredientId;
    taken.set(key, { name, massG: massG + (taken.get(key)?.massG ?? 0) });
  }
  const planned = batch.plan.lines.map((line) => ({ ...line, key: `${line.ingredientId} ${line.form}` }));
  const others = [...taken].filter(([key]) => !planned.some((line) => line.key === key));
  const grams = (g: number): string => formatAmount(g, 'g', settings);
  return (
    <table className="min-w-72 flex-1 text-left text-sm" data-testid="weighed">
      <caption className="sr-only">{batchRunWords.plannedAndWeighed}</caption>
      <thead className="text-quiet">
        <tr>
          <th className="font-normal">{batchRunWords.addition}</th>
          <th className="text-right font-normal">{batchRunWords.planned}</th>
          <th className="text-right font-normal">{batchRunWords.weighed}</th>
          <th className="text-right font-normal">{batchRunWords.keptAside}</th>
        </tr>
      </thead>
      <tbody>
        {planned.map(({ key, name, form, plannedG, asideG }) => (
          <tr key={key} className="border-t border-rule">
            <th scope="row" className="py-0.5 font-semibold">
              {name}
              {form && <span className="font-normal text-quiet">, {form}</span>}
            </th>
            <td className="text-right">{plannedG > 0 ? grams(plannedG) : '–'}</td>
            <td className="text-right">{taken.has(key) ? grams(taken.get(key)!.massG) : '–'}</td>
            <td className="text-right">{asideG > 0 && grams(asideG)}</td>
          </tr>
        ))}
        {others.map(([key, { name, massG }]) => (
          <tr key={key} className="border-t border-rule">
            <th scope="row" className="py-0.5 font-semibold">
              {name}
            </th>
            <td className="text-right">{batchRunWords.notPlanned}</td>
            <td className="text-right">{grams(massG)}</td>
            <td />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Combine({
  batch,
  vessels,
  unsent,
}: {
  batch: BatchRecord;
  vessels: readonly Vessel[];
  unsent: boolean;
}) {
  const { settings } = useKitchen();
  const [combine, combining] = useCombineBatchMutation();
  const trialId = useRef(newId());
  const open = openVessels(vessels);
  const usual =
    open.find(({ brimfulVolumeMl }) => brimfulVolumeMl >= batch.plan.madeMl * 1.05) ?? open.at(-1)!;
  const [vesselId, setVesselId] = useState(usual.id);
  const chosen = vessels.find(({ id }) => id === vesselId) ?? usual;
  const run = async (): Promise<void> => {
    try {
      await combine({ batchId: batch.id, trialId: trialId.current, vesselId, by: byNow() }).unwrap();
    } catch {
      // Said below; the loads are as they were.
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-4 border-t border-rule pt-3 print:hidden">
      <div className="grid gap-1 font-semibold">
        {batchRunWords.togetherIn}
        <Choice
          label={batchRunWords.togetherIn}
          value={vesselId}
          options={open.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={setVesselId}
          className="min-h-16 min-w-52 font-normal"
        />
      </div>
      <Button
        kind="main"
        data-next
        className="min-h-16 flex-1 basis-64 text-lg"
        disabled={combining.isLoading || unsent}
        onClick={() => void run()}
      >
        {batch.loads.length === 1 ? batchRunWords.mixedOnToTasting : batchRunWords.combinedOnToTasting}
      </Button>
      {chosen.brimfulVolumeMl < batch.plan.madeMl && (
        <p className="w-full font-semibold">
          {batchRunWords.nameHoldsBrimfulvolumemlNotAll(
            chosen.name,
            formatVolume(chosen.brimfulVolumeMl, settings),
          )}
        </p>
      )}
      {unsent && <p className="w-full">{batchRunWords.stepsStillWaitInThis}</p>}
      {combining.error !== undefined && (
        <Alert className="w-full">{batchRunWords.notCombinedError(sayError(combining.error))}</Alert>
      )}
    </div>
  );
}

function CallOff({ batch }: { batch: BatchRecord }) {
  const { busy, error, say } = useSay(batch.id);
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  if (!asking)
    return (
      <Button
        kind="quiet"
        className="min-h-11 justify-self-start print:hidden"
        onClick={() => {
          setAsking(true);
        }}
      >
        {batchRunWords.callItOff}
      </Button>
    );
  return (
    <form
      className="flex flex-wrap items-end gap-4 border-t border-rule pt-3"
      onSubmit={(event) => {
        event.preventDefault();
        void say({ kind: 'called-off', reason: reason.trim() });
      }}
    >
      <label className="grid flex-1 basis-60 gap-1 font-semibold">
        {batchRunWords.why}
        <input
          className="field font-normal"
          maxLength={1000}
          value={reason}
          onChange={(event) => {
            setReason(event.target.value);
          }}
        />
      </label>
      <Button type="submit" className="min-h-11" disabled={busy}>
        {batchRunWords.callBatchNumberOff(batch.number)}
      </Button>
      <Button
        kind="quiet"
        className="min-h-11"
        onClick={() => {
          setAsking(false);
        }}
      >
        {batchRunWords.keepIt}
      </Button>
      {error && <Alert className="w-full">{batchRunWords.notCalledOffError(error)}</Alert>}
    </form>
  );
}
