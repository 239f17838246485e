import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../ui/Button';

interface NextStepProps {
  /** Why there is nothing here. */
  readonly says: ReactNode;
  readonly label: string;
  /** An address, or what it does. */
  readonly to: string | (() => void);
}

/** Where nothing is yet: why, and the one thing to do about it. */
export function NextStep({ says, label, to }: NextStepProps) {
  return (
    <div className="grid justify-items-start gap-2 py-1" data-testid="next-step">
      <p>{says}</p>
      {typeof to === 'string' ? (
        <Link
          to={to}
          className="inline-flex min-h-11 items-center rounded-md border border-edge bg-paper px-3 font-semibold hover:border-leaf hover:bg-mint"
        >
          {label}
        </Link>
      ) : (
        <Button className="min-h-11" onClick={to}>
          {label}
        </Button>
      )}
    </div>
  );
}
