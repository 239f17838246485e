import { useState } from 'react';
import { SETTINGS_ID, type BatchRecord } from '#contract';
import { paceAfter, standingBatchEvents } from '#core/batch';
import { sayDuration } from '#words/hold';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { typedNumber } from '../../form/typed';
import { useKitchen } from '../../data/kitchen';
import { useSaveShared } from '../../sync/useSaveShared';
import { useSay } from './useSay';

const MINUTE_S = 60;
const DAY_MIN = 1440;

/** How long the peeling and grating took: the kitchen's own pace is learnt from it. Nothing where there was none. */
export function HandWork({ batch }: { batch: BatchRecord }) {
  const { settings } = useKitchen();
  const { busy, error, say } = useSay(batch.id);
  const [save] = useSaveShared('settings');
  const [text, setText] = useState('');
  const pace = settings.batch.handPace ?? 1;
  const saidS = batch.plan.handWorkS ?? 0;
  const took = standingBatchEvents(batch.events).findLast(({ event }) => event.kind === 'hand-work')?.event;
  const { value, wrong } = typedNumber(text, { from: 1, to: DAY_MIN });
  if (saidS < MINUTE_S) return null;
  const keep = async (minutes: number): Promise<void> => {
    const seconds = minutes * MINUTE_S;
    if (!(await say({ kind: 'hand-work', seconds, saidS }))) return;
    setText('');
    const next = { ...settings, batch: { ...settings.batch, handPace: paceAfter(pace, saidS, seconds) } };
    await save(SETTINGS_ID, settings, next).catch(() => undefined);
  };
  return (
    <section
      aria-label={batchRunWords.handWork}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-2 p-4"
    >
      <h2 className="font-name text-lg font-bold">{batchRunWords.handWork}</h2>
      <p className="text-sm" data-testid="hand-work">
        {took?.kind === 'hand-work'
          ? batchRunWords.handWorkTook(sayDuration(took.seconds), sayDuration(took.saidS))
          : batchRunWords.handWorkSaid(sayDuration(saidS))}
      </p>
      {took === undefined && (
        <form
          className="flex flex-wrap items-end gap-3 print:hidden"
          onSubmit={(event) => {
            event.preventDefault();
            if (value !== null) void keep(value);
          }}
        >
          <Field
            label={batchRunWords.tookMinutes}
            className="w-36"
            inputMode="decimal"
            value={text}
            onText={setText}
            problem={wrong ? batchRunWords.n1To1440 : null}
          />
          <Button type="submit" className="min-h-11" disabled={value === null || busy}>
            {batchRunWords.keepIt}
          </Button>
        </form>
      )}
      {error && <Alert>{batchRunWords.notKeptError(error)}</Alert>}
    </section>
  );
}
