import { useState } from 'react';
import type { BatchEventRecord, BatchRecord } from '#contract';
import { standingBatchEvents } from '#core/batch';
import { TEMPERATURE_WORDS } from '#words/batch';
import type { Catalogue } from '#core/ingredient';
import { sayDuration } from '#words/hold';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { useCooksQuery } from '../../data/kitchenApi';
import { formatMoment, formatNumber, inSentence, type NumberStyle } from '#words/numbers';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { JarLog } from '../../parts/JarLog';
import { useSay } from './useSay';

const NOTHING_WAITS: ReadonlySet<string> = new Set();

/** The record: what was planned and said, then every step of every load. Nothing here can be edited away. */
export function BatchLog({ batch }: { batch: BatchRecord }) {
  const { settings, catalogue } = useKitchen();
  const cooks = useCooksQuery().data ?? [];
  const { busy, error, say } = useSay(batch.id);
  const [note, setNote] = useState('');
  const stands = new Set(standingBatchEvents(batch.events).map(({ id }) => id));
  const who = (cookId: string | null): string => cooks.find(({ id }) => id === cookId)?.initials ?? '';
  const trials = [...batch.loads, ...(batch.whole ? [batch.whole] : [])];
  return (
    <section
      aria-label={batchRunWords.record}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
    >
      <h2 className="font-name text-lg font-bold">{batchRunWords.record}</h2>
      <ol className="text-sm" data-testid="batch-log">
        <Line at={batch.at} who={who(batch.by.cookId)}>
          <strong>
            {batchRunWords.takenOnTargetOfV(batch.plan.target, batch.version, batch.plan.versionState)}
          </strong>
        </Line>
        {batch.events.map((logged) => (
          <Line
            key={logged.id}
            at={logged.at}
            who={who(logged.by.cookId)}
            undone={logged.event.kind !== 'corrected' && !stands.has(logged.id)}
            onUndo={
              batch.state !== 'called-off' && stands.has(logged.id) && logged.event.kind !== 'combined'
                ? () => void say({ kind: 'corrected', eventId: logged.id })
                : undefined
            }
          >
            {sayEvent(logged, catalogue, settings)}
          </Line>
        ))}
      </ol>
      <form
        className="flex flex-wrap items-end gap-3 print:hidden"
        onSubmit={(event) => {
          event.preventDefault();
          if (note.trim() === '') return;
          void say({ kind: 'noted', note: note.trim() }).then((done) => {
            if (done) setNote('');
          });
        }}
      >
        <Field
          label={batchRunWords.whatWentOtherwise}
          maxLength={1000}
          value={note}
          onText={setNote}
          className="flex-1 basis-64"
        />
        <Button type="submit" className="min-h-11" disabled={busy || note.trim() === ''}>
          {batchRunWords.noteIt}
        </Button>
      </form>
      {error && <Alert>{batchRunWords.notWrittenDownError(error)}</Alert>}
      {trials.map((trial) => (
        <details key={trial.id} className="border-t border-rule pt-2">
          <summary className="min-h-8 cursor-pointer font-semibold">
            {batchRunWords.formEveryStep(
              trial.batch?.role === 'whole'
                ? batchRunWords.theWhole
                : batchRunWords.loadPart(trial.batch?.load ?? ''),
            )}
          </summary>
          <JarLog jar={{ ...trial, waiting: NOTHING_WAITS }} catalogue={catalogue} settings={settings} />
        </details>
      ))}
    </section>
  );
}

function Line({
  at,
  who,
  undone = false,
  onUndo,
  children,
}: {
  at: string;
  who: string;
  undone?: boolean;
  onUndo?: (() => void) | undefined;
  children: React.ReactNode;
}) {
  return (
    <li
      className={`flex flex-wrap items-baseline gap-x-3 border-t border-rule py-1 ${undone ? 'line-through' : ''}`}
    >
      <span className="w-40 text-quiet">{formatMoment(at)}</span>
      <span className="w-8">{who}</span>
      <span className="flex-1 basis-60">{children}</span>
      {onUndo && (
        <Button kind="quiet" className="text-sm font-normal print:hidden" onClick={onUndo}>
          {batchRunWords.doesNotCount}
        </Button>
      )}
    </li>
  );
}

function sayEvent({ event }: BatchEventRecord, catalogue: Catalogue, settings: NumberStyle): string {
  switch (event.kind) {
    case 'called-off':
      return batchRunWords.calledOffForm(event.reason ? `: ${event.reason}` : '');
    case 'combined':
      return batchRunWords.loadsCombined;
    case 'lot':
      return `${inSentence(catalogue.get(event.ingredientId)?.name ?? event.ingredientId)}: ${event.text || batchRunWords.noLot}`;
    case 'temperature':
      return `${TEMPERATURE_WORDS[event.where]}: ${formatNumber(event.value, 1, settings)} °C${event.reading.source === 'simulated' ? ', simulated' : ''}`;
    case 'use-by':
      return batchRunWords.useByWithinDaysForm(
        event.days,
        event.days === 1 ? batchRunWords.day : batchRunWords.days,
        event.reason ? `: ${event.reason}` : '',
      );
    case 'hand-work':
      return batchRunWords.handWorkTook(sayDuration(event.seconds), sayDuration(event.saidS));
    case 'noted':
      return event.note;
    case 'verdict':
      return `${event.right ? batchRunWords.right : batchRunWords.notRight}${event.note ? `: ${event.note}` : ''}`;
    case 'signed':
      return batchRunWords.recordedByName(event.name);
    case 'corrected':
      return batchRunWords.correctionTheEntryStruckOut;
  }
}
