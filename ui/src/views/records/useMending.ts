import { useState } from "react";
import type { Message, Table } from "../../api/client";
import type { Typed } from "../../api/queries";

/** A row that was refused, kept until it is mended: one of a record, or of one that is yet to be made. */
export type Waiting = { key: string; id: number | null; typed: Typed; messages: Message[] };

const stored = (table: Table) => `up-tack-mend-${table.id}`;
let last = 0;
const fresh = () => `w${Date.now()}-${last++}`;

function read(table: Table): Waiting[] {
  try {
    const found = JSON.parse(localStorage.getItem(stored(table)) ?? "[]");
    return Array.isArray(found) ? found : [];
  } catch {
    return [];
  }
}

/** The rows of a table that wait to be mended; this browser remembers them. */
export function useMending(table: Table) {
  const [waiting, setWaiting] = useState<Waiting[]>(() => read(table));
  const put = (change: (before: Waiting[]) => Waiting[]) =>
    setWaiting((before) => {
      const next = change(before);
      try {
        if (next.length > 0) localStorage.setItem(stored(table), JSON.stringify(next));
        else localStorage.removeItem(stored(table));
      } catch {
        // More than a browser remembers is still kept as long as the page is open.
      }
      return next;
    });
  return {
    waiting,
    fresh: waiting.filter((each) => each.id === null),
    of: (id: number) => waiting.find((each) => each.id === id),
    /** Keeps refused rows; what was waiting for the same record gives way, its cells are taken along. */
    add: (rows: Omit<Waiting, "key">[]) =>
      put((before) => {
        const ids = new Set(rows.map((row) => row.id).filter((id) => id !== null));
        const known = new Map(before.flatMap((each) => (each.id === null ? [] : [[each.id, each]])));
        return [
          ...before.filter((each) => each.id === null || !ids.has(each.id)),
          ...rows.map((row) => ({
            ...row,
            key: fresh(),
            typed: { ...(row.id === null ? {} : known.get(row.id)?.typed), ...row.typed },
          })),
        ];
      }),
    change: (key: string, parts: Partial<Waiting>) =>
      put((before) => before.map((each) => (each.key === key ? { ...each, ...parts } : each))),
    drop: (keys: string[]) => put((before) => before.filter((each) => !keys.includes(each.key))),
  };
}

export type Mending = ReturnType<typeof useMending>;
