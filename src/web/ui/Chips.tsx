/** A few choices side by side, one of them on; arrow keys move between them. */
export function Chips<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly { readonly value: T; readonly label: string }[];
  onChange: (value: T) => void;
}) {
  return (
    <fieldset className="flex flex-wrap gap-1">
      <legend className="sr-only">{label}</legend>
      {options.map((option) => (
        <label
          key={option.value}
          className="inline-flex min-h-8 cursor-pointer items-center rounded-full border border-edge bg-paper px-3 text-sm hover:bg-mint has-checked:border-leaf has-checked:bg-bottle has-checked:text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-leaf"
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
