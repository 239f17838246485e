import { useState } from 'react';

const toNumber = (text: string): number => (text.trim() === '' ? NaN : Number(text.replace(',', '.')));

export function Complaint({ text }: { text: string | undefined }) {
  return text ? <span className="text-sm font-normal text-acid-ink">{text}.</span> : null;
}

/** Keeps the words while they are no number yet, so that "0," can become "0,5". */
export function NumberField({
  value,
  label,
  invalid,
  onChange,
}: {
  value: number;
  label: string;
  invalid: boolean;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  return (
    <input
      className={`field w-full font-normal ${invalid ? 'border-acid-ink bg-acid-wash' : ''}`}
      inputMode="decimal"
      aria-label={label}
      aria-invalid={invalid}
      value={text ?? String(value)}
      onChange={(event) => {
        setText(event.target.value);
        onChange(toNumber(event.target.value));
      }}
      onBlur={() => {
        if (text !== null && Number.isFinite(toNumber(text))) setText(null);
      }}
    />
  );
}
