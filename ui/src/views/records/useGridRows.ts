import { useRef } from "react";
import type { RecordData, Table } from "../../api/client";
import { useWindow, type View } from "../../api/records";
import type { Mending } from "./useRejectedRows";

/** The row at the end into which a new record is typed. */
export const EMPTY = "empty";

type Props = {
  table: Table;
  view: View;
  matching: number;
  mending: Mending;
  /** The rows in sight. */
  first: number;
  last: number;
  /** Whether a cell is typed in: until it is left no row moves beneath the hand. */
  held: boolean;
};

/** How many rows there are: the records, those that are not saved yet, and the empty one at the end. */
export const countRows = (table: Table, matching: number, mending: Mending) =>
  matching + mending.fresh.length + (mayAdd(table) ? 1 : 0);

const mayAdd = (table: Table) => table.may.edit;

/** What stands in each row of the grid, and in which row something stands now. */
export function useGridRows({ table, view, matching, mending, first, last, held }: Props) {
  const found = useWindow(table.key, view, first, Math.max(first, Math.min(last, matching - 1)));
  const live = { matching, fresh: mending.fresh, at: found.at };
  const steady = useRef(live);
  if (!held) steady.current = live;
  const now = steady.current;

  const recordAt = (row: number): RecordData | undefined =>
    row < now.matching ? (now.at(row) ?? (held ? live.at(row) : undefined)) : undefined;
  const freshAt = (row: number) => {
    const then = now.fresh[row - now.matching];
    return then && (mending.by(then.key) ?? then);
  };
  const isEmpty = (row: number) => mayAdd(table) && row >= now.matching + now.fresh.length;
  const keyAt = (row: number): string | null => {
    const record = recordAt(row);
    if (record) return `r${record.id}`;
    return freshAt(row)?.key ?? (isEmpty(row) ? EMPTY : null);
  };
  /** @returns where what had a key stands now, null where that can't be told */
  const rowOf = (key: string, near: number): number | null => {
    if (key === EMPTY) return now.matching + now.fresh.length;
    const place = now.fresh.findIndex((each) => each.key === key);
    if (place >= 0) return now.matching + place;
    const id = mending.savedAs(key);
    const sought = id === undefined ? key : `r${id}`;
    if (!sought.startsWith("r")) return null;
    for (let off = 0; off <= 240; off += 1)
      for (const row of [near - off, near + off]) if (row >= 0 && keyAt(row) === sought) return row;
    return null;
  };
  return {
    matching: now.matching,
    count: now.matching + now.fresh.length + (mayAdd(table) ? 1 : 0),
    error: found.error,
    recordAt,
    freshAt,
    isEmpty,
    keyAt,
    rowOf,
    /** What of a row is not saved. */
    waitingAt: (row: number) => {
      const record = recordAt(row);
      return record ? mending.of(record.id) : freshAt(row);
    },
    /** Whether there is anything to type in. */
    isThere: (row: number) => recordAt(row) !== undefined || freshAt(row) !== undefined || isEmpty(row),
  };
}

export type GridRows = ReturnType<typeof useGridRows>;
