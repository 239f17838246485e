import { Button } from '../../ui/Button';

interface PicksProps<T extends string> {
  readonly label: string;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly picked: readonly T[];
  readonly onPick: (picked: readonly T[]) => void;
  /** At most so many; the first gives way to the next. */
  readonly most: number;
  readonly disabled?: boolean;
}

/** Large keys of which one or several are on: for wet hands, a keyboard and a screen reader alike. */
export function Picks<T extends string>({
  label,
  options,
  picked,
  onPick,
  most,
  disabled = false,
}: PicksProps<T>) {
  return (
    <div role="group" aria-label={label} className="flex flex-wrap gap-3">
      {options.map(({ value, label: text }) => {
        const on = picked.includes(value);
        return (
          <Button
            key={value}
            aria-pressed={on}
            disabled={disabled && !on}
            className="min-h-16 px-5 text-lg aria-pressed:border-leaf aria-pressed:bg-bottle aria-pressed:text-white"
            onClick={() => {
              if (disabled) return;
              onPick(on ? picked.filter((one) => one !== value) : [...picked, value].slice(-most));
            }}
          >
            {text}
          </Button>
        );
      })}
    </div>
  );
}
