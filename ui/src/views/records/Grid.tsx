import { useVirtualizer } from "@tanstack/react-virtual";
import { type Ref, useCallback, useEffect, useImperativeHandle, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { useNavigate } from "react-router";
import { toast } from "sonner";
import type { RecordData, Table } from "../../api/client";
import { PAGE, placeOf, type Total, type View } from "../../api/records";
import { isReadOnly } from "../../components/record/FieldInput";
import { keyQueue } from "../../components/record/keyQueue";
import { astray } from "../../components/record/playing";
import { t } from "../../words";
import { CellEditor, type Move } from "./CellEditor";
import { FindBar } from "./FindBar";
import { GridFoot } from "./GridFoot";
import { GridHead } from "./GridHead";
import { EDGE, GridRow, HEIGHT, NUMBER, TICK } from "./GridRow";
import { StatusLine } from "./StatusLine";
import { readSort, writeSort } from "./sorting";
import { drawnTo } from "./spreading";
import { useAnchor } from "./useAnchor";
import type { Writing } from "./useBatchWrite";
import { useCellClipboard } from "./useCellClipboard";
import { useFinding } from "./useFinding";
import { useGridKeys } from "./useGridKeys";
import { countRows, EMPTY, useGridRows } from "./useGridRows";
import type { GridColumn, useLayout } from "./useLayout";
import { type Box, type Place, useRange } from "./useRange";
import type { Mending, Waiting } from "./useRejectedRows";
import type { Picks } from "./useRowSelection";

/** What the page around the grid can have it do. */
export type GridHandle = { goToWaiting: (row: Waiting) => void };

type Props = {
  table: Table;
  view: View;
  columns: GridColumn[];
  layout: ReturnType<typeof useLayout>;
  matching: number;
  totals: { [field: string]: Total } | undefined;
  writing: Writing;
  mending: Mending;
  picks: Picks;
  /** Saves a row that was typed in, once it is left. */
  onRowLeft: (key: string) => void;
  onSort: (sort: string) => void;
  onSample: (records: RecordData[]) => void;
  ref?: Ref<GridHandle>;
};

type Editing = Place & { begun: string | null; atEnd: boolean; record: RecordData | null };

/** Pixels of a part of the list within which rows are placed. */
const PART = 1024 * HEIGHT;
/** Pixels that head and foot take from the view. */
const PADDING = HEIGHT + 12;

function isAnyThere(from: number, to: number, there: (row: number) => boolean) {
  for (let row = from; row <= to; row += 1) if (there(row)) return true;
  return false;
}

/**
 * The grid over all records of a table, of which only those in sight are fetched and drawn (which
 * is why this is no table element). Rows that are not saved and an empty one come last.
 */
export function Grid(props: Props) {
  const { table, view, columns, layout, writing, mending, picks } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const [editing, setEditing] = useState<Editing | null>(null);
  const [drawn, setDrawn] = useState<Box | null>(null);
  // While a cell is typed in, its row must not be drawn anew.
  const steady = useRef(0);
  if (editing === null) steady.current = countRows(table, props.matching, mending);
  const virtual = useVirtualizer({
    count: steady.current,
    getScrollElement: () => scroller.current,
    estimateSize: () => HEIGHT,
    overscan: 15,
    scrollPaddingStart: PADDING,
    scrollPaddingEnd: PADDING,
  });
  const items = virtual.getVirtualItems();
  const rows = useGridRows({
    table,
    view,
    matching: props.matching,
    mending,
    first: items[0]?.index ?? 0,
    last: items.at(-1)?.index ?? PAGE - 1,
    held: editing !== null,
  });
  const { range, box, go, put, shift } = useRange(rows.count, columns.length);
  const { active } = range;
  /** What the hand has done here, by which it is told whether it waits for something. */
  const turns = useRef(0);
  const activeNow = useRef(active);
  activeNow.current = active;
  // Until the rows come that somebody has scrolled to, those seen last stay, paler.
  const inSight = { from: virtual.range?.startIndex ?? 0, to: virtual.range?.endIndex ?? 0 };
  const late = !rows.error && rows.count > 0 && !isAnyThere(inSight.from, inSight.to, rows.isThere);
  const seen = useRef(new Map<number, RecordData | undefined>());
  if (!late) seen.current = new Map(items.map(({ index }) => [index - inSight.from, rows.recordAt(index)]));
  const shownAt = (row: number) => (late ? seen.current.get(row - inSight.from) : rows.recordAt(row));

  const anchor = useAnchor(
    rows,
    active.row,
    editing !== null,
    (by) => {
      shift(by);
      scroller.current?.scrollBy({ top: by * HEIGHT });
      requestAnimationFrame(() => virtual.scrollToIndex(active.row + by));
    },
    (key) => {
      writing.leaveRow();
      props.onRowLeft(key);
    },
  );

  // What the usual widths go by.
  const { onSample } = props;
  const top = rows.recordAt(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once the first page is there
  useEffect(() => {
    if (top)
      onSample(Array.from({ length: 60 }, (_, index) => rows.recordAt(index)).filter((each) => each !== undefined));
  }, [top?.id, table.key]);

  const look = (place: Place) => {
    virtual.scrollToIndex(place.row);
    const element = scroller.current;
    const column = columns[place.column];
    if (!element || !column || column.left !== null) return;
    const held = EDGE + columns.reduce((sum, each) => sum + (each.frozen ? each.width : 0), 0);
    const left = EDGE + columns.slice(0, place.column).reduce((sum, each) => sum + each.width, 0);
    if (left - element.scrollLeft < held) element.scrollLeft = left - held;
    else if (left + column.width > element.scrollLeft + element.clientWidth)
      element.scrollLeft = left + column.width - element.clientWidth;
  };
  const move = (place: Place, stretch = false) => {
    // In the row itself what stands there may just have become a record that has begun.
    if (!stretch && place.row >= rows.count && table.may.edit) anchor.toKey(EMPTY);
    else if (!stretch && place.row !== active.row) anchor.to(Math.max(0, Math.min(rows.count - 1, place.row)));
    look(go(place, stretch));
  };
  const focus = () => scroller.current?.focus({ preventScroll: true });

  const blocks = useCellClipboard({
    table,
    view,
    columns,
    rows,
    box,
    writing,
    mending,
    onWriting: () => {
      const turn = turns.current;
      return (target, ids) => showWritten(target, ids, () => turn === turns.current);
    },
  });
  /** The view goes to what was written, unless the hand has gone elsewhere meanwhile. */
  const showWritten = async (target: Box, ids: (number | null)[], waited: () => boolean) => {
    if (!waited()) return;
    put({ row: target.top, column: target.left }, { row: target.bottom, column: target.right });
    focus();
    // New records have taken the places that are theirs.
    const first = ids.find((id) => id !== null);
    if (first === undefined || target.top < rows.matching) return;
    const place = await placeOf(table.key, view, first).catch(() => null);
    if (place === null || !waited()) return;
    anchor.toKey(`r${first}`);
    const bottom = place + target.bottom - target.top;
    put({ row: place, column: target.left }, { row: bottom, column: target.right });
    look({ row: place, column: target.left });
  };
  const finding = useFinding(scroller);

  const type = (place: Place, begun: string | null, atEnd = false) => {
    const field = columns[place.column]?.field;
    if (!table.may.edit || !field || isReadOnly(field) || !rows.isThere(place.row)) {
      if (field && isReadOnly(field)) toast(t("records.notTyped", { label: field.label }), { id: "not-typed" });
      else if (begun) astray(begun);
      return;
    }
    anchor.to(place.row);
    look(go(place));
    setEditing({ ...place, begun, atEnd, record: rows.recordAt(place.row) ?? null });
  };

  /** The next cell that takes what is typed; from the end of a row that is typed in on to the next one. */
  const next = (from: Place, back: boolean): Place | null => {
    const typable = columns.flatMap(({ field }, index) => (isReadOnly(field) ? [] : [index]));
    const inRow = back
      ? typable.filter((index) => index < from.column).at(-1)
      : typable.find((index) => index > from.column);
    if (inRow !== undefined) return { row: from.row, column: inRow };
    const row = from.row + (back ? -1 : 1);
    const column = back ? typable.at(-1) : typable[0];
    if (column === undefined || row < 0 || (row >= rows.count && editing === null)) return null;
    return { row, column };
  };

  const pick = () =>
    picks.toggle(
      Array.from({ length: Math.min(500, box.bottom - box.top + 1) }, (_, index) => rows.recordAt(box.top + index)?.id),
    );
  const giveUp = () => {
    const waits = rows.waitingAt(active.row);
    if (!waits) return picks.none();
    mending.drop([waits.key]);
    toast(t("grid.gaveUp"));
  };
  const fill = (first: Box, before: Box) => {
    const alone = box.top === box.bottom && box.left === box.right;
    if (alone) blocks.fill(before, box);
    else blocks.fill(first, box);
  };
  const keys = useGridKeys({
    range,
    rows: rows.count,
    columns: columns.length,
    height: () => scroller.current?.clientHeight ?? 0,
    go: move,
    next,
    type: (begun, atEnd) => type(active, begun, atEnd),
    acts: {
      open: () => {
        const record = rows.recordAt(active.row);
        if (record) navigate(`/t/${table.key}/forms/${record.id}`);
      },
      clear: blocks.clear,
      takeBack: writing.takeBack,
      redo: writing.redo,
      pickAll: picks.everything,
      pickRows: pick,
      giveUp,
      fillDown: () =>
        active.row > 0 || box.bottom > box.top
          ? fill({ ...box, bottom: box.top }, { ...box, top: box.top - 1, bottom: box.top - 1 })
          : undefined,
      fillRight: () =>
        active.column > 0 || box.right > box.left
          ? fill({ ...box, right: box.left }, { ...box, left: box.left - 1, right: box.left - 1 })
          : undefined,
      find: finding.open,
    },
  });

  const done = (to: Move | null) => {
    // Drawn before keys that were held are played into the next cell.
    flushSync(() => {
      setEditing(null);
      // A click elsewhere while the answer was awaited has the last word.
      const stays = editing?.row === activeNow.current.row && editing.column === activeNow.current.column;
      const place = editing && to && stays && keys.step(editing, to.key, to.back);
      if (place) move(place);
    });
    focus();
    keyQueue.release(scroller.current);
  };

  useImperativeHandle(props.ref, () => ({
    goToWaiting: async (row) => {
      turns.current += 1;
      const place =
        row.id === null ? rows.rowOf(row.key, active.row) : await placeOf(table.key, view, row.id).catch(() => null);
      if (place === null) return row.id !== null && navigate(`/t/${table.key}/forms/${row.id}`);
      const column = columns.findIndex(({ field }) => row.messages.some((each) => each.field === field.key));
      anchor.toKey(row.id === null ? row.key : `r${row.id}`);
      look(go({ row: place, column: Math.max(0, column) }));
      focus();
    },
  }));

  // Given to every row, so they must stay the same ones.
  const latest = useRef({ go, move, type, picks, rows, box, fill: blocks.fill });
  latest.current = { go, move, type, picks, rows, box, fill: blocks.fill };
  const drawing = useRef(false);
  const drawnNow = useRef<Box | null>(null);
  const onCell = useCallback((row: number, column: number, stretch: boolean) => {
    if (stretch) latest.current.go({ row, column }, true);
    else latest.current.move({ row, column });
  }, []);
  const onDrag = useCallback((row: number, column: number) => {
    const { box: from, rows: now } = latest.current;
    if (!drawing.current) return latest.current.go({ row, column }, true);
    // Read when the hand lets go, which may be before this is drawn.
    drawnNow.current = drawnTo(from, Math.min(row, now.count - 1), column);
    setDrawn(drawnNow.current);
  }, []);
  const onHandle = useCallback(() => {
    drawing.current = true;
    const end = () => {
      drawing.current = false;
      const { box: from } = latest.current;
      const to = drawnNow.current;
      drawnNow.current = null;
      setDrawn(null);
      if (to) latest.current.fill(from, to);
    };
    window.addEventListener("pointerup", end, { once: true });
  }, []);
  const onType = useCallback((row: number, column: number) => latest.current.type({ row, column }, null), []);
  const onPick = useCallback((row: number, stretch: boolean) => {
    const { picks: now, rows: there } = latest.current;
    now.pick(row, there.recordAt(row)?.id, stretch, there.recordAt);
  }, []);

  // Elements that scroll out of sight are used for the rows that come.
  const slots = Math.ceil(items.length / 16) * 16;
  // Far below, browsers draw no longer to the pixel: rows are placed within a part of the list.
  const base = Math.floor((items[0]?.start ?? 0) / PART) * PART;
  const template = `${TICK}px ${NUMBER}px ${columns.map((column) => `${column.width}px`).join(" ")}`;
  const activeField = columns[active.column]?.field;
  const chosen = drawn ?? box;
  return (
    <>
      {finding.isOpen && (
        <FindBar
          table={table}
          view={view}
          columns={columns}
          from={active}
          onFound={(place) => {
            anchor.toKey("");
            look(go(place));
          }}
          onClose={finding.close}
        />
      )}
      <div
        ref={scroller}
        role="grid"
        tabIndex={0}
        aria-label={table.label}
        aria-multiselectable
        aria-busy={late}
        aria-rowcount={rows.count + 1}
        aria-colcount={columns.length + 2}
        aria-activedescendant={`cell-${active.row}-${active.column}`}
        data-writes={activeField && `${table.key}.${activeField.key}`}
        onKeyDownCapture={() => {
          turns.current += 1;
        }}
        onPointerDownCapture={() => {
          turns.current += 1;
        }}
        onKeyDown={(event) => editing === null && keys.onKeyDown(event)}
        onCopy={(event) => blocks.copy(event)}
        onCut={(event) => blocks.cut(event)}
        onPaste={(event) => blocks.paste(event)}
        onBlur={(event) => {
          const there = event.relatedTarget;
          const left = there instanceof Node && !scroller.current?.contains(there) && !keyQueue.held;
          const key = left && rows.keyAt(active.row);
          if (key) props.onRowLeft(key);
        }}
        className="min-h-0 flex-1 select-none overflow-auto focus-visible:outline-none"
      >
        <div className="min-w-max">
          <GridHead
            table={table}
            columns={columns}
            template={template}
            sort={readSort(view.sort)}
            onSort={(to) => props.onSort(writeSort(to))}
            resizeHandler={layout.resizeHandler}
            onWidth={(field, width) => layout.change(field, { width: Math.max(48, width) })}
            everything={picks.all}
            onEverything={picks.all ? picks.none : picks.everything}
          />
          <div className="relative" style={{ height: virtual.getTotalSize() }}>
            <div
              className="absolute inset-x-0 top-0 will-change-transform"
              style={{ transform: `translateY(${base}px)` }}
            >
              {items.map((item) => {
                const record = shownAt(item.index);
                const waiting = rows.waitingAt(item.index);
                const open = editing?.row === item.index ? editing : null;
                const field = open && columns[open.column]?.field;
                return (
                  <GridRow
                    key={item.index % slots}
                    table={table}
                    row={item.index}
                    top={item.start - base}
                    record={record}
                    empty={rows.isEmpty(item.index)}
                    late={late}
                    waiting={waiting}
                    columns={columns}
                    template={template}
                    box={item.index >= chosen.top && item.index <= chosen.bottom ? chosen : null}
                    handle={item.index === box.bottom && table.may.edit && !rows.isEmpty(box.bottom)}
                    active={active.row === item.index ? active.column : null}
                    picked={record !== undefined && picks.has(record.id)}
                    editing={
                      open && field
                        ? {
                            column: open.column,
                            editor: (
                              <CellEditor
                                key={`${item.index}-${field.key}`}
                                table={table}
                                record={open.record}
                                waiting={waiting}
                                field={field}
                                begun={open.begun}
                                atEnd={open.atEnd}
                                writing={writing}
                                mending={mending}
                                onBegun={anchor.became}
                                onDone={done}
                              />
                            ),
                          }
                        : null
                    }
                    onCell={onCell}
                    onDrag={onDrag}
                    onHandle={onHandle}
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
            matching={props.matching}
            totals={props.totals}
            onTotal={(field, total) => layout.change(field, { total })}
          />
        </div>
      </div>
      {activeField && (
        <StatusLine
          table={table}
          record={rows.recordAt(active.row)}
          waiting={rows.waitingAt(active.row)}
          field={activeField}
          box={box}
        />
      )}
    </>
  );
}
