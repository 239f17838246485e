/** A few choices side by side, one of them on; arrow keys move between them. */
export function Chips<T extends string>({
  label,
  value,
  options,
  onChange,
  large = false,
  className = 'flex flex-wrap',
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onChange: (value: T) => void;
  /** For wet hands. */
  large?: boolean;
  /** How they lie beside each other. */
  className?: string;
}) {
  return (
    <fieldset className={`${className} ${large ? 'gap-4' : 'gap-1'}`}>
      <legend className="sr-only">{label}</legend>
      {options.map((option) => (
        <label
          key={option.value}
          className={`inline-flex cursor-pointer items-center justify-center border border-edge bg-paper hover:bg-mint has-checked:border-leaf has-checked:bg-bottle has-checked:text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-leaf ${large ? 'min-h-16 rounded-md px-3 font-semibold' : 'min-h-8 rounded-full px-3 text-sm'}`}
        >
          <input
            type="radio"
            className="sr-only"
            name={label}
            checked={value === option.value}
            onChange={() => {
              onChange(option.value);
            }}
          />
          {option.label}
        </label>
      ))}
    </fieldset>
  );
}
