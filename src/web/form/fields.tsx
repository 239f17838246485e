/**
 * The fields of every form, bound to it by name. A field keeps what was typed until it can be read, and says
 * what is wrong beside it; its visible label is its accessible name.
 */
import { useRef, useState, type ReactNode } from 'react';
import { useController, type Control, type FieldPath, type FieldValues } from 'react-hook-form';
import { sayCode } from '#words/problems';
import { formWords } from '#words/screens/form';
import { Button } from '../ui/Button';
import { Choice, type ChoiceOption } from '../ui/Choice';
import { Field } from '../ui/Field';
import { readDecimal } from '../ui/readDecimal';
import { Tick } from '../ui/Tick';

export interface Bound<T extends FieldValues> {
  readonly control: Control<T, unknown, T>;
  readonly name: FieldPath<T>;
  readonly label: string;
  readonly className?: string;
}

function useField<T extends FieldValues>({ control, name }: Bound<T>) {
  const { field, fieldState } = useController<T, FieldPath<T>, T>({ control, name });
  const { error } = fieldState;
  // The contract's own messages are codes; what the schema found by itself was put into words there.
  const found = error?.message;
  const problem = found === undefined ? null : formWords.sentence(sayCode(found) ?? found);
  return {
    value: field.value as unknown,
    set: field.onChange as (value: unknown) => void,
    onBlur: field.onBlur,
    problem,
  };
}

interface TextFieldProps<T extends FieldValues> extends Bound<T> {
  readonly maxLength?: number;
  readonly placeholder?: string;
  readonly hint?: ReactNode;
  /** What an empty field stands for; left out, an empty text. */
  readonly whenEmpty?: null;
  readonly inputMode?: 'decimal' | 'numeric' | 'text';
  /** Found by whoever has the form, beside what its schema finds. */
  readonly problem?: string | null | undefined;
}
export function TextField<T extends FieldValues>(props: TextFieldProps<T>) {
  const { hint, maxLength, placeholder, whenEmpty, inputMode, problem: found, ...bound } = props;
  const { value, set, onBlur, problem } = useField(bound);
  return (
    <Field
      label={bound.label}
      className={bound.className ?? ''}
      maxLength={maxLength}
      placeholder={placeholder}
      hint={hint}
      value={(value as string | null) ?? ''}
      onText={(text) => {
        set(text === '' && whenEmpty === null ? null : text);
      }}
      onBlur={onBlur}
      inputMode={inputMode}
      problem={found ?? problem}
    />
  );
}

/** A day; empty is none. */
export function DateField<T extends FieldValues>(bound: Bound<T>) {
  const { value, set, onBlur, problem } = useField(bound);
  return (
    <Field
      label={bound.label}
      className={bound.className ?? ''}
      type="date"
      value={(value as string | null) ?? ''}
      onText={(text) => {
        set(text === '' ? null : text);
      }}
      onBlur={onBlur}
      problem={problem}
    />
  );
}

/** What a text stands for: a value, or what is wrong with it. */
export type ReadText = (text: string) => { readonly value: number } | { readonly problem: string };
const readNumber: ReadText = (text) => {
  const value = readDecimal(text);
  return value === null ? { problem: formWords.aNumber } : { value };
};

/** Typed in one unit, kept in another: per cent and a share. */
export const inUnitOf = (factor: number): { read: ReadText; show: (value: number) => string } => ({
  read: (text) => {
    const result = readNumber(text);
    return 'value' in result ? { value: result.value / factor } : result;
  },
  show: (value) => String(Number((value * factor).toFixed(4))),
});

interface ReadFieldProps<T extends FieldValues> extends Bound<T> {
  /** What an empty field stands for; left out, it must be filled. */
  readonly whenEmpty?: null;
  readonly read?: ReadText;
  readonly show?: (value: number) => string;
  readonly inputMode?: 'decimal' | 'numeric' | 'text';
  readonly placeholder?: string | undefined;
  readonly hint?: ReactNode;
  /** Its label stands elsewhere, as in a table: it is still its name. */
  readonly bare?: boolean;
}

