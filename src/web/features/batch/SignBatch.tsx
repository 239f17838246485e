import { useState } from 'react';
import type { BatchRecord } from '#contract';
import { latestOf, signProblem, tastedRight, keepUntilProblem, type UseBy } from '#core/batch';
import { SIGN_WORDS, USE_BY_WORDS } from '#words/batch';
import { useCooksQuery } from '../../api/kitchenApi';
import { useCookHere } from '../../store/useCook';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { keepUntilOf } from '#kitchen/paper';
import { sayDay } from '#kitchen/day';
import { useSay } from './useSay';

/** Verdict, use by, and who records it. A record that is signed is only ever added to. */
export function SignBatch({ batch }: { batch: BatchRecord }) {
  const cooks = useCooksQuery().data ?? [];
  const here = useCookHere();
  const usualName = cooks.find(({ id }) => id === here)?.name ?? '';
  const { busy, error, say } = useSay(batch.id);
  const [note, setNote] = useState('');
  const [name, setName] = useState<string | null>(null);
  const typed = name ?? usualName;
  const verdict = latestOf(batch.events, 'verdict')?.event ?? null;
  const tasted = batch.whole ? tastedRight(batch.whole.events) : null;
  const problem = signProblem(batch.state, batch.events, typed);
  const judge = async (right: boolean): Promise<void> => {
    if (await say({ kind: 'verdict', right, note: note.trim() })) setNote('');
  };
  return (
    <section aria-label="Record it" className="card grid content-start gap-3 p-4 print:hidden">
      <h2 className="font-name text-lg font-bold">Record it</h2>
      <UseByForm batch={batch} />
      <div className="grid gap-2 border-t border-rule pt-3">
        <p data-testid="verdict">
          {verdict ? (
            <strong>
              {verdict.right ? 'Right.' : 'Not right.'} {verdict.note}
            </strong>
          ) : tasted === null ? (
            'Not tasted yet: a verdict without a tasting says little.'
          ) : (
            `The last tasting says ${tasted ? 'right' : 'not right yet'}.`
          )}
        </p>
        <Field label="Anything to remember" maxLength={1000} value={note} onText={setNote} />
        <div className="flex flex-wrap gap-4">
          <Button className="min-h-16 min-w-32 px-5" disabled={busy} onClick={() => void judge(true)}>
            Right
          </Button>
          <Button className="min-h-16 min-w-32 px-5" disabled={busy} onClick={() => void judge(false)}>
            Not right
          </Button>
        </div>
      </div>
      <form
        className="flex flex-wrap items-end gap-4 border-t border-rule pt-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (!problem) void say({ kind: 'signed', name: typed.trim() });
        }}
      >
        <Field label="Recorded by" maxLength={80} value={typed} onText={setName} className="w-64" />
        <Button
          kind="main"
          type="submit"
          className="min-h-16 flex-1 basis-56 text-lg"
          disabled={busy || problem !== null}
        >
          Record batch {batch.number}
        </Button>
        {problem && <p className="w-full text-quiet">{SIGN_WORDS[problem]}</p>}
      </form>
      {error && (
        <p role="alert" className="font-semibold text-acid-ink">
          Not written down. {error}
        </p>
      )}
    </section>
  );
}

const sayDays = ({ days }: UseBy): string =>
  days < 1 ? 'over before it is made' : days === 1 ? 'the day it is made' : `${days} days`;

/** Shorter as the kitchen likes; longer only with a reason that is kept. */
function UseByForm({ batch }: { batch: BatchRecord }) {
  const { keeping } = batch.plan;
  const useBy = keepUntilOf(batch);
  const { busy, error, say } = useSay(batch.id);
  const [open, setOpen] = useState(false);
  const [days, setDays] = useState('');
  const [reason, setReason] = useState('');
  const change = { days: Number(days), reason: reason.trim() };
  const problem = days.trim() === '' ? null : keepUntilProblem(keeping, change);
  return (
    <div className="grid gap-2">
      <p data-testid="use-by">
        <strong>Use by {sayDay(useBy.day)}</strong>: {sayDays(useBy)},{' '}
        {useBy.capped ? `${useBy.reason} in it keeps no longer` : useBy.reason || keeping.because}.{' '}
        {keeping.cold ? 'At 5 °C or below.' : 'Closed, cool and dark.'} An estimate.
      </p>
      {!open && (
        <Button
          kind="quiet"
          className="justify-self-start"
          onClick={() => {
            setOpen(true);
          }}
        >
          Another day…
        </Button>
      )}
      {open && (
        <form
          className="flex flex-wrap items-start gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            if (days.trim() !== '' && !problem)
              void say({ kind: 'use-by', ...change }).then((done) => {
                if (done) setOpen(false);
              });
          }}
        >
          <Field
            label="Days"
            inputMode="numeric"
            value={days}
            onText={setDays}
            problem={problem === 'no-days' ? USE_BY_WORDS[problem] : null}
            className="w-24"
          />
          <Field
            label="Reason"
            maxLength={1000}
            value={reason}
            onText={setReason}
            problem={problem === 'reason-missing' ? USE_BY_WORDS[problem] : null}
            className="flex-1 basis-56"
          />
          <Button
            type="submit"
            className="mt-6 min-h-9"
            disabled={busy || days.trim() === '' || problem !== null}
          >
            Set
          </Button>
          {error && (
            <p role="alert" className="w-full font-semibold text-acid-ink">
              {error}
            </p>
          )}
        </form>
      )}
    </div>
  );
}
