import { Select } from 'radix-ui';
import { Check, ChevronDown } from 'lucide-react';

export interface ChoiceOption<T extends string> {
  readonly value: T;
  readonly label: string;
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly ChoiceOption<T>[];
  readonly onChange: (value: T) => void;
  readonly className?: string;
}

/** One of several, by pointer or keyboard. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  className = '',
}: ChoiceProps<T>) {
  return (
    <Select.Root
      value={value}
      onValueChange={(next) => {
        onChange(next as T);
      }}
    >
      <Select.Trigger
        aria-label={label}
        className={`field inline-flex max-w-full min-w-0 items-center justify-between gap-2 text-left font-semibold ${className}`}
      >
        {/* Breakable, cut after one line: a long name never widens what it stands in. */}
        <span className="line-clamp-1 break-all">
          <Select.Value />
        </span>
        <Select.Icon>
          <ChevronDown size={16} aria-hidden />
        </Select.Icon>
      </Select.Trigger>
      <Select.Portal>
        <Select.Content
          position="popper"
          sideOffset={4}
          className="z-50 max-h-[70vh] overflow-hidden rounded-md border border-edge bg-paper shadow-lg"
        >
          <Select.Viewport className="p-1">
            {options.map((option) => (
              <Select.Item
                key={option.value}
                value={option.value}
                className="flex min-h-8 items-center gap-2 rounded px-2 py-1 outline-none data-highlighted:bg-mint"
              >
                <span className="w-4">
                  <Select.ItemIndicator>
                    <Check size={16} aria-hidden />
                  </Select.ItemIndicator>
                </span>
                <Select.ItemText>{option.label}</Select.ItemText>
              </Select.Item>
            ))}
          </Select.Viewport>
        </Select.Content>
      </Select.Portal>
    </Select.Root>
  );
}
