import { useVirtualizer } from "@tanstack/react-virtual";
import { type KeyboardEvent, useCallback, useEffect, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import type { RecordData, Table } from "../../api/client";
import { PAGE, type Total, useWindow, type View } from "../../api/records";
import { isReadOnly } from "../../components/record/FieldInput";
import { keyQueue } from "../../components/record/keyQueue";
import { astray, writes } from "../../components/record/playing";
import { words } from "../../words";
import { CellEditor } from "./CellEditor";
import { GridFoot } from "./GridFoot";
import { GridHead } from "./GridHead";
import { EDGE, GridRow, HEIGHT, NUMBER, TICK } from "./GridRow";
import { StatusLine } from "./StatusLine";
import { readSort, writeSort } from "./sorting";
import { useBlocks } from "./useBlocks";
import type { GridColumn, useLayout } from "./useLayout";
import type { Mending } from "./useMending";
import type { Picks } from "./usePicks";
import { type Place, useRange } from "./useRange";
import type { Writing } from "./useWriting";

type Props = {
  table: Table;
  view: View;
  columns: GridColumn[];
  layout: ReturnType<typeof useLayout>;
  matching: number | undefined;
  totals: { [field: string]: Total } | undefined;
  writing: Writing;
  mending: Mending;
  picks: Picks;
  onSort: (sort: string) => void;
  onSample: (records: RecordData[]) => void;
};

/** Pixels of a part of the list within which rows are placed. */
const PART = 1024 * HEIGHT;

function isAnyThere(from: number, to: number, there: (row: number) => boolean) {
  for (let row = from; row <= to; row += 1) if (there(row)) return true;
  return false;
}

/**
 * The grid over all records of a table, of which only those in sight are fetched and drawn (which
 * is why this is no table element). Rows that wait to be mended and are yet to be made come first.
 */
export function Grid(props: Props) {
  const { table, view, columns, layout, matching, writing, mending, picks } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const fresh = mending.fresh;
  const count = (matching ?? 0) + fresh.length;
  const { range, box, go, put } = useRange(count, columns.length);
  const [editing, setEditing] = useState<(Place & { begun: string | null; atEnd: boolean }) | null>(null);
  const rows = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => HEIGHT,
    overscan: 15,
    scrollPaddingStart: HEIGHT + 4,
    scrollPaddingEnd: HEIGHT + 4,
  });
  const items = rows.getVirtualItems();
  const first = Math.max(0, (items[0]?.index ?? 0) - fresh.length);
  const last = Math.max(0, (items.at(-1)?.index ?? PAGE - 1) - fresh.length);
  const window_ = useWindow(table.key, view, first, last);
  const recordAt = (row: number) => (row < fresh.length ? undefined : window_.at(row - fresh.length));
  // Until the rows come that somebody has scrolled to, those seen last stay, paler.
  const inSight = { from: rows.range?.startIndex ?? 0, to: rows.range?.endIndex ?? 0 };
  const late =
    !window_.error &&
    count > 0 &&
    !isAnyThere(inSight.from, inSight.to, (row) => row < fresh.length || !!recordAt(row));
  const seen = useRef(new Map<number, RecordData | undefined>());
  if (!late) seen.current = new Map(items.map(({ index }) => [index - inSight.from, recordAt(index)]));
  const shownAt = (row: number) => (late ? seen.current.get(row - inSight.from) : recordAt(row));
  const waitingAt = (row: number) => {
    if (row < fresh.length) return fresh[row];
    const id = recordAt(row)?.id;
    return id === undefined ? undefined : mending.of(id);
  };
  const blocks = useBlocks({ table, view, columns, fresh, box, active: range.active, count, writing, mending, put });

  // What the usual widths go by.
  const { onSample } = props;
  const top = window_.at(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once the first page is there
  useEffect(() => {
    if (top) onSample(Array.from({ length: 60 }, (_, index) => window_.at(index)).filter((each) => each !== undefined));
  }, [top?.id, table.key]);

  const look = (place: Place) => {
    rows.scrollToIndex(place.row);
    const element = scroller.current;
    const column = columns[place.column];
    if (!element || !column || column.left !== null) return;
    const held = EDGE + columns.reduce((sum, each) => sum + (each.frozen ? each.width : 0), 0);
    const left = EDGE + columns.slice(0, place.column).reduce((sum, each) => sum + each.width, 0);
    if (left - element.scrollLeft < held) element.scrollLeft = left - held;
    else if (left + column.width > element.scrollLeft + element.clientWidth)
      element.scrollLeft = left + column.width - element.clientWidth;
  };
  const move = (place: Place, stretch = false) => look(go(place, stretch));

  const mayType = (place: Place) => {
    const field = columns[place.column]?.field;
    return Boolean(table.may.edit && field && !isReadOnly(field) && (recordAt(place.row) || place.row < fresh.length));
  };
  const type = (place: Place, begun: string | null, atEnd = false) => {
    if (!mayType(place)) {
      const field = columns[place.column]?.field;
      if (field && isReadOnly(field)) toast(words.records.notTyped(field.label), { id: "not-typed" });
      else if (begun) astray(begun);
      return;
    }
    look(go(place));
    setEditing({ ...place, begun, atEnd });
  };
  const done = (down: number, right: number) => {
    // Drawn before keys that were held are played into the next cell.
    flushSync(() => {
      setEditing(null);
      if (editing && (down || right)) move({ row: editing.row + down, column: editing.column + right });
    });
    scroller.current?.focus({ preventScroll: true });
    keyQueue.release(scroller.current);
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (editing) return;
    const { active, head } = range;
    const from = event.shiftKey ? head : active;
    const control = event.ctrlKey || event.metaKey;
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 0) / HEIGHT) - 3);
    const places: { [key: string]: Place } = {
      ArrowDown: { row: control ? count - 1 : from.row + 1, column: from.column },
      ArrowUp: { row: control ? 0 : from.row - 1, column: from.column },
      ArrowRight: { row: from.row, column: control ? columns.length - 1 : from.column + 1 },
      ArrowLeft: { row: from.row, column: control ? 0 : from.column - 1 },
      PageDown: { row: from.row + page, column: from.column },
      PageUp: { row: from.row - page, column: from.column },
      Home: { row: control ? 0 : from.row, column: 0 },
      End: { row: control ? count - 1 : from.row, column: columns.length - 1 },
    };
    const place = places[event.key];
    const record = recordAt(active.row);
    const act = () => {
      if (place) return move(place, event.shiftKey);
      if (event.key === "Enter" && control) return record && navigate(`/t/${table.key}/forms/${record.id}`);
      if (event.key === "Enter" && event.shiftKey) return move({ ...active, row: active.row - 1 });
      if (event.key === "F2" || event.key === "Enter") return type(active, null, event.key === "F2");
      if (event.key === "Delete" || event.key === "Backspace") return blocks.clear();
      if (control && event.key.toLowerCase() === "z") return event.shiftKey ? undefined : writing.takeBack();
      if (control && event.key.toLowerCase() === "a") return picks.everything();
      if (event.key === " ")
        return picks.toggle(
          Array.from({ length: Math.min(500, box.bottom - box.top + 1) }, (_, index) => recordAt(box.top + index)?.id),
        );
      if (event.key === "Escape") return picks.none();
      if (writes(event)) return type(active, event.key);
      return undefined;
    };
    const known = place || ["Enter", "F2", "Delete", "Backspace", " ", "Escape"].includes(event.key) || writes(event);
    if (known || (control && ["z", "a"].includes(event.key.toLowerCase()))) {
      event.preventDefault();
      event.stopPropagation();
      act();
    }
  };

  // Given to every row, so they must stay the same ones.
  const latest = useRef({ go, type, picks, recordAt, setEditing });
  latest.current = { go, type, picks, recordAt, setEditing };
  const onCell = useCallback((row: number, column: number, stretch: boolean) => {
    latest.current.go({ row, column }, stretch);
  }, []);
  const onDrag = useCallback((row: number, column: number) => {
    latest.current.go({ row, column }, true);
  }, []);
  const onType = useCallback((row: number, column: number) => latest.current.type({ row, column }, null), []);
  const onPick = useCallback((row: number, stretch: boolean) => {
    const { picks: now, recordAt: at } = latest.current;
    now.pick(row, at(row)?.id, stretch, at);
  }, []);

  // Elements that scroll out of sight are used for the rows that come.
  const slots = Math.ceil(items.length / 16) * 16;
  // Far below, browsers draw no longer to the pixel: rows are placed within a part of the list.
  const base = Math.floor((items[0]?.start ?? 0) / PART) * PART;
  const template = `${TICK}px ${NUMBER}px ${columns.map((column) => `${column.width}px`).join(" ")}`;
  const activeField = columns[range.active.column]?.field;
  return (
    <>
      <div
        ref={scroller}
        role="grid"
        tabIndex={0}
        aria-label={table.label}
        aria-multiselectable
        aria-busy={late}
        aria-rowcount={count + 1}
        aria-colcount={columns.length + 2}
        aria-activedescendant={`cell-${range.active.row}-${range.active.column}`}
        data-writes={activeField && `${table.key}.${activeField.key}`}
        onKeyDown={onKeyDown}
        onCopy={(event) => blocks.copy(event)}
        onPaste={(event) => blocks.paste(event)}
        className="min-h-0 flex-1 select-none overflow-auto focus-visible:outline-none"
      >
        <div className="min-w-max">
          <GridHead
            table={table}
            columns={columns}
            template={template}
            sort={readSort(view.sort)}
            onSort={(next) => props.onSort(writeSort(next))}
            resizeHandler={layout.resizeHandler}
            onWidth={(field, width) => layout.change(field, { width: Math.max(48, width) })}
            everything={picks.all}
            onEverything={picks.all ? picks.none : picks.everything}
          />
          <div className="relative" style={{ height: rows.getTotalSize() }}>
            <div
              className="absolute inset-x-0 top-0 will-change-transform"
              style={{ transform: `translateY(${base}px)` }}
            >
              {items.map((item) => {
                const record = shownAt(item.index);
                const waiting = waitingAt(item.index);
                const open = editing?.row === item.index ? editing : null;
                const field = open && columns[open.column]?.field;
                return (
                  <GridRow
                    key={item.index % slots}
                    table={table}
                    row={item.index}
                    top={item.start - base}
                    record={record}
                    late={late}
                    waiting={waiting}
                    columns={columns}
                    template={template}
                    box={item.index >= box.top && item.index <= box.bottom ? box : null}
                    active={range.active.row === item.index ? range.active.column : null}
                    picked={record !== undefined && picks.has(record.id)}
                    editing={
                      open && field
                        ? {
                            column: open.column,
                            editor: (
                              <CellEditor
                                key={`${item.index}-${field.key}`}
                                table={table}
                                record={record ?? null}
                                waiting={waiting}
                                field={field}
                                begun={open.begun}
                                atEnd={open.atEnd}
                                writing={writing}
                                mending={mending}
                                onDone={done}
                              />
                            ),
                          }
                        : null
                    }
                    onCell={onCell}
                    onDrag={onDrag}
                    onType={onType}
                    onPick={onPick}
                  />
                );
              })}
            </div>
          </div>
          <GridFoot
            columns={columns}
            template={template}
            matching={matching}
            totals={props.totals}
            onTotal={(field, total) => layout.change(field, { total })}
          />
        </div>
      </div>
      {activeField && (
        <StatusLine
          table={table}
          record={recordAt(range.active.row)}
          waiting={waitingAt(range.active.row)}
          field={activeField}
          box={box}
        />
      )}
    </>
  );
}
