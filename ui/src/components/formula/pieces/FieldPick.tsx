import type { Names } from "../../../api/client";
import { t } from "../../../words";
import { type AllNames, type Field, resolve } from "../places";

type Props = {
  table: string;
  names: AllNames;
  value: string;
  name: string;
  onChange: (path: string) => void;
  /** Whether links themselves can be picked, as in "is blank". */
  links?: boolean;
};

/** Picks a field of the table, or of a record that it links to, by the names that people see. */
export function FieldPick({ table, names, value, name, onChange, links = false }: Props) {
  const own = names.get(table)?.fields ?? [];
  return (
    <select
      aria-label={name}
      className="select select-sm w-auto max-w-44"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{t("pieces.pickField")}</option>
      {own.filter(pickable(links)).map((field) => (
        <option key={field.key} value={field.key}>
          {field.label}
        </option>
      ))}
      <option value="user.name">{t("pieces.person")}</option>
      {own
        .filter((field) => field.target)
        .map((link) => (
          <optgroup key={link.key} label={`${link.label} ›`}>
            {fieldsOf(link, names)
              .filter(pickable(false))
              .map((field) => (
                <option key={field.key} value={`${link.key}.${field.key}`}>
                  {`${link.label} › ${field.label}`}
                </option>
              ))}
          </optgroup>
        ))}
      {value !== "" && !shown(value, table, names) && <option value={value}>{value}</option>}
    </select>
  );
}

const pickable = (links: boolean) => (field: Field) => links || field.target === null;

const fieldsOf = (link: Field, names: AllNames): Names["fields"] => names.get(link.target ?? "")?.fields ?? [];

function shown(path: string, table: string, names: AllNames) {
  return (
    path === "user.name" || (path.split(".").length <= 2 && resolve(path.split("."), table, table, names) !== null)
  );
}
