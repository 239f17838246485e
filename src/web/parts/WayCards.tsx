import type { ReactNode } from 'react';
import { Button } from '../ui/Button';

/** Several answers beside each other, the likeliest first. */
export function WayCards({ testId, children }: { readonly testId: string; readonly children: ReactNode }) {
  return (
    <ol
      className="grid grid-cols-[minmax(0,1fr)] gap-3 sm:grid-cols-[repeat(auto-fill,minmax(15rem,1fr))]"
      data-testid={testId}
    >
      {children}
    </ol>
  );
}

interface WayCardProps {
  readonly title: string;
  /** What is done with it. */
  readonly use: string;
  /** The one to take where nothing speaks for another. */
  readonly first?: boolean;
  readonly busy: boolean;
  readonly onUse: () => void;
  readonly children: ReactNode;
}

export function WayCard({ title, use, first = false, busy, onUse, children }: WayCardProps) {
  return (
    <li className="flex flex-col gap-1.5 rounded-lg border border-rule bg-paper p-3">
      <h3 className="font-name font-bold">{title}</h3>
      {children}
      <Button kind={first ? 'main' : 'plain'} className="mt-auto min-h-11" disabled={busy} onClick={onUse}>
        {use}
      </Button>
    </li>
  );
}
