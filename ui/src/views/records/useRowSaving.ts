import { useRef } from "react";
import { toast } from "sonner";
import { ProblemError } from "../../api/client";
import type { Typed } from "../../api/queries";
import { words } from "../../words";
import type { Mending } from "./useMending";
import type { Writing } from "./useWriting";

/** Saves rows that were typed into the empty one, each as a whole and one after the other, once they are left. */
export function useRowSaving(writing: Writing, mending: Mending) {
  const queue = useRef<Promise<void>>(Promise.resolve());
  const going = useRef(new Set<string>());
  const follow = async (id: number, typed: Typed) => {
    const { results } = await writing.write([{ id, typed }], "all");
    if (results[0]?.state === "refused") mending.add([{ id, typed, messages: results[0].messages }]);
  };
  const save = async (key: string) => {
    const row = mending.by(key);
    going.current.delete(key);
    if (!row || row.id !== null) return;
    try {
      const { results } = await writing.write([{ id: null, typed: row.typed, reasons: row.reasons ?? {} }], "all");
      const result = results[0];
      if (result?.id && result.state === "saved") {
        // What was typed on meanwhile follows.
        const more = Object.entries(mending.by(key)?.typed ?? {}).filter(
          ([field, value]) => row.typed[field] !== value,
        );
        mending.saved(key, result.id);
        if (more.length > 0) await follow(result.id, Object.fromEntries(more));
      } else mending.change(key, { messages: result?.messages ?? [] });
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };
  return (key: string) => {
    const row = mending.by(key);
    if (row?.id !== null || going.current.has(key)) return;
    if (Object.values(row.typed).every((value) => value === null || value === "")) {
      mending.drop([key]);
      toast(words.grid.nothingTyped);
      return;
    }
    going.current.add(key);
    queue.current = queue.current.then(() => save(key));
  };
}
