import { useId, type ComponentProps, type ReactNode } from 'react';

interface FieldProps extends Omit<ComponentProps<'input'>, 'onChange' | 'value'> {
  readonly label: string;
  readonly value: string;
  readonly onText: (text: string) => void;
  /** What is wrong with it; empty when nothing is. */
  readonly problem?: string | null | undefined;
  readonly hint?: ReactNode;
}

/** A labelled line of text with its hint and complaint; what is visible as its label is its name. */
export function Field({ label, value, onText, problem, hint, className = '', ...rest }: FieldProps) {
  const id = useId();
  const saysId = `${id}-says`;
  return (
    <div className={`grid content-start gap-1 font-semibold ${className}`}>
      <label htmlFor={id}>{label}</label>
      <input
        {...rest}
        id={id}
        className={`field w-full font-normal ${problem ? 'border-acid-ink bg-acid-wash' : ''}`}
        value={value}
        aria-invalid={Boolean(problem)}
        aria-describedby={problem || hint ? saysId : undefined}
        onFocus={(event) => {
          // A figure is typed anew, not edited: a finger has no "select all".
          if (/^(decimal|numeric)$/.test(rest.inputMode ?? '')) event.target.select();
          rest.onFocus?.(event);
        }}
        onChange={(event) => {
          onText(event.target.value);
        }}
      />
      {(problem || hint) && (
        <span id={saysId} className={`text-sm font-normal ${problem ? 'text-acid-ink' : 'text-quiet'}`}>
          {problem || hint}
        </span>
      )}
    </div>
  );
}
