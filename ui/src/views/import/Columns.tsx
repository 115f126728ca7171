import type { Table } from "../../api/client";
import type { FileColumn } from "../../api/imports";
import { group, sentences, t } from "../../words";

type Props = {
  table: Table;
  columns: FileColumn[];
  /** Whether what rules have written down comes from the file. */
  asWas: boolean;
  onChange: (column: string, parts: Partial<FileColumn>) => void;
};

/** To which field each column of the file belongs, and how what it shows is read. */
export function Columns({ table, columns, asWas, onChange }: Props) {
  const numbered = new Set(table.rules.filter((rule) => rule.stage === "number").map((rule) => rule.field));
  const written = new Set(table.rules.filter((rule) => rule.stage === "log").map((rule) => rule.field));
  const fields = table.fields.filter(
    (field) =>
      field.may_edit && (!field.given || numbered.has(field.key) || (asWas && field.kept && written.has(field.key))),
  );
  return (
    <div className="sheet overflow-auto">
      <table className="w-full text-[0.8125rem]">
        <thead>
          <tr className="border-base-300 border-b text-left text-secondary text-xs">
            <th className="px-4 py-2 font-semibold">{t("imports.column")}</th>
            <th className="px-4 py-2 font-semibold">{t("imports.shows")}</th>
            <th className="px-4 py-2 font-semibold">{t("imports.field")}</th>
            <th className="px-4 py-2 font-semibold">{t("imports.readAs")}</th>
          </tr>
        </thead>
        <tbody>
          {columns
            .filter((column) => !column.ours)
            .map((column) => {
              const kind = fields.find((field) => field.key === column.field)?.kind;
              return (
                <tr
                  key={column.column}
                  className={`border-base-300/60 border-b last:border-0 ${column.field ? "" : "quiet"}`}
                >
                  <td className="max-w-56 truncate px-4 py-1.5 font-semibold" title={column.column}>
                    {column.column}
                  </td>
                  <td className="max-w-80 truncate px-4 py-1.5" title={column.samples.join(" · ")}>
                    <span className="mr-2">{column.samples.slice(0, 3).join(" · ")}</span>
                    <span className="quiet text-xs">{sentences.imports.filled(column.filled, column.blank)}</span>
                  </td>
                  <td className="px-4 py-1.5">
                    <select
                      className="select select-sm w-52"
                      aria-label={`${t("imports.field")}: ${column.column}`}
                      value={column.field ?? ""}
                      onChange={(event) => onChange(column.column, { field: event.target.value || null })}
                    >
                      <option value="">{t(column.written ? "imports.setByRule" : "imports.leftOut")}</option>
                      {fields.map((field) => (
                        <option
                          key={field.key}
                          value={field.key}
                          disabled={columns.some((each) => each !== column && each.field === field.key)}
                        >
                          {field.label}
                        </option>
                      ))}
                    </select>
                  </td>
                  <td className="px-4 py-1.5">
                    {(kind === "date" || kind === "moment") && column.dated && (
                      <select
                        className="select select-sm w-44"
                        aria-label={`${t("imports.readAs")}: ${column.column}`}
                        value={column.dates}
                        onChange={(event) =>
                          onChange(column.column, { dates: event.target.value as FileColumn["dates"] })
                        }
                      >
                        {group("imports.orders").map(([order, name]) => (
                          <option key={order} value={order}>
                            {name}
                          </option>
                        ))}
                      </select>
                    )}
                    {kind === "number" && (
                      <select
                        className="select select-sm w-44"
                        aria-label={`${t("imports.readAs")}: ${column.column}`}
                        value={column.decimal}
                        onChange={(event) =>
                          onChange(column.column, { decimal: event.target.value as FileColumn["decimal"] })
                        }
                      >
                        {group("imports.marks").map(([mark, name]) => (
                          <option key={mark} value={mark}>
                            {name}
                          </option>
                        ))}
                      </select>
                    )}
                    {kind === "number" && column.long && (
                      <Tick
                        label={`${t("imports.round")}: ${column.column}`}
                        text={t("imports.round")}
                        on={column.round ?? false}
                        onChange={(round) => onChange(column.column, { round })}
                      />
                    )}
                    {column.says_nothing && (
                      <Tick
                        label={`${t("imports.nothing")}: ${column.column}`}
                        text={t("imports.nothing")}
                        on={column.nothing}
                        onChange={(nothing) => onChange(column.column, { nothing })}
                      />
                    )}
                  </td>
                </tr>
              );
            })}
        </tbody>
      </table>
    </div>
  );
}

type TickProps = { label: string; text: string; on: boolean; onChange: (on: boolean) => void };

function Tick({ label, text, on, onChange }: TickProps) {
  return (
    <label className="mt-1 flex items-center gap-1.5 text-xs">
      <input
        type="checkbox"
        className="checkbox checkbox-xs"
        aria-label={label}
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {text}
    </label>
  );
}
