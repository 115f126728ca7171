import { useSyncExternalStore } from "react";
import { api, data, type Message, ProblemError, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import type { Clash } from "./clash";
import { tableStore } from "./tableStore";

/**
 * A row that is not saved: one that was refused and waits to be fixed, or one that is being typed.
 * id: of its record, null where one is yet to be made; texts: what the rules would make of it so far;
 * messages: none as long as it was not tried; version: of the record when it was typed over;
 * reasons: why warnings are passed, by rule;
 * clash: what somebody else did to the same cells meanwhile
 */
export type Waiting = {
  key: string;
  id: number | null;
  typed: Typed;
  messages: Message[];
  texts?: { [field: string]: string };
  version?: number | null;
  reasons?: { [rule: string]: string };
  clash?: Clash;
};

let last = 0;
const fresh = () => `w${Date.now()}-${last++}-${Math.random().toString(36).slice(2, 6)}`;
const store = tableStore<Waiting>("mend", (table) => `up-tack-mend-${table}`);
/** Numbers under which rows were saved that had none. */
const numbers = new Map<string, number>();

/** The rows of a table that wait to be fixed; this browser remembers them, each tab its own. */
export function useRejectedRows(table: Table) {
  const waiting = useSyncExternalStore(store.subscribe, () => store.get(table.id));
  const put = (change: (before: Waiting[]) => Waiting[]) => store.put(table.id, change);
  const by = (key: string) => store.get(table.id).find((each) => each.key === key);
  const change = (key: string, parts: Partial<Waiting>) =>
    put((before) => before.map((each) => (each.key === key ? { ...each, ...parts } : each)));

  /** Asks what the rules would make of a row so far. Only what was typed in it is found fault with. */
  const consider = async (key: string) => {
    const row = by(key);
    if (!row) return;
    try {
      const { typed, id } = row;
      const answer = await data(
        api.POST("/api/tables/{table}/draft", { params: { path: { table: table.key } }, body: { typed, id } }),
      );
      // The row may have been typed on, or refused, while this was asked.
      const now = by(key);
      if (now?.typed !== typed) return;
      const texts = Object.fromEntries(Object.entries(answer.fields).map(([field, { text }]) => [field, text]));
      const typedIn = answer.messages.filter((each) => each.field in typed && !each.passable);
      change(key, { texts, messages: now.messages.length > 0 ? answer.messages : typedIn });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
    }
  };

  return {
    waiting,
    fresh: waiting.filter((each) => each.id === null),
    by,
    of: (id: number) => store.get(table.id).find((each) => each.id === id),
    /** Keeps rows; what was waiting for the same record gives way, its cells are taken along. */
    add: (rows: Omit<Waiting, "key">[]) => {
      const kept = rows.map((row) => ({ ...row, key: fresh() }));
      put((before) => {
        const ids = new Set(rows.map((row) => row.id).filter((id) => id !== null));
        const known = new Map(before.flatMap((each) => (each.id === null ? [] : [[each.id, each]])));
        return [
          ...before.filter((each) => each.id === null || !ids.has(each.id)),
          ...kept.map((row) => ({
            ...row,
            typed: { ...(row.id === null ? {} : known.get(row.id)?.typed), ...row.typed },
          })),
        ];
      });
      return kept.map((row) => row.key);
    },
    change,
    consider,
    drop: (keys: string[]) => put((before) => before.filter((each) => !keys.includes(each.key))),
    /** A row without a number was saved under one. */
    saved: (key: string, id: number) => {
      numbers.set(key, id);
      put((before) => before.filter((each) => each.key !== key));
    },
    savedAs: (key: string) => numbers.get(key),
  };
}

export type Mending = ReturnType<typeof useRejectedRows>;
