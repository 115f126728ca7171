import { Plus } from "lucide-react";
import { memo } from "react";
import { Link } from "react-router";
import type { Field, RecordData, Table } from "../../api/client";
import { OpenAddress } from "../../components/record/Address";
import { t } from "../../words";
import type { GridColumn } from "./useLayout";
import { type Box, within } from "./useRange";
import type { Waiting } from "./useRejectedRows";

/** Pixels of a row: a finger needs more than a mouse. */
export const HEIGHT = window.matchMedia("(pointer: coarse)").matches ? 44 : 32;
const LINE = { lineHeight: `${HEIGHT - 12}px` };
/** Pixels of the column with the tick, and of that with the number. */
export const TICK = 36;
export const NUMBER = 68;
export const EDGE = TICK + NUMBER;

type Props = {
  table: Table;
  row: number;
  top: number;
  record: RecordData | undefined;
  /** Whether a new record is typed here. */
  empty: boolean;
  /** Whether what is shown is what was seen before, until the row itself comes. */
  late: boolean;
  waiting: Waiting | undefined;
  columns: GridColumn[];
  template: string;
  /** The chosen cells, null where none of this row is. */
  box: Box | null;
  /** Whether the corner by which the chosen cells are drawn further is in this row. */
  handle: boolean;
  active: number | null;
  picked: boolean;
  /** The column that is typed in, with what does the typing. */
  editing: { column: number; editor: React.ReactNode } | null;
  onCell: (row: number, column: number, stretch: boolean) => void;
  onDrag: (row: number, column: number) => void;
  onHandle: () => void;
  onType: (row: number, column: number) => void;
  onPick: (row: number, stretch: boolean) => void;
};

/** One row of the grid: a record, one that waits to be mended, or one that is still loading. */
export const GridRow = memo(function GridRow(props: Props) {
  const { table, row, top, record, empty, late, waiting, columns, template, box, active, picked, editing } = props;
  const refused = (waiting?.messages.length ?? 0) > 0;
  const lit =
    picked || (waiting && !refused) ? "bg-[var(--tint-lit)]" : refused ? "bg-[var(--tint-refused)]" : "bg-base-100";
  return (
    <div
      role="row"
      data-index={row}
      aria-rowindex={row + 2}
      aria-selected={picked}
      className={`absolute top-0 left-0 grid border-base-300/60 border-b ${editing ? "z-20" : ""}
        ${late ? "opacity-50" : ""} ${lit}`}
      style={{ gridTemplateColumns: template, height: HEIGHT, transform: `translateY(${top}px)` }}
    >
      <div role="gridcell" className={`sticky left-0 z-[2] flex items-center justify-center ${lit}`}>
        {record && (
          <input
            type="checkbox"
            tabIndex={-1}
            className="checkbox checkbox-xs"
            aria-label={t("grid.pick", { n: record.id })}
            checked={picked}
            onClick={(event) => props.onPick(row, event.shiftKey)}
            onChange={() => undefined}
          />
        )}
      </div>
      <div
        role="gridcell"
        className={`sticky z-[2] truncate border-base-300 border-r px-2 py-1.5 text-right text-xs ${lit}`}
        style={{ left: TICK, ...LINE }}
      >
        {record ? (
          <Link
            to={`/t/${table.key}/forms/${record.id}`}
            tabIndex={-1}
            title={t("grid.open", { title: record.title })}
            className="quiet tabular-nums underline-offset-2 hover:underline"
          >
            {record.id}
          </Link>
        ) : (
          <span className="quiet">
            {waiting ? (
              t("grid.newRow")
            ) : empty ? (
              <Plus size={13} className="ml-auto" aria-label={t("grid.emptyRow")} />
            ) : (
              "…"
            )}
          </span>
        )}
      </div>
      {columns.map((column, index) => {
        const { field } = column;
        const chosen = box !== null && within(box, row, index);
        const open = editing?.column === index;
        const faults = waiting?.messages.filter((each) => each.field === field.key || each.fields.includes(field.key));
        return (
          <div
            key={field.id}
            id={`cell-${row}-${index}`}
            role="gridcell"
            aria-colindex={index + 3}
            aria-selected={chosen}
            aria-invalid={faults && faults.length > 0 ? true : undefined}
            data-writes={`${table.key}.${field.key}`}
            data-active={active === index || undefined}
            title={faults?.map((each) => each.message).join(" ") || (field.given ? field.sentence : undefined)}
            onPointerDown={(event) => event.button === 0 && props.onCell(row, index, event.shiftKey)}
            onPointerEnter={(event) => event.buttons === 1 && props.onDrag(row, index)}
            onDoubleClick={() => props.onType(row, index)}
            className={[
              "group/cell px-2.5 py-1.5",
              open ? "relative z-20 overflow-visible" : "truncate",
              column.left !== null ? `sticky z-[1] ${lit}` : "relative",
              field.kind === "number" ? "text-right tabular-nums" : "",
              chosen && active !== index ? "!bg-base-200" : "",
              active === index && !open ? "outline-2 outline-accent -outline-offset-2" : "",
              faults && faults.length > 0 ? "text-error underline decoration-wavy decoration-1 underline-offset-4" : "",
            ].join(" ")}
            style={column.left !== null ? { left: EDGE + column.left, ...LINE } : LINE}
          >
            {open && editing?.editor}
            <CellText field={field} record={record} waiting={waiting} empty={empty} />
            {props.handle && box?.right === index && !open && (
              <span
                aria-hidden
                data-handle
                onPointerDown={(event) => {
                  event.stopPropagation();
                  props.onHandle();
                }}
                className="absolute right-0 bottom-0 z-10 size-2 cursor-crosshair rounded-tl-sm bg-accent"
              />
            )}
          </div>
        );
      })}
    </div>
  );
});

type CellTextProps = { field: Field; record?: RecordData; waiting?: Waiting; empty: boolean };

function CellText({ field, record, waiting, empty }: CellTextProps) {
  const made = waiting?.texts?.[field.key];
  if (waiting && made && made !== record?.texts[field.key])
    return field.key in waiting.typed ? made : <span className="stitched">{made}</span>;
  if (waiting && field.key in waiting.typed) {
    const typed = waiting.typed[field.key];
    return <>{typed === true ? t("records.yes") : typed === false ? t("records.no") : String(typed ?? "")}</>;
  }
  if (!record) return waiting || empty ? null : <span className="inline-block h-2 w-2/3 rounded bg-base-200" />;
  const text = record.texts[field.key];
  if (!text) return <span className="quiet">{field.format.blank}</span>;
  return (
    <>
      {field.given ? <span className="stitched">{text}</span> : text}
      <OpenAddress
        field={field}
        text={text}
        className="absolute top-0 right-0 hidden h-full items-center bg-inherit px-1.5 group-hover/cell:flex
          group-data-[active]/cell:flex"
      />
    </>
  );
}
