import type { ComponentProps } from 'react';

type Kind = 'main' | 'plain' | 'quiet';

const LOOK: Record<Kind, string> = {
  main: 'bg-bottle text-white border-leaf hover:bg-bottle-soft',
  plain: 'bg-paper border-edge hover:border-leaf hover:bg-mint',
  quiet: 'border-transparent hover:bg-mint',
};

export function Button({
  kind = 'plain',
  className = '',
  ...rest
}: ComponentProps<'button'> & { kind?: Kind }) {
  return (
    <button
      type="button"
      {...rest}
      className={`inline-flex min-h-8 items-center justify-center gap-1.5 rounded-md border px-3 font-semibold disabled:cursor-not-allowed disabled:border-rule disabled:bg-transparent disabled:text-quiet ${LOOK[kind]} ${className}`}
    />
  );
}

/** A square button with a drawing; its name is read aloud and shown on hover. */
export function IconButton({ label, className = '', ...rest }: ComponentProps<'button'> & { label: string }) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      {...rest}
      className={`inline-grid size-8 shrink-0 place-items-center rounded-md border border-rule bg-paper hover:border-leaf hover:bg-mint disabled:cursor-not-allowed disabled:text-quiet disabled:opacity-60 ${className}`}
    />
  );
}
