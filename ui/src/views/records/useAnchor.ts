import { useLayoutEffect, useRef } from "react";
import type { GridRows } from "./useGridRows";

/**
 * Keeps the cursor with its record: where rows come, go or are sorted again, it moves along with it.
 * @param row where the cursor stands
 * @param held whether a cell is typed in
 * @param onMoved told by how many rows what is there has moved
 * @param onLeft told the row that the cursor has left for another one
 */
export function useAnchor(
  rows: GridRows,
  row: number,
  held: boolean,
  onMoved: (by: number) => void,
  onLeft: (key: string) => void,
) {
  const anchor = useRef<string | null>(null);
  const before = useRef<string | null>(null);
  useLayoutEffect(() => {
    if (held) return;
    const here = rows.keyAt(row);
    if (anchor.current !== null && anchor.current !== here) {
      const to = rows.rowOf(anchor.current, row);
      if (to !== null && to !== row) return onMoved(to - row);
      // What is still loading may yet be it.
      if (here === null) return;
    }
    anchor.current = here;
    if (here === null || here === before.current) return;
    const left = before.current;
    before.current = here;
    if (left !== null) onLeft(left);
  });
  return {
    /** The cursor goes to what stands in a row now. */
    to: (place: number) => {
      anchor.current = rows.keyAt(place);
    },
    /** The cursor goes to something that has no row yet, or another one. */
    toKey: (key: string) => {
      anchor.current = key;
    },
    /** The row in which the cursor stands has become another one. */
    became: (key: string) => {
      anchor.current = key;
      before.current = key;
    },
  };
}
