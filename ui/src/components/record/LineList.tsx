import { useQuery } from "@tanstack/react-query";
import { Plus, RotateCcw, X } from "lucide-react";
import { type KeyboardEvent, useRef } from "react";
import { flushSync } from "react-dom";
import { api, data, type FormItem, type RecordData, type Table } from "../../api/client";
import { useTable } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { t } from "../../words";
import { land } from "./keyQueue";
import { LineCell } from "./LineCell";
import { groupName, type LineTyped } from "./lines";
import { playText, writes } from "./playing";
import type { Draft } from "./useDraft";
import type { Lines } from "./useLines";

type Props = { table: Table; id: number | null; item: FormItem; draft: Draft; lines: Lines };

/** The records that link here, edited in place beneath the one above and saved together with it. */
export function LineList({ table, id, item, draft, lines }: Props) {
  const box = useRef<HTMLTableElement>(null);
  const addButton = useRef<HTMLButtonElement>(null);
  const other = item.lines?.table ?? "";
  const link = item.lines?.link ?? "";
  const group = groupName(other, link);
  const design = useTable(other).data;
  const stored = useQuery({
    queryKey: queryKeys.lines(table.key, id, other, link),
    queryFn: () =>
      data(
        api.GET("/api/tables/{table}/records/{id}/lines/{other}/{link}", {
          params: { path: { table: table.key, id: id ?? 0, other, link } },
        }),
      ),
    enabled: id !== null,
  }).data;
  const fields = (item.fields ?? []).flatMap((key) => design?.fields.find((field) => field.key === key) ?? []);
  const typed = lines.typed[group] ?? [];
  const rows: { line: LineTyped; record: RecordData | null }[] = [
    ...(stored ?? []).map((record) => ({
      record,
      line: typed.find((row) => row.id === record.id) ?? lineOf(record),
    })),
    ...typed.filter((row) => row.id === null).map((line) => ({ record: null, line })),
  ];
  if (!design) return null;

  const type = (line: LineTyped, field: string, value: string | number) => {
    lines.type(group, line, field, value);
    draft.again();
  };
  // Drawn at once, so that the next key of a fast hand falls into the new line.
  const add = () => {
    flushSync(() => lines.change(group, lines.fresh()));
    box.current?.querySelector<HTMLElement>("tr:last-child [data-line-input]")?.focus();
  };
  const remove = (line: LineTyped) => {
    if (line.id === null) lines.drop(group, line.key);
    else lines.change(group, { ...line, gone: !line.gone });
    draft.again();
  };

  /** Enter and Tab go from cell to cell: Enter from the last one to a new line, Tab to where one begins. */
  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    const target = event.target as HTMLElement;
    if (event.altKey || event.ctrlKey || event.metaKey || !target.matches("[data-line-input]")) return;
    if (event.key !== "Enter" && event.key !== "Tab") return;
    if (event.defaultPrevented && !target.matches("[role=combobox]")) return;
    const all = [...(box.current?.querySelectorAll<HTMLElement>("[data-line-input]") ?? [])];
    const next = all[all.indexOf(target) + (event.shiftKey ? -1 : 1)];
    if (!next && event.shiftKey) return;
    event.preventDefault();
    if (next) land(next);
    else if (event.key === "Enter") add();
    else addButton.current?.focus();
  };

  return (
    <div className="overflow-x-auto" data-writes={`${other}.${fields[0]?.key ?? ""}`}>
      {item.label && <p className="mb-0.5 font-semibold text-[0.8125rem]">{item.label}</p>}
      <table ref={box} className="line-table w-full text-[0.8125rem]" onKeyDown={onKeyDown}>
        <thead>
          <tr className="quiet border-base-300 border-b text-left text-xs">
            {fields.map((field) => (
              <th
                key={field.key}
                className={`px-2 py-1 font-normal ${field.kind === "number" ? "w-28 text-right" : ""}`}
              >
                {field.label}
              </th>
            ))}
            <td className="w-8" />
          </tr>
        </thead>
        <tbody>
          {rows.map(({ line, record }, index) => {
            const answer = lines.of(draft.answer, line.key);
            const messages = lines.visited.has(line.key)
              ? (answer?.messages ?? []).filter((each) => each.field !== link || each.code === "changed_meanwhile")
              : [];
            return (
              <tr key={line.key} className="border-base-300/70 border-b align-top">
                {fields.map((field) => (
                  <td key={field.key} className="p-0.5" data-writes={`${other}.${field.key}`}>
                    {line.gone ? (
                      <span className="quiet block px-2 py-1 line-through">{record?.texts[field.key]}</span>
                    ) : (
                      <LineCell
                        table={other}
                        field={field}
                        label={t("lines.cell", { n: index + 1, label: field.label })}
                        line={line}
                        record={record}
                        answer={answer}
                        messages={messages.filter((each) => each.field === field.key)}
                        onBusy={draft.wait}
                        onTyping={(text) => lines.typing(group, line, field.key, text)}
                        onLeave={(value) => {
                          if (value !== null) type(line, field.key, value);
                        }}
                        onLeft={() => lines.visit(line.key)}
                      />
                    )}
                  </td>
                ))}
                <td className="py-1 text-right">
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs btn-square"
                    aria-label={line.gone ? t("lines.back", { n: index + 1 }) : t("lines.remove", { n: index + 1 })}
                    title={line.gone ? t("lines.back", { n: index + 1 }) : t("lines.remove", { n: index + 1 })}
                    onClick={() => remove(line)}
                  >
                    {line.gone ? <RotateCcw size={13} aria-hidden /> : <X size={13} aria-hidden />}
                  </button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {rows.length === 0 && <p className="quiet px-2 py-1.5">{t("lines.empty")}</p>}
      <button
        ref={addButton}
        type="button"
        data-line-add
        className="btn btn-ghost btn-xs mt-1"
        onClick={add}
        onKeyDown={(event) => {
          // Whoever types on where the next line would begin means the next line.
          if (!writes(event) || event.key === " ") return;
          event.preventDefault();
          playText(event.key);
        }}
      >
        <Plus size={13} aria-hidden />
        {t("lines.add")}
      </button>
    </div>
  );
}

const lineOf = (record: RecordData): LineTyped => ({
  key: `line-${record.id}`,
  id: record.id,
  version: record.version,
  typed: {},
  gone: false,
});
