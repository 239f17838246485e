import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { BatchRecord, TrialRecord } from '#contract';
import { isKind, measuredPh, standingEvents, trialLines, type TrialLine } from '#core/trial';
import { sayTasting } from '#words/trial';
import { formatAmount, formatMass, formatMoment, formatNumber } from '#words/numbers';
import { batchRunWords } from '#words/screens/batchRun';
import { withWaiting } from '../../data/jars';
import { useKitchen } from '../../data/kitchen';
import { asideOf, NOTHING_LEFT_G } from './stillAside';
import { record } from '../../sync/outbox';
import { useAppSelector } from '../../sync/store';
import { Button } from '../../ui/Button';
import { Measured } from '../../parts/Measured';
import { OutboxNotice } from '../../parts/OutboxNotice';

/** The combined batch: what was kept aside, the tasting, what was measured. */
export function FinishBatch({ batch, whole }: { batch: BatchRecord; whole: TrialRecord }) {
  const { settings } = useKitchen();
  const waiting = useAppSelector((state) => state.outbox.waiting);
  const jar = useMemo(() => withWaiting(whole, waiting), [whole, waiting]);
  const [busy, setBusy] = useState(false);
  const closed = batch.state === 'signed' || batch.state === 'called-off';
  const lines = trialLines(jar.lines, jar.events);
  const rest = asideOf(batch, jar.events);
  const about = { trialId: whole.id, formulaId: batch.formulaId };
  const add = (added: readonly TrialLine[]): void => {
    setBusy(true);
    void record(about, [{ kind: 'added', lines: added, note: '', way: 'kept-aside' }]).finally(() => {
      setBusy(false);
    });
  };
  const last = standingEvents(jar.events).filter(isKind('tasted')).at(-1);
  const ph = measuredPh(jar.events);
  const open = rest.filter(({ aside: how, leftG }) => how === 'held-back' && leftG > NOTHING_LEFT_G);
  return (
    <section
      aria-label={batchRunWords.finishIt}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4"
    >
      <h2 className="font-name text-lg font-bold">
        {batchRunWords.together}{' '}
        {formatMass(
          lines.reduce((sum, { massG }) => sum + massG, 0),
          settings,
        )}
      </h2>
      <OutboxNotice trialId={whole.id} />
      {rest.length > 0 && (
        <table className="w-full text-left" data-testid="kept-aside">
          <caption className="text-left text-sm text-quiet">{batchRunWords.keptAsideTasteFirstThe}</caption>
          <tbody>
            {rest.map(({ ingredientId, form, name, asideG, leftG, aside: how }) => (
              <tr key={`${ingredientId} ${form}`} className="border-t border-rule">
                <th scope="row" className="py-2 font-semibold">
                  {name}
                  {form && <span className="font-normal text-quiet">, {form}</span>}
                </th>
                <td className="text-right">
                  {how === 'per-service'
                    ? batchRunWords.asidegAtService(formatAmount(asideG, 'g', settings))
                    : leftG > 0.05
                      ? batchRunWords.leftgLeft(formatAmount(leftG, 'g', settings))
                      : batchRunWords.allIn}
                </td>
                <td className="w-36 text-right print:hidden">
                  {!closed && how === 'held-back' && leftG > 0.05 && (
                    <Button
                      className="min-h-11"
                      disabled={busy}
                      onClick={() => {
                        add([{ ingredientId, form, massG: leftG }]);
                      }}
                    >
                      {batchRunWords.putItIn}
                      <span className="sr-only">: {name}</span>
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p data-testid="last-tasting">
        {last
          ? batchRunWords.tastedEventForm(
              sayTasting(last.event),
              last.event.note ? `: ${last.event.note}` : '',
            )
          : batchRunWords.notTastedYet}
      </p>
      <p className="text-sm" data-testid="record-ph">
        {ph.status === 'counts'
          ? batchRunWords.phValueMeasuredAt(formatNumber(ph.value, 2, settings), formatMoment(ph.at))
          : batchRunWords.noPhMeasuredThatCounts}
      </p>
      {!closed && (
        <div className="flex flex-wrap gap-4 print:hidden">
          <Link
            to={`/formulas/${batch.formulaId}/taste?jar=${whole.id}`}
            data-next={last ? undefined : ''}
            className="inline-flex min-h-16 flex-1 basis-56 items-center justify-center rounded-md bg-bottle px-5 text-lg font-semibold text-white hover:bg-bottle-soft"
          >
            {batchRunWords.tasteAndFinish}
          </Link>
          {open.length > 1 && (
            <Button
              className="min-h-16 px-5"
              disabled={busy}
              onClick={() => {
                add(open.map(({ ingredientId, form, leftG }) => ({ ingredientId, form, massG: leftG })));
              }}
            >
              {batchRunWords.putAllOfItIn}
            </Button>
          )}
        </div>
      )}
      {!closed && (
        <Measured
          jar={jar}
          settings={settings}
          onSay={(...events) => {
            void record(about, events);
          }}
        />
      )}
    </section>
  );
}
