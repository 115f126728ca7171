import type { Table } from "../../../api/client";

type Props = {
  table: Table;
  label: string;
  /** Key of a field that is not offered. */
  except: string;
  value: string[];
  onChange: (keys: string[]) => void;
};

/** Some fields of the table, ticked. */
export function FieldList({ table, label, except, value, onChange }: Props) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{label}</legend>
      <div
        className="grid max-h-40 grid-cols-2 gap-x-3 gap-y-1 overflow-auto rounded border border-base-300 px-2.5
        py-2"
      >
        {table.fields
          .filter((field) => field.key !== except && field.kept)
          .map((field) => (
            <label key={field.key} className="flex min-w-0 items-center gap-2">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={value.includes(field.key)}
                onChange={() =>
                  onChange(value.includes(field.key) ? value.filter((key) => key !== field.key) : [...value, field.key])
                }
              />
              <span className="truncate">{field.label}</span>
            </label>
          ))}
      </div>
    </fieldset>
  );
}
