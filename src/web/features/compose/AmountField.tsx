import { useState, type KeyboardEvent } from 'react';

interface AmountFieldProps {
  readonly className?: string;
  readonly value: string;
  readonly label: string;
  readonly invalid: boolean;
  readonly describedBy?: string | undefined;
  readonly onDraft: (text: string | null) => void;
  readonly onCommit: (text: string) => void;
  readonly onKey: (event: KeyboardEvent<HTMLInputElement>) => void;
}

/** The amount as typed. Results follow every key; Enter or leaving keeps it, Escape takes it back. */
export function AmountField({
  className = '',
  value,
  label,
  invalid,
  describedBy,
  onDraft,
  onCommit,
  onKey,
}: AmountFieldProps) {
  const [text, setText] = useState<string | null>(null);
  const commit = (): void => {
    // While a draft is shown, `value` follows it: whether anything changed is for the owner to say.
    if (text !== null) onCommit(text.trim());
    setText(null);
    onDraft(null);
  };
  return (
    <input
      className={`field w-full font-semibold ${className} ${invalid ? 'border-acid-ink bg-acid-wash' : ''}`}
      aria-label={label}
      aria-invalid={invalid}
      aria-describedby={describedBy}
      data-amount
      autoComplete="off"
      spellCheck={false}
      maxLength={200}
      value={text ?? value}
      onChange={(event) => {
        setText(event.target.value);
        onDraft(event.target.value);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        else if (event.key === 'Escape') {
          setText(null);
          onDraft(null);
        } else onKey(event);
      }}
    />
  );
}
