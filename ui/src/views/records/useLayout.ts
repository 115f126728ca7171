import {
  type ColumnPinningState,
  type ColumnSizingState,
  columnOrderingFeature,
  columnPinningFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
  tableFeatures,
  type Updater,
  useTable,
} from "@tanstack/react-table";
import { useMemo, useState, useSyncExternalStore } from "react";
import type { Column, Field, RecordData, Table } from "../../api/client";
import { lasting, readJson } from "../../storage";
import { usualWidth } from "./widths";

const features = tableFeatures({
  columnOrderingFeature,
  columnPinningFeature,
  columnResizingFeature,
  columnSizingFeature,
  columnVisibilityFeature,
});
const NO_ROWS: RecordData[] = [];
const NARROWEST = 48;
const WIDEST = 1200;

type Measure = NonNullable<Column["total"]>;

/** Which columns are shown, in which order, how wide, and what their feet say. Plain, as a view keeps it. */
export type Layout = Column[];

const stored = (table: Table) => `up-tack-columns-${table.id}`;

function read(table: Table): Layout | null {
  const found = readJson<Layout>(lasting, stored(table));
  return Array.isArray(found) ? found : null;
}

/** A layout made whole: fields that were added since come at the end, those that are gone are passed over. */
function whole(table: Table, layout: Layout | null): Layout {
  if (!layout) return table.fields.map((field, index) => ({ field: field.id, ...(index === 0 && { frozen: true }) }));
  const there = layout.filter((column) => table.fields.some((field) => field.id === column.field));
  const added = table.fields.filter((field) => !there.some((column) => column.field === field.id));
  return [...there, ...added.map((field) => ({ field: field.id }))];
}

/** The columns of a table's grid, remembered in this browser, and set by a view that is opened. */
export function useLayout(table: Table, sample: RecordData[], opened: Layout | null | undefined) {
  const [kept, setKept] = useState<Layout | null>(() => opened ?? read(table));
  const layout = useMemo(() => whole(table, kept), [table, kept]);
  const wide = useWide();

  const put = (next: Layout | null) => {
    setKept(next);
    lasting.set(stored(table), next && JSON.stringify(next));
  };
  const change = (field: string, parts: Partial<Column>) =>
    put(layout.map((column) => (column.field === field ? clean({ ...column, ...parts }) : column)));

  const columns = useMemo(
    () =>
      table.fields.map((field) => ({
        id: field.id,
        accessorFn: (record: RecordData) => record.texts[field.key],
        size: usualWidth(field, sample),
        minSize: NARROWEST,
        maxSize: WIDEST,
      })),
    [table, sample],
  );
  const sizing: ColumnSizingState = Object.fromEntries(
    layout.flatMap((column) => (column.width ? [[column.field, column.width]] : [])),
  );
  const pinning: ColumnPinningState = {
    // On a telephone a held column would leave no room for the others.
    start: wide ? layout.filter((column) => column.frozen && !column.hidden).map((column) => column.field) : [],
    end: [],
  };
  const model = useTable({
    features,
    columns,
    data: NO_ROWS,
    columnResizeMode: "onChange",
    state: {
      columnOrder: layout.map((column) => column.field),
      columnPinning: pinning,
      columnSizing: sizing,
      columnVisibility: Object.fromEntries(layout.map((column) => [column.field, !column.hidden])),
    },
    onColumnSizingChange: (updater: Updater<ColumnSizingState>) => {
      const next = typeof updater === "function" ? updater(sizing) : updater;
      put(layout.map((column) => clean({ ...column, width: bounded(next[column.field]) })));
    },
  });

  const fieldOf = (id: string) => table.fields.find((field) => field.id === id) as Field;
  const shown: GridColumn[] = [...model.getStartVisibleLeafColumns(), ...model.getCenterVisibleLeafColumns()].map(
    (column) => ({
      field: fieldOf(column.id),
      width: column.getSize(),
      frozen: column.getIsPinned() === "start",
      left: column.getIsPinned() === "start" ? column.getStart("start") : null,
      total: layout.find((each) => each.field === column.id)?.total ?? null,
    }),
  );
  const resizeHandler = (id: string) =>
    model
      .getFlatHeaders()
      .find((each) => each.column.id === id)
      ?.getResizeHandler();
  return { layout, shown, put, change, resizeHandler, isUsual: kept === null };
}

const WIDE = "(min-width: 40rem)";
const watchWidth = (told: () => void) => {
  const query = window.matchMedia(WIDE);
  query.addEventListener("change", told);
  return () => query.removeEventListener("change", told);
};
const useWide = () => useSyncExternalStore(watchWidth, () => window.matchMedia(WIDE).matches);

/** A column as it is drawn. left: from the edge, where it is held in sight. */
export type GridColumn = {
  field: Field;
  width: number;
  frozen: boolean;
  left: number | null;
  total: Measure | null;
};

const bounded = (width: number | undefined) =>
  width === undefined ? undefined : Math.round(Math.min(WIDEST, Math.max(NARROWEST, width)));

/** Without what is not set, as the server takes it. */
function clean(column: Column): Column {
  const { field, width, hidden, frozen, total } = column;
  return {
    field,
    ...(width && { width }),
    ...(hidden && { hidden }),
    ...(frozen && { frozen }),
    ...(total && { total }),
  };
}
