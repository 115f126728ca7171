import { X } from "lucide-react";
import { useState } from "react";
import type { Field, Script, Table } from "../../api/client";
import { useTable, useTables } from "../../api/queries";
import { t } from "../../words";

type Records = NonNullable<Script["records"]>;
type Values = { [field: string]: string | number | boolean | null };
type Props = { records: Records; onChange: (records: Records) => void };

/** The records that a proof brings along, and with which alone it runs. */
export function ProofRecords({ records, onChange }: Props) {
  const tables = useTables().data ?? [];
  const all: { [table: string]: { [id: string]: Values } } = records;
  const count = Object.values(all).reduce((sum, each) => sum + Object.keys(each).length, 0);
  const put = (table: string, id: string, values: Values | null) => {
    const { [id]: _gone, ...others } = all[table] ?? {};
    const { [table]: _table, ...rest } = all;
    const left = values ? { ...others, [id]: values } : others;
    onChange(Object.keys(left).length > 0 ? { ...rest, [table]: left } : rest);
  };
  const add = (table: string) => {
    const highest = Math.max(0, ...Object.keys(all[table] ?? {}).map(Number));
    put(table, String(highest + 1), {});
  };
  return (
    <details>
      <summary className="cursor-pointer font-semibold">{t("proofs.brings", { count })}</summary>
      <p className="quiet mt-1 text-xs">{t("proofs.bringsHint")}</p>
      <div className="mt-1.5 flex max-h-72 flex-col gap-2 overflow-auto">
        {Object.entries(all).map(([table, each]) =>
          Object.entries(each).map(([id, values]) => (
            <OneRecord
              key={`${table}-${id}`}
              table={table}
              id={id}
              values={values}
              onChange={(next) => put(table, id, next)}
            />
          )),
        )}
      </div>
      <select
        className="select select-sm mt-2 w-56"
        aria-label={t("proofs.bringMore")}
        value=""
        onChange={(event) => event.target.value && add(event.target.value)}
      >
        <option value="">{t("proofs.bringMore")}</option>
        {tables.map((table) => (
          <option key={table.key} value={table.key}>
            {table.label}
          </option>
        ))}
      </select>
    </details>
  );
}

type OneProps = { table: string; id: string; values: Values; onChange: (values: Values | null) => void };

function OneRecord({ table: key, id, values, onChange }: OneProps) {
  const table = useTable(key).data;
  const [more, setMore] = useState<string[]>([]);
  if (!table) return null;
  const shown = typable(table).filter((field) => field.key in values || more.includes(field.key));
  const open = typable(table).filter((field) => !shown.includes(field));
  const name = `${table.one} ${id}`;
  return (
    <fieldset className="rounded border border-base-300 px-2.5 py-1.5">
      <legend className="flex items-center gap-1 px-1 text-xs">
        {name}
        <button
          type="button"
          className="btn btn-ghost btn-xs btn-square"
          title={t("proofs.leaveOut", { name })}
          aria-label={t("proofs.leaveOut", { name })}
          onClick={() => onChange(null)}
        >
          <X size={12} aria-hidden />
        </button>
      </legend>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1 sm:grid-cols-3">
        {shown.map((field) => (
          <label key={field.key} className="flex min-w-0 flex-col text-xs">
            <span className="quiet truncate">{field.label}</span>
            <input
              className="input input-xs w-full"
              value={values[field.key] === null || values[field.key] === undefined ? "" : String(values[field.key])}
              onChange={(event) => onChange({ ...values, [field.key]: typed(field, event.target.value) })}
            />
          </label>
        ))}
        {open.length > 0 && (
          <select
            className="select select-xs self-end"
            aria-label={t("proofs.fillMore", { name })}
            value=""
            onChange={(event) => setMore([...more, event.target.value])}
          >
            <option value="">{t("proofs.fillOther")}</option>
            {open.map((field) => (
              <option key={field.key} value={field.key}>
                {field.label}
              </option>
            ))}
          </select>
        )}
      </div>
    </fieldset>
  );
}

/** What is worked out follows by itself. */
const typable = (table: Table) =>
  table.fields.filter((field) => field.calculated === null || field.calculated === "once");

function typed(field: Field, text: string) {
  if (text === "") return null;
  if (field.editor === "link") return /^\d+$/.test(text) ? Number(text) : text;
  if (field.editor === "answer" && ["true", "yes"].includes(text)) return true;
  return field.editor === "answer" && ["false", "no"].includes(text) ? false : text;
}
