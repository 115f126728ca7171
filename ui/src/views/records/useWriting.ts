import { useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { toast } from "sonner";
import { api, data, ProblemError, type RecordData, type Table } from "../../api/client";
import { type Draft, undoBatch, writeBatch } from "../../api/records";
import { words } from "../../words";

/** Records sent in one request, at most; the server takes as many. */
export const MOST_ROWS = 5000;

/** Writes what is typed, pasted or cleared in the grid, each time as one change that can be taken back. */
export function useWriting(table: Table) {
  const client = useQueryClient();
  /** Changes made here, the latest last. */
  const made = useRef<number[]>([]);
  /** Versions that are newer than those on the page, until it has been read again. */
  const versions = useRef(new Map<number, number>());

  const refresh = () => {
    for (const key of ["records", "history", "tables", "record", "open", "proofs"])
      client.invalidateQueries({ queryKey: [key] });
  };

  /** The records as they are now, shown before the whole page is read again. */
  const show = async (ids: number[]) => {
    const fresh = new Map<number, RecordData>();
    await Promise.all(
      ids.slice(0, 3).map(async (id) => {
        const path = { table: table.key, id };
        fresh.set(id, await data(api.GET("/api/tables/{table}/records/{id}", { params: { path } })));
      }),
    ).catch(() => undefined);
    client.setQueriesData<{ records: RecordData[]; following: string | null }>(
      { queryKey: ["records", table.key, "window"] },
      (page) => page && { ...page, records: page.records.map((record) => fresh.get(record.id) ?? record) },
    );
  };

  const remember = (batch: number | null) => batch !== null && made.current.push(batch);

  return {
    versionOf: (record: RecordData) => Math.max(record.version ?? 0, versions.current.get(record.id) ?? 0) || null,
    refresh,
    remember,
    /** @returns what became of each; null where the server could not be asked */
    write: async (drafts: Draft[], keep: "all" | "passing") => {
      const found = await writeBatch(table.key, drafts, keep);
      remember(found.report.batch);
      const saved = found.results.filter((each) => each.state === "saved" && each.id !== null);
      for (const each of saved) if (each.id !== null && each.version) versions.current.set(each.id, each.version);
      if (saved.length > 0 && saved.length <= 3) await show(saved.map((each) => each.id as number));
      refresh();
      return found;
    },
    takeBack: async () => {
      const batch = made.current.pop();
      if (batch === undefined) return toast(words.grid.nothingToUndo);
      try {
        const { undone, left } = await undoBatch(batch);
        versions.current.clear();
        toast(words.grid.undone(undone, left));
      } catch (error) {
        if (!(error instanceof ProblemError)) throw error;
        toast.error(error.message);
      }
      refresh();
    },
  };
}

export type Writing = ReturnType<typeof useWriting>;
