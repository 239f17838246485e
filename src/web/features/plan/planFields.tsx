/** Numbers and times that are taken as soon as they can be read; what cannot stays as typed. */
import { useState } from 'react';
import { planWords } from '#words/screens/plan';
import type { FieldValues } from 'react-hook-form';
import { ReadField, type Bound, type ReadText } from '../../form/fields';
import { Field } from '../../ui/Field';
import { readTime, sayTime } from '#kitchen/day';

export function NumberOf({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const number = Number(text);
  const fits =
    text === null || (text.trim() !== '' && Number.isInteger(number) && number >= 1 && number <= 5000);
  return (
    <Field
      label={label}
      inputMode="numeric"
      value={text ?? String(value)}
      onText={(next) => {
        setText(next);
        const read = Number(next);
        if (next.trim() !== '' && Number.isInteger(read) && read >= 1 && read <= 5000) onChange(read);
      }}
      onBlur={() => {
        if (fits) setText(null);
      }}
      problem={fits ? null : planWords.aWholeNumber}
      className="w-24"
    />
  );
}

export function TimeOf({
  label,
  value,
  onChange,
}: {
  label: string;
  value: number;
  onChange: (minutes: number) => void;
}) {
  const [text, setText] = useState<string | null>(null);
  const fits = text === null || readTime(text) !== null;
  return (
    <Field
      label={label}
      value={text ?? sayTime(value * 60)}
      onText={(next) => {
        setText(next);
        const read = readTime(next);
        if (read !== null && next.length >= 4) onChange(read);
      }}
      onBlur={() => {
        const read = text === null ? null : readTime(text);
        if (read !== null) {
          onChange(read);
          setText(null);
        }
      }}
      problem={fits ? null : planWords.suchAs1230}
      className="w-32"
    />
  );
}

const readMinutes: ReadText = (text) => {
  const minutes = readTime(text);
  return minutes === null ? { problem: planWords.suchAs1230 } : { value: minutes };
};
const showMinutes = (minutes: number): string => sayTime(minutes * 60);

/** A time of the day, kept as minutes from midnight. */
export function TimeField<T extends FieldValues>(bound: Bound<T>) {
  return <ReadField {...bound} read={readMinutes} show={showMinutes} inputMode="text" />;
}
