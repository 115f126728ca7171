type Props<Value extends string> = {
  name: string;
  value: Value;
  options: readonly (readonly [Value, string])[];
  onChange: (value: Value) => void;
};

/** A few alternatives side by side, of which one holds. */
export function SegmentedControl<Value extends string>({ name, value, options, onChange }: Props<Value>) {
  return (
    <fieldset className="join max-w-full flex-wrap gap-y-px">
      <legend className="sr-only">{name}</legend>
      {options.map(([key, label]) => (
        <input
          key={key}
          type="radio"
          name={name}
          aria-label={label}
          checked={value === key}
          onChange={() => onChange(key)}
          className="btn btn-sm join-item checked:!bg-neutral checked:!text-neutral-content"
        />
      ))}
    </fieldset>
  );
}