/** Anything that is typed and stands for a number: with a unit, as a cook says an amount, as a time of day. */
export function ReadField<T extends FieldValues>(props: ReadFieldProps<T>) {
  const { read = readNumber, show = String, whenEmpty, bare = false, hint, placeholder, ...bound } = props;
  const { value, set, onBlur, problem } = useField(bound);
  const [lastTyped, setTyped] = useState<string | null>(null);
  const number = value as number | null;
  const valueOf = (text: string): number | null => {
    if (text.trim() === '') return whenEmpty === null ? null : NaN;
    const result = read(text);
    // A value that is none: the schema refuses it, and what was typed stays.
    return 'value' in result ? result.value : NaN;
  };
  // What was typed stands as long as it is what the form holds; the form may have been put back meanwhile.
  const typed = lastTyped !== null && Object.is(valueOf(lastTyped), number) ? lastTyped : null;
  const text = typed ?? (number === null || Number.isNaN(number) ? '' : show(number));
  const unread = typed === null || typed.trim() === '' ? null : readProblem(read(typed));
  const onText = (next: string): void => {
    setTyped(next);
    set(valueOf(next));
  };
  const leave = (): void => {
    onBlur();
    if (typed !== null && unread === null && problem === null) setTyped(null);
  };
  const inputMode = props.inputMode ?? 'decimal';
  if (bare)
    return (
      <input
        className={`field w-full font-normal ${problem ? 'border-acid-ink bg-acid-wash' : ''}`}
        inputMode={inputMode}
        aria-label={bound.label}
        aria-invalid={problem !== null}
        value={text}
        onChange={({ target }) => {
          onText(target.value);
        }}
        onBlur={leave}
      />
    );
  return (
    <Field
      label={bound.label}
      className={bound.className ?? ''}
      inputMode={inputMode}
      placeholder={placeholder}
      hint={hint}
      value={text}
      onText={onText}
      onBlur={leave}
      problem={unread ?? problem}
    />
  );
}
const readProblem = (result: ReturnType<ReadText>): string | null =>
  'problem' in result ? result.problem : null;

interface ChoiceFieldProps<T extends FieldValues, V extends string> extends Bound<T> {
  readonly options: readonly ChoiceOption<V>[];
  readonly hint?: ReactNode;
  /** What stands beside it where its name is longer than its place; it stands on its own line otherwise. */
  readonly beside?: string;
}
export function ChoiceField<T extends FieldValues, V extends string>(props: ChoiceFieldProps<T, V>) {
  const { options, hint, beside, ...bound } = props;
  const { value, set } = useField(bound);
  if (beside !== undefined)
    return (
      <div className="grid grid-cols-[5.4rem_minmax(0,1fr)] items-center gap-2 font-semibold">
        {beside}
        <Choice
          label={bound.label}
          value={value as V}
          options={options}
          onChange={set}
          className="font-normal"
        />
      </div>
    );
  return (
    <div className={`grid grid-cols-1 content-start gap-1 ${bound.className ?? ''}`}>
      <span className="font-semibold" aria-hidden>
        {bound.label}
      </span>
      <Choice label={bound.label} value={value as V} options={options} onChange={set} />
      {hint && <span className="text-sm text-quiet">{hint}</span>}
    </div>
  );
}

export function TickField<T extends FieldValues>(bound: Bound<T>) {
  const { value, set } = useField(bound);
  return <Tick label={bound.label} checked={value as boolean} onChange={set} />;
}

interface FileFieldProps {
  readonly label: string;
  readonly button: string;
  readonly accept: string;
  readonly onFile: (file: File) => void;
}
/** A file to choose; choosing the same again asks again. */
export function FileField({ label, button, accept, onFile }: FileFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button onClick={() => input.current?.click()}>{button}</Button>
      <input
        ref={input}
        type="file"
        aria-label={label}
        accept={accept}
        className="sr-only"
        tabIndex={-1}
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
