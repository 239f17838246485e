import type { ReactNode } from 'react';
import { frameWords } from '#words/screens/frame';
import { isUnreachable, sayError } from '../data/kitchenApi';
import { Button } from '../ui/Button';

export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-8 text-quiet">
      {frameWords.fetchingWhat(what)}
    </p>
  );
}

/** An error with a way on. */
export function Trouble({
  error,
  retry,
  children,
}: {
  error: unknown;
  retry: () => void;
  children?: ReactNode;
}) {
  return (
    <div role="alert" className="card mx-auto mt-10 max-w-xl border-l-4 border-l-acid p-5">
      <p className="font-name text-lg font-semibold">
        {isUnreachable(error) ? frameWords.theServerIsAway : frameWords.thisDidNotWork}
      </p>
      <p className="mt-1 mb-4">{sayError(error)}</p>
      <div className="flex gap-3">
        <Button kind="main" onClick={retry}>
          {frameWords.tryAgain}
        </Button>
        {children}
      </div>
    </div>
  );
}
