import { useState } from "react";

export type Place = { row: number; column: number };
/** Cells from where one began to where one has come; the first is the one that is typed in. */
export type Range = { active: Place; head: Place };
export type Box = { top: number; bottom: number; left: number; right: number };

export const boxOf = ({ active, head }: Range): Box => ({
  top: Math.min(active.row, head.row),
  bottom: Math.max(active.row, head.row),
  left: Math.min(active.column, head.column),
  right: Math.max(active.column, head.column),
});

export const within = (box: Box, row: number, column: number) =>
  row >= box.top && row <= box.bottom && column >= box.left && column <= box.right;

/** The cells that are chosen in a grid of so many rows and columns. */
export function useRange(rows: number, columns: number) {
  const [range, setRange] = useState<Range>({ active: { row: 0, column: 0 }, head: { row: 0, column: 0 } });
  const inside = ({ row, column }: Place): Place => ({
    row: Math.max(0, Math.min(rows - 1, row)),
    column: Math.max(0, Math.min(columns - 1, column)),
  });
  // A filter or a change elsewhere may have left fewer of them.
  const now: Range = { active: inside(range.active), head: inside(range.head) };
  return {
    range: now,
    box: boxOf(now),
    /** Goes to a place, or stretches the range to it. */
    go: (place: Place, stretch = false) => {
      const head = inside(place);
      setRange({ active: stretch ? now.active : head, head });
      return head;
    },
    /** What is chosen has come to stand so many rows further down. */
    shift: (by: number) =>
      setRange({
        active: { ...now.active, row: now.active.row + by },
        head: { ...now.head, row: now.head.row + by },
      }),
    put: (active: Place, head: Place) => setRange({ active: inside(active), head: inside(head) }),
  };
}
