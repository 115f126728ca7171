import type { ProposedTable } from "../../api/imports";
import { sentences, t } from "../../words";
import { type Choice, ProposedFields } from "./ProposedFields";

type Field = ProposedTable["fields"][number] & Choice;
/** A table as it was proposed, with what somebody chose of it. */
export type ChosenTable = Omit<ProposedTable, "fields"> & { fields: Field[]; taken: boolean };

type ListProps = {
  tables: ChosenTable[];
  shown: number;
  onShow: (number: number) => void;
  onChange: (number: number, parts: Partial<ChosenTable>) => void;
};

/** The tables of a file, to be taken or left, and to be looked at. */
export function TableList({ tables, shown, onShow, onChange }: ListProps) {
  return (
    <ul className="sheet max-h-[60vh] divide-y divide-base-300/60 overflow-auto" aria-label={t("imports.tables")}>
      {tables.map((table) => (
        <li
          key={table.number}
          className={`flex items-center gap-2 px-3 py-2 ${table.number === shown ? "bg-[var(--tint-lit)]" : ""}`}
        >
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            aria-label={t("imports.take", { table: table.label })}
            checked={table.taken}
            disabled={table.problem !== null}
            onChange={(event) => onChange(table.number, { taken: event.target.checked })}
          />
          <button
            type="button"
            className="min-w-0 flex-1 text-left"
            aria-current={table.number === shown}
            onClick={() => onShow(table.number)}
          >
            <span className={`block truncate ${table.taken ? "" : "opacity-60"}`}>{table.label}</span>
            <span className="quiet block truncate text-xs">
              {sentences.imports.inside(table.rows, table.fields.length)}
            </span>
          </button>
          {(table.problem !== null || table.notes.length > 0) && (
            <span className={`text-xs ${table.problem === null ? "text-secondary" : "text-error"}`}>
              {t("imports.noteCount", { count: table.notes.length + (table.problem === null ? 0 : 1) })}
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

/** One of them: its name, notes, fields and rules. */
export function OneTable({ table, onChange }: { table: ChosenTable; onChange: (parts: Partial<ChosenTable>) => void }) {
  const change = (column: string, parts: Partial<Choice>) =>
    onChange({ fields: table.fields.map((field) => (field.column === column ? { ...field, ...parts } : field)) });
  return (
    <section className="sheet min-w-0" aria-label={table.label}>
      <div className="flex flex-wrap items-end gap-4 border-base-300 border-b px-4 py-3">
        <label className="flex w-64 max-w-full flex-col gap-1">
          {t("imports.tableName")}
          <input
            className="input input-sm w-full"
            value={table.label}
            onChange={(event) => onChange({ label: event.target.value })}
          />
        </label>
        <p className="quiet pb-1.5 text-xs">{t("imports.calledThere", { name: table.name })}</p>
      </div>
      {table.problem && (
        <p className="px-4 py-2 text-error" role="alert">
          {table.problem}
        </p>
      )}
      {table.notes.length > 0 && (
        <ul className="flex flex-col gap-1 px-4 py-2 text-secondary text-xs">
          {table.notes.map((note) => (
            <li key={note} className="break-words">
              {note}
            </li>
          ))}
        </ul>
      )}
      <div className="overflow-auto">
        <ProposedFields fields={table.fields} rules={t("imports.rulesThere")} onChange={change} />
      </div>
      {table.rules.length > 0 && (
        <div className="border-base-300 border-t px-4 py-2 text-[0.8125rem]">
          <h3 className="mb-1 font-semibold text-secondary text-xs">{t("imports.rulesOfTable")}</h3>
          {table.rules.map((rule) => (
            <label key={rule.words} className="flex items-baseline gap-1.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs self-center"
                checked={!rule.doubtful}
                onChange={(event) =>
                  onChange({
                    rules: table.rules.map((each) =>
                      each === rule ? { ...each, doubtful: !event.target.checked } : each,
                    ),
                  })
                }
              />
              <span className="min-w-0 break-words">{rule.words}</span>
            </label>
          ))}
        </div>
      )}
    </section>
  );
}
