import { useRef, useState } from "react";
import type { RecordData } from "../../api/client";

/** The records that are picked for something to be done with all of them: some by number, or all that match. */
export function useRowSelection() {
  const [ids, setIds] = useState<ReadonlySet<number>>(new Set());
  const [all, setAll] = useState(false);
  const from = useRef<number | null>(null);
  return {
    ids,
    all,
    has: (id: number) => all || ids.has(id),
    none: () => {
      setAll(false);
      setIds(new Set());
    },
    everything: () => {
      setAll(true);
      setIds(new Set());
    },
    toggle: (some: (number | undefined)[]) => {
      const there = some.filter((id) => id !== undefined);
      setAll(false);
      setIds((before) => {
        const next = new Set(before);
        const known = there.every((id) => next.has(id));
        for (const id of there) known ? next.delete(id) : next.add(id);
        return next;
      });
    },
    /** Picks a row, or with Shift all from the last one picked. */
    pick: (row: number, id: number | undefined, stretch: boolean, at: (row: number) => RecordData | undefined) => {
      if (id === undefined) return;
      const start = stretch && from.current !== null ? Math.min(from.current, row) : row;
      const end = stretch && from.current !== null ? Math.max(from.current, row) : row;
      from.current = row;
      setAll(false);
      setIds((before) => {
        const next = new Set(before);
        if (start === end) next.has(id) ? next.delete(id) : next.add(id);
        else
          for (let each = start; each <= end; each++) {
            const found = at(each)?.id;
            if (found !== undefined) next.add(found);
          }
        return next;
      });
    },
  };
}

export type Picks = ReturnType<typeof useRowSelection>;
