import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Field } from '../../ui/Field';

interface SayFieldProps {
  /** What the key to it finds it by. */
  readonly field: 'name' | 'line';
  readonly label: string;
  readonly placeholder: string;
  readonly button: string;
  readonly large?: boolean;
  readonly onText?: (text: string) => void;
  /** @returns what is wrong with it; null: it is taken, and the field is empty again */
  readonly onSay: (text: string) => string | null;
}

/** A line that is typed or dictated; what is wrong is said beneath it, and nothing typed is lost. */
export function SayField({ field, label, placeholder, button, large = false, onText, onSay }: SayFieldProps) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const show = (next: string): void => {
    setText(next);
    setProblem(null);
    onText?.(next);
  };
  return (
    <form
      className="flex min-w-0 flex-1 flex-wrap items-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!text.trim()) return;
        const wrong = onSay(text.trim());
        if (wrong === null) show('');
        else setProblem(wrong);
      }}
    >
      <Field
        data-pour-field={field}
        label={label}
        className={`min-w-52 flex-1 ${large ? '[&_input]:min-h-16 [&_input]:text-lg' : ''}`}
        maxLength={200}
        autoComplete="off"
        placeholder={placeholder}
        value={text}
        onText={show}
        problem={problem}
      />
      <Button
        type="submit"
        className={`sm:mt-7 ${large ? 'min-h-16 px-6' : 'min-h-11 px-5'}`}
        disabled={!text.trim()}
      >
        {button}
      </Button>
    </form>
  );
}
