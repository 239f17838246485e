import type { ReactNode } from 'react';

/** What went wrong, read out at once. */
export function Alert({ className = '', children }: { className?: string; children: ReactNode }) {
  return (
    <p role="alert" className={`font-semibold text-acid-ink ${className}`.trim()}>
      {children}
    </p>
  );
}
