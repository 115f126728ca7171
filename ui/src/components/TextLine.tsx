type Props = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  secret?: boolean;
  /** Whether a secret is the one there is, which the browser may know. */
  current?: boolean;
};

/** A text, or a secret, beneath its name. */
export function TextLine({ label, value, onChange, secret = false, current = false }: Props) {
  return (
    <label className="flex flex-col gap-1">
      <span className="font-semibold text-xs">{label}</span>
      <input
        className="input w-full"
        type={secret ? "password" : "text"}
        autoComplete={secret ? (current ? "current-password" : "new-password") : "off"}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
