import { Search } from 'lucide-react';
import type { Ref } from 'react';

interface SearchFieldProps {
  readonly label: string;
  readonly placeholder: string;
  readonly value: string;
  readonly onText: (text: string) => void;
  /** To put the focus into it by key. */
  readonly inputRef: Ref<HTMLInputElement>;
}

export function SearchField({ label, placeholder, value, onText, inputRef }: SearchFieldProps) {
  return (
    <label className="field flex min-w-44 flex-1 items-center gap-2 sm:max-w-72">
      <Search size={16} aria-hidden className="shrink-0 text-quiet" />
      <input
        ref={inputRef}
        type="search"
        aria-label={label}
        placeholder={placeholder}
        className="w-full bg-transparent outline-none"
        value={value}
        onChange={({ target }) => {
          onText(target.value);
        }}
      />
    </label>
  );
}
