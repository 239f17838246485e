import { formatAmount, formatDay, inSentence } from '#words/numbers';
import { useState } from 'react';
import type { BatchRecord } from '#contract';
import { latestOf, signProblem, tastedRight, keepUntilProblem, type UseBy } from '#core/batch';
import { SIGN_WORDS, USE_BY_WORDS } from '#words/batch';
import { saySafetyOfTheDay } from '#words/safety';
import { batchRunWords } from '#words/screens/batchRun';
import { Alert } from '../../ui/Alert';
import { useCooksQuery } from '../../data/kitchenApi';
import { useCookHere } from '../../data/useCook';
import { useKitchen } from '../../data/kitchen';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';
import { keepUntilOf } from '#kitchen/paper';
import { stillAside } from './stillAside';
import { useSay } from './useSay';

/** Verdict, use by, and who records it. A record that is signed is only ever added to. */
export function SignBatch({ batch }: { batch: BatchRecord }) {
  const cooks = useCooksQuery().data ?? [];
  const here = useCookHere();
  const usualName = cooks.find(({ id }) => id === here)?.name ?? '';
  const { settings } = useKitchen();
  const { busy, error, say } = useSay(batch.id);
  const [note, setNote] = useState('');
  const [name, setName] = useState<string | null>(null);
  const typed = name ?? usualName;
  const verdict = latestOf(batch.events, 'verdict')?.event ?? null;
  const tasted = batch.whole ? tastedRight(batch.whole.events) : null;
  const problem = signProblem(batch.state, batch.events, typed);
  const aside = stillAside(batch);
  const [asked, setAsked] = useState(false);
  const judge = async (right: boolean): Promise<void> => {
    // "Right" with salt still beside the pot may be meant, or forgotten.
    if (right && aside.length > 0 && !asked) {
      setAsked(true);
      return;
    }
    if (await say({ kind: 'verdict', right, note: note.trim() })) setNote('');
  };
  return (
    <section
      aria-label={batchRunWords.recordIt}
      className="card grid grid-cols-[minmax(0,1fr)] content-start gap-3 p-4 print:hidden"
    >
      <h2 className="font-name text-lg font-bold">{batchRunWords.recordIt}</h2>
      <UseByForm batch={batch} />
      <div className="grid gap-2 border-t border-rule pt-3">
        <p data-testid="verdict">
          {verdict ? (
            <strong>
              {verdict.right ? batchRunWords.right2 : batchRunWords.notRight2} {verdict.note}
            </strong>
          ) : tasted === null ? (
            batchRunWords.notTastedYetAVerdict
          ) : (
            batchRunWords.theLastTastingSaysForm(tasted ? batchRunWords.right3 : batchRunWords.notRightYet)
          )}
        </p>
        <Field label={batchRunWords.anythingToRemember} maxLength={1000} value={note} onText={setNote} />
        {asked && aside.length > 0 && (
          <Alert>
            {batchRunWords.stillAside(
              aside
                .map(({ name: what, leftG }) => `${formatAmount(leftG, 'g', settings)} ${inSentence(what)}`)
                .join(', '),
            )}
          </Alert>
        )}
        <div className="flex flex-wrap gap-4">
          <Button className="min-h-16 min-w-32 px-5" disabled={busy} onClick={() => void judge(true)}>
            {asked && aside.length > 0 ? batchRunWords.rightItStaysOut : batchRunWords.right}
          </Button>
          <Button className="min-h-16 min-w-32 px-5" disabled={busy} onClick={() => void judge(false)}>
            {batchRunWords.notRight}
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
        <Field
          label={batchRunWords.recordedBy}
          maxLength={80}
          value={typed}
          onText={setName}
          className="w-64"
        />
        <Button
          kind="main"
          data-next
          type="submit"
          className="min-h-16 flex-1 basis-56 text-lg"
          disabled={busy || problem !== null}
        >
          {batchRunWords.recordBatchNumber(batch.number)}
        </Button>
        {problem && <p className="w-full text-quiet">{SIGN_WORDS[problem]}</p>}
      </form>
      {error && <Alert>{batchRunWords.notWrittenDownError(error)}</Alert>}
    </section>
  );
}

const sayDays = ({ days }: UseBy): string =>
  days < 1
    ? batchRunWords.overBeforeItIsMade
    : days === 1
      ? batchRunWords.theDayItIsMade
      : batchRunWords.daysDays(days);

/** Shorter as the kitchen likes; longer only with a reason that is kept. */
function UseByForm({ batch }: { batch: BatchRecord }) {
  const { keeping, safety } = batch.plan;
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
        <strong>{batchRunWords.useByDay(formatDay(useBy.day))}</strong>: {sayDays(useBy)},{' '}
        {useBy.capped
          ? batchRunWords.reasonInItKeepsNo(useBy.reason)
          : useBy.reason || saySafetyOfTheDay(safety).because}
        .{' '}
        {batchRunWords.formAnEstimate(
          keeping.cold ? batchRunWords.at5COrBelow : batchRunWords.closedCoolAndDark,
        )}
      </p>
      {!open && (
        <Button
          kind="quiet"
          className="justify-self-start"
          onClick={() => {
            setOpen(true);
          }}
        >
          {batchRunWords.anotherDay}
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
            label={batchRunWords.days2}
            inputMode="numeric"
            value={days}
            onText={setDays}
            problem={problem === 'no-days' ? USE_BY_WORDS[problem] : null}
            className="w-24"
          />
          <Field
            label={batchRunWords.reason}
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
            {batchRunWords.set}
          </Button>
          {error && <Alert className="w-full">{error}</Alert>}
        </form>
      )}
    </div>
  );
}
