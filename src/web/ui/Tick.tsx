interface TickProps {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string;
}

/** Yes or no, with its words beside it. */
export function Tick({ label, checked, onChange, className = '' }: TickProps) {
  return (
    <label className={`flex min-h-8 items-center gap-2 ${className}`}>
      <input
        type="checkbox"
        className="size-4 accent-leaf"
        checked={checked}
        onChange={({ target }) => {
          onChange(target.checked);
        }}
      />
      {label}
    </label>
  );
}
