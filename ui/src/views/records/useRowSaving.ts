import { useRef } from "react";
import { toast } from "sonner";
import { ProblemError } from "../../api/client";
import type { Typed } from "../../api/queries";
import type { Written } from "../../api/records";
import { t } from "../../words";
import { clashOf } from "./clash";
import type { Writing } from "./useBatchWrite";
import type { Mending } from "./useRejectedRows";

/** Saves rows that were typed into the empty one, each as a whole and one after the other, once they are left. */
export function useRowSaving(writing: Writing, mending: Mending) {
  const queue = useRef<Promise<void>>(Promise.resolve());
  const going = useRef(new Set<string>());
  const follow = async (id: number, typed: Typed) => {
    const { results } = await writing.write([{ id, typed }], "all");
    if (results[0]?.state === "refused") mending.add([{ id, typed, messages: results[0].messages }]);
  };
  /** Notes what became of a row that was sent, and lets follow what was typed on meanwhile. */
  const arrived = async (key: string, sent: Typed, result: Written["results"][number] | undefined) => {
    if (!result?.id || result.state !== "saved") return mending.change(key, { messages: result?.messages ?? [] });
    const more = Object.entries(mending.by(key)?.typed ?? {}).filter(([field, value]) => sent[field] !== value);
    mending.saved(key, result.id);
    if (more.length > 0) await follow(result.id, Object.fromEntries(more));
  };
  const save = async (key: string) => {
    const row = mending.by(key);
    going.current.delete(key);
    if (!row || row.id !== null) return;
    try {
      const draft = { id: null, typed: row.typed, reasons: row.reasons ?? {} };
      const { results } = await writing.write([draft], "all", false, [key]);
      await arrived(key, row.typed, results[0]);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };
  /** Sends again what was on its way when the page went, and saves the rows that were not sent yet. */
  const resume = async () => {
    const onTheWay = writing.onTheWay();
    const sentRows = onTheWay.flatMap(({ rows }) => rows);
    const left = mending.fresh.filter((row) => row.messages.length === 0 && !sentRows.includes(row.key));
    for (const sent of onTheWay) {
      const { results } = await writing.deliver(sent, false);
      for (const [place, draft] of sent.drafts.entries()) {
        const key = sent.rows[place];
        const result = results[place];
        const waits = draft.id === null ? undefined : mending.of(draft.id);
        if (key && draft.id === null) await arrived(key, draft.typed, result);
        else if (result?.state === "saved" && waits) mending.drop([waits.key]);
        else if (result && !["saved", "unchanged"].includes(result.state))
          mending.add([
            { id: draft.id, typed: draft.typed, messages: result.messages, ...clashOf(result, null, draft.typed) },
          ]);
      }
    }
    for (const row of left) leave(row.key);
  };
  const leave = (key: string) => {
    const row = mending.by(key);
    if (row?.id !== null || going.current.has(key)) return;
    if (Object.values(row.typed).every((value) => value === null || value === "")) {
      mending.drop([key]);
      toast(t("grid.nothingTyped"));
      return;
    }
    going.current.add(key);
    queue.current = queue.current.then(() => save(key));
  };
  return { leave, resume };
}
