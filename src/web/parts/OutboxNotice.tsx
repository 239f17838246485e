import type { FormulaId } from '#core/formula';
import { frameLaterWords } from '#words/screens/frameLater';
import { frameWords } from '#words/screens/frame';
import { setAside, tryAgain } from '../sync/outbox';
import { useAppSelector } from '../sync/store';
import { useSyncState } from '../sync/useSyncState';
import { Button } from '../ui/Button';

/** Steps that only this browser has yet, and what the server would not take. Nothing, when all is recorded. */
/** @param formulaId where the jar's formula is as new as the jar */
export function OutboxNotice({ trialId, formulaId }: { trialId: string; formulaId?: FormulaId }) {
  const { waiting, away, unkept } = useAppSelector((state) => state.outbox);
  const own = waiting.filter(
    (entry) =>
      (entry.kind === 'event' && entry.trialId === trialId) ||
      (entry.kind === 'begin' && entry.jar.id === trialId) ||
      (entry.kind === 'new-formula' && entry.formulaId === formulaId),
  );
  const pending = own.filter(({ refused }) => refused === null).length;
  const refused = own.filter((entry) => entry.refused !== null);
  const { isSlow } = useSyncState();
  // What is recorded before anybody looks up must not push the page about under a finger.
  const isShown = pending > 0 && (away || unkept || isSlow);
  if (!isShown && refused.length === 0) return null;
  return (
    <div role="status" className="border-l-4 border-l-sweet bg-tape-soft px-3 py-2" data-testid="outbox">
      {isShown && (
        <p className="font-semibold">
          {frameLaterWords.formInThisBrowserForm2(
            pending === 1 ? frameLaterWords.n1StepWaits : frameLaterWords.pendingStepsWait(pending),
            away ? frameLaterWords.theServerCannotBeReached : '…',
          )}
          {unkept && frameLaterWords.thisBrowserKeepsNothingDo}
        </p>
      )}
      {refused.map(({ id, refused: why }) => (
        <p key={id} className="flex flex-wrap items-center gap-3">
          {frameLaterWords.aStepWasNotRecorded} {why}
          <Button
            onClick={() => {
              tryAgain(id);
            }}
          >
            {frameWords.sendItAgain}
          </Button>
          <Button onClick={() => void setAside(id)}>{frameWords.setItAside}</Button>
        </p>
      ))}
    </div>
  );
}
