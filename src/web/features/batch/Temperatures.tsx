import { useState } from 'react';
import type { BatchRecord } from '#contract';
import { TEMPERATURES_AT, standingBatchEvents, type TemperatureAt } from '#core/batch';
import { TEMPERATURE_WORDS } from '#words/batch';
import { formatMoment, formatNumber } from '#words/numbers';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { typedNumber } from '../../form/typed';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { Field } from '../../ui/Field';
import { useSay } from './useSay';

/** Temperatures as somebody read them, with the time. */
export function Temperatures({ batch }: { batch: BatchRecord }) {
  const { settings } = useKitchen();
  const { busy, error, say } = useSay(batch.id);
  const [where, setWhere] = useState<TemperatureAt>('ingredients');
  const [text, setText] = useState('');
  const { value, fits } = typedNumber(text, { from: -40, to: 200 });
  const read = standingBatchEvents(batch.events).flatMap(({ id, at, event }) =>
    event.kind === 'temperature' ? [{ id, at, event }] : [],
  );
  return (
    <section
      aria-label={batchRunWords.temperatures}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
    >
      <h2 className="font-name text-lg font-bold">{batchRunWords.temperatures}</h2>
      {read.length === 0 && <p className="text-quiet">{batchRunWords.noneReadYet}</p>}
      <ul className="text-sm" data-testid="temperatures">
        {read.map(({ id, at, event }) => (
          <li key={id} className="flex justify-between gap-2 border-t border-rule py-1">
            <span>
              {TEMPERATURE_WORDS[event.where]}: <strong>{formatNumber(event.value, 1, settings)} °C</strong>
              {event.reading.source === 'simulated' && batchRunWords.simulated}
            </span>
            <span className="text-quiet">{formatMoment(at)}</span>
          </li>
        ))}
      </ul>
      <form
        className="grid grid-cols-[1fr_7rem] items-start gap-3 print:hidden"
        onSubmit={(event) => {
          event.preventDefault();
          if (!fits) return;
          const reading = { source: 'typed', deviceId: '' } as const;
          void say({ kind: 'temperature', where, value, reading }).then((done) => {
            if (done) setText('');
          });
        }}
      >
        <div className="grid gap-1 font-semibold">
          {batchRunWords.where}
          <Choice
            label={batchRunWords.whereItWasRead}
            value={where}
            options={TEMPERATURES_AT.map((one) => ({ value: one, label: TEMPERATURE_WORDS[one] }))}
            onChange={setWhere}
            className="font-normal"
          />
        </div>
        <Field
          label="°C"
          inputMode="decimal"
          value={text}
          onText={setText}
          problem={text.trim() === '' || fits ? null : batchRunWords.n40To200}
        />
        <Button type="submit" className="col-span-2 min-h-11" disabled={!fits || busy}>
          {batchRunWords.keepIt}
        </Button>
      </form>
      {error && <Alert>{batchRunWords.notKeptError(error)}</Alert>}
    </section>
  );
}
