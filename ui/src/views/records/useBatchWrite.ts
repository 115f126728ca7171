import { useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { toast } from "sonner";
import { api, data, ProblemError, type RecordData, type Table } from "../../api/client";
import { queryKeys, refresh as refreshKinds } from "../../api/queryKeys";
import { type Draft, FEW, type Keep, undoBatch, type Written, writeBatch } from "../../api/records";
import { writeName } from "../../api/sending";
import { sentences, t } from "../../words";
import { tableStore } from "./tableStore";

/** Records sent in one request, at most; the server takes as many. */
export const MOST_ROWS = 5000;

const SILENT = "grid-silent";
const say = () => toast.warning(t("form.silent"), { id: SILENT, duration: Number.POSITIVE_INFINITY });

/**
 * Records on their way: sent again as they were, under their name, should the page go before they are
 * answered. rows: keys of the rows that were waiting with what is sent, by place
 */
export type OnTheWay = { name: string; drafts: Draft[]; keep: Keep; rows: (string | null)[] };
const outbox = tableStore<OnTheWay>("sent");
/** Those that this page is sending. */
const going = new Set<string>();

/**
 * Writes what is typed, pasted or cleared in the grid, each time as one change that can be taken back and made
 * again.
 */
export function useBatchWrite(table: Table) {
  const client = useQueryClient();
  /** Changes made here, the latest last, and those that took some of them back. */
  const made = useRef<number[]>([]);
  const takenBack = useRef<number[]>([]);
  /** Versions that are newer than those on the page, until it has been read again. */
  const versions = useRef(new Map<number, number>());
  /** Whether the order of the rows may be another by now, which is looked up once the row is left. */
  const stale = useRef(false);

  /** Each waits for those before it, however fast the keys come. */
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const mine = queue.current.then(work);
    queue.current = mine.catch(() => undefined);
    return mine;
  };

  const refresh = (order = true) => {
    refreshKinds(client, "history", "tables", "record", "open", "proofs");
    client.invalidateQueries({
      predicate: ({ queryKey: [kind, key, part] }) =>
        kind === "records" && (order || !(key === table.key && part === "window")),
    });
    stale.current = !order;
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
      { queryKey: queryKeys.recordWindow(table.key) },
      (page) => page && { ...page, records: page.records.map((record) => fresh.get(record.id) ?? record) },
    );
  };

  const remember = (batch: number | null) => {
    if (batch === null) return;
    made.current.push(batch);
    takenBack.current.length = 0;
  };

  const turn = async (from: number[], to: number[], nothing: string, said: (n: number, left: number) => string) => {
    const batch = from.pop();
    if (batch === undefined) return toast(nothing);
    try {
      const { undone, left, batch: other } = await undoBatch(batch);
      to.push(other);
      versions.current.clear();
      toast(said(undone, left));
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
    refresh();
  };

  const deliver = async (sent: OnTheWay, inPlace: boolean): Promise<Written> => {
    going.add(sent.name);
    try {
      // Remembered within its turn: an undo that was pressed meanwhile comes next, and is of this.
      const work = async () => {
        const written = await writeBatch(table.key, sent.drafts, sent.keep, say, sent.name);
        remember(written.report.batch);
        return written;
      };
      const found = await inTurn(work).finally(() => toast.dismiss(SILENT));
      const saved = found.results.filter((each) => each.state === "saved" && each.id !== null);
      for (const each of saved) if (each.id !== null && each.version) versions.current.set(each.id, each.version);
      if (saved.length > 0 && saved.length <= 3) await show(saved.map((each) => each.id as number));
      refresh(!inPlace);
      return found;
    } finally {
      // Answered, one way or the other.
      going.delete(sent.name);
      outbox.put(table.id, (before) => before.filter((each) => each.name !== sent.name));
    }
  };

  return {
    /** What was on its way when the page went. */
    onTheWay: () => outbox.get(table.id).filter((each) => !going.has(each.name)),
    deliver,
    versionOf: (record: RecordData) => Math.max(record.version ?? 0, versions.current.get(record.id) ?? 0) || null,
    refresh,
    remember,
    /** The row that was typed in is left: rows may take the places that are theirs now. */
    leaveRow: () => {
      if (stale.current) client.invalidateQueries({ queryKey: queryKeys.recordWindow(table.key) });
      stale.current = false;
    },
    /**
     * @param inPlace whether the rows stay where they are until the row is left
     * @param rows keys of the rows that wait with what is sent, by place
     * @returns what became of each
     */
    write: (drafts: Draft[], keep: Keep, inPlace = false, rows: (string | null)[] = []) => {
      const sent = { name: writeName(), drafts, keep, rows };
      if (drafts.length <= FEW) outbox.put(table.id, (before) => [...before, sent]);
      return deliver(sent, inPlace);
    },
    takeBack: () => inTurn(() => turn(made.current, takenBack.current, t("grid.nothingToUndo"), sentences.grid.undone)),
    redo: () => inTurn(() => turn(takenBack.current, made.current, t("grid.nothingToRedo"), sentences.grid.redone)),
  };
}

export type Writing = ReturnType<typeof useBatchWrite>;
