import { useVirtualizer } from "@tanstack/react-virtual";
import { Pencil } from "lucide-react";
import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from "react";
import { useNavigate } from "react-router";
import type { RecordData, Table } from "../../api/client";
import { isReadOnly } from "../../components/record/FieldInput";
import { words } from "../../words";
import { CellEditor } from "./CellEditor";

const HEIGHT = 33;
/** The first field stays in sight while the others scroll by, so that a row can be told. */
export const FROZEN = "sticky left-14 bg-base-100 group-hover:bg-base-200";

type Props = { table: Table; records: RecordData[]; columns: string; onEnd: () => void; children: ReactNode };

/**
 * The grid's rows, of which only those in sight are drawn (which is why this is no
 * table element). Arrows move, Enter opens the record, F2 types right in the row.
 */
export function Rows({ table, records, columns, onEnd, children }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const [editing, setEditing] = useState<{ record: number; field: string } | null>(null);
  const typed = table.fields.filter((field) => table.may.edit && !isReadOnly(field) && field.type !== "long_text");
  const goOn = (record: number, index: number, step: number) => {
    const at = typed.findIndex((field) => field.key === editing?.field);
    const next = step === 0 ? undefined : typed[at + step];
    setEditing(next ? { record, field: next.key } : null);
    if (!next) scroller.current?.querySelector<HTMLElement>(`[data-index="${index}"]`)?.focus();
  };
  const rows = useVirtualizer({
    count: records.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => HEIGHT,
    overscan: 12,
  });
  const items = rows.getVirtualItems();
  const last = items.at(-1)?.index ?? 0;

  useEffect(() => {
    if (last >= records.length - 30) onEnd();
  });

  const open = (record: RecordData) => navigate(`/t/${table.key}/forms/${record.id}`);
  const onKeyDown = (event: KeyboardEvent, index: number, record: RecordData) => {
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === "Enter") open(record);
    else if (event.key === "F2" && typed[0]) {
      event.preventDefault();
      setEditing({ record: record.id, field: typed[0].key });
    } else if (step) {
      event.preventDefault();
      const next = Math.min(records.length - 1, Math.max(0, index + step));
      rows.scrollToIndex(next);
      // A row in sight takes the focus at once, so that no key of a fast hand is lost; one that
      // has yet to be drawn, with the next frame.
      const focus = () => {
        const row = scroller.current?.querySelector<HTMLElement>(`[data-index="${next}"]`);
        row?.focus();
        return Boolean(row);
      };
      if (!focus()) requestAnimationFrame(focus);
    }
  };

  return (
    <div
      ref={scroller}
      role="table"
      aria-label={table.label}
      aria-rowcount={records.length + 1}
      className="sheet min-h-0 flex-1 overflow-auto"
    >
      <div className="min-w-max">
        <div
          role="row"
          className="sticky top-0 z-10 grid border-base-300 border-b bg-base-100"
          style={{ gridTemplateColumns: columns }}
        >
          {children}
        </div>
        <div className="relative" style={{ height: rows.getTotalSize() }}>
          {items.map((item) => {
            const record = records[item.index];
            if (!record) return null;
            return (
              <div
                key={record.id}
                role="row"
                tabIndex={item.index === 0 ? 0 : -1}
                data-index={item.index}
                aria-rowindex={item.index + 2}
                onClick={() => open(record)}
                onKeyDown={(event) => onKeyDown(event, item.index, record)}
                className={`group absolute top-0 left-0 ${editing?.record === record.id ? "z-20" : ""} grid w-full cursor-pointer border-base-300/60 border-b hover:bg-base-200 focus-visible:bg-base-200 focus-visible:outline-offset-[-2px]`}
                style={{ gridTemplateColumns: columns, height: HEIGHT, transform: `translateY(${item.start}px)` }}
              >
                <Cell
                  align="right"
                  open={false}
                  className="quiet sticky left-0 bg-base-100 tabular-nums group-hover:bg-base-200"
                >
                  {record.id}
                </Cell>
                {table.fields.map((field, index) => (
                  <Cell
                    key={field.key}
                    writes={`${table.key}.${field.key}`}
                    open={editing?.record === record.id && editing.field === field.key}
                    align={field.kind === "number" ? "right" : "left"}
                    className={`${field.kind === "number" ? "tabular-nums" : ""} ${index === 0 ? FROZEN : ""}`}
                  >
                    {editing?.record === record.id && editing.field === field.key && (
                      <CellEditor
                        key={field.key}
                        table={table}
                        record={record}
                        field={field}
                        onDone={(step) => goOn(record.id, item.index, step)}
                      />
                    )}
                    {typed.includes(field) && (
                      <button
                        type="button"
                        tabIndex={-1}
                        title={words.records.editCell(field.label)}
                        aria-label={words.records.editCell(field.label)}
                        className="absolute top-1/2 right-1 hidden -translate-y-1/2 rounded bg-base-100 p-1 group-hover/cell:block"
                        onClick={(event) => {
                          event.stopPropagation();
                          setEditing({ record: record.id, field: field.key });
                        }}
                      >
                        <Pencil size={12} aria-hidden />
                      </button>
                    )}
                    {field.given && record.texts[field.key] ? (
                      <span className="stitched">{record.texts[field.key]}</span>
                    ) : (
                      record.texts[field.key] || <span className="quiet">{field.format.blank}</span>
                    )}
                  </Cell>
                ))}
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}

type CellProps = {
  align: "left" | "right";
  open: boolean;
  className: string;
  /** The field, for whoever asks what writes it. */
  writes?: string;
  children: ReactNode;
};

function Cell({ align, open, className, writes, children }: CellProps) {
  return (
    <div
      role="cell"
      data-writes={writes}
      className={`group/cell px-3 py-1.5 ${open ? "relative z-20 overflow-visible" : "relative truncate"} ${align === "right" ? "text-right" : ""} ${className}`}
    >
      {children}
    </div>
  );
}
