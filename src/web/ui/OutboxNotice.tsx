import { setAside } from '../store/outbox';
import { useAppSelector } from '../store/store';
import { Button } from './Button';

/** Steps that only this browser has yet, and what the server would not take. Nothing, when all is recorded. */
export function OutboxNotice({ trialId }: { trialId: string }) {
  const { waiting, away, unkept } = useAppSelector((state) => state.outbox);
  const own = waiting.filter((entry) => entry.trialId === trialId);
  const pending = own.filter(({ refused }) => refused === null).length;
  const refused = own.filter((entry) => entry.refused !== null);
  if (own.length === 0) return null;
  return (
    <div role="status" className="border-l-4 border-l-sweet bg-tape-soft px-3 py-2" data-testid="outbox">
      {pending > 0 && (
        <p className="font-semibold">
          {pending === 1 ? '1 step waits' : `${pending} steps wait`} in this browser
          {away ? ': the server cannot be reached. Go on; they are sent when it is back.' : '…'}
          {unkept && ' This browser keeps nothing: do not close the page before they are sent.'}
        </p>
      )}
      {refused.map(({ id, refused: why }) => (
        <p key={id} className="flex flex-wrap items-center gap-3">
          A step was not recorded: {why}
          <Button onClick={() => void setAside(id)}>Set it aside</Button>
        </p>
      ))}
    </div>
  );
}
