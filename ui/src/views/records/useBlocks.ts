import type { ClipboardEvent } from "react";
import { toast } from "sonner";
import { ProblemError, type RecordData, type Table } from "../../api/client";
import { type Draft, listRecords, type View } from "../../api/records";
import { isReadOnly } from "../../components/record/FieldInput";
import { words } from "../../words";
import { readBlock, writeBlock } from "./clipboard";
import type { GridColumn } from "./useLayout";
import type { Mending, Waiting } from "./useMending";
import type { Box, Place } from "./useRange";
import { MOST_ROWS, type Writing } from "./useWriting";

type Props = {
  table: Table;
  view: View;
  columns: GridColumn[];
  fresh: Waiting[];
  box: Box;
  active: Place;
  count: number;
  writing: Writing;
  mending: Mending;
  put: (active: Place, head: Place) => void;
};

/** Blocks of cells: copied, cleared, and pasted into rows that are there or into new ones. */
export function useBlocks({ table, view, columns, fresh, box, active, count, writing, mending, put }: Props) {
  /** The records of some rows, those out of sight included. */
  const recordsOf = async (from: number, to: number): Promise<(RecordData | undefined)[]> => {
    const found: (RecordData | undefined)[] = [];
    for (let row = from; row <= to && row < count; ) {
      if (row < fresh.length) {
        found.push(undefined);
        row += 1;
        continue;
      }
      const query = { sort: view.sort || undefined, filter: view.filter || undefined, at: row - fresh.length };
      const { records } = await listRecords(table.key, { ...query, limit: Math.min(500, to - row + 1) });
      found.push(...records);
      if (records.length === 0) break;
      row += records.length;
    }
    return found;
  };

  const attempt = async (work: () => Promise<unknown>) => {
    try {
      await work();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };

  /** Writes rows, and keeps what is refused until it is mended. */
  const write = async (drafts: Draft[]) => {
    const { results, report } = await writing.write(drafts, "passing");
    const refused = results.flatMap((result, place) => {
      const draft = drafts[place];
      return draft && result.state === "refused"
        ? [{ id: draft.id, typed: draft.typed, messages: result.messages }]
        : [];
    });
    const mended = drafts.flatMap((draft, place) => {
      const waits = draft.id !== null && mending.of(draft.id);
      return waits && results[place]?.state !== "refused" ? [waits.key] : [];
    });
    mending.drop(mended);
    if (refused.length > 0) mending.add(refused);
    return { saved: report.saved, refused: refused.length };
  };

  const copy = (event: ClipboardEvent) => {
    if (box.bottom - box.top >= MOST_ROWS) {
      toast.error(words.grid.tooMuch);
      return event.preventDefault();
    }
    event.preventDefault();
    const shown = columns.slice(box.left, box.right + 1);
    attempt(async () => {
      const records = await recordsOf(box.top, box.bottom);
      const block = records.map((record, index) => {
        const typed = fresh[box.top + index]?.typed ?? (record && mending.of(record.id)?.typed);
        return shown.map(({ field }) => String(typed?.[field.key] ?? record?.texts[field.key] ?? ""));
      });
      await navigator.clipboard.writeText(writeBlock(block));
      toast(words.grid.copied(block.length * shown.length));
    });
  };

  const paste = (event: ClipboardEvent) => {
    event.preventDefault();
    const block = readBlock(event.clipboardData.getData("text/plain"));
    if (!table.may.edit || block.length === 0) return;
    // One cell fills all that are chosen.
    const single = block.length === 1 && block[0]?.length === 1;
    const from: Place = single || block.length > 1 ? { row: box.top, column: box.left } : active;
    const height = single ? box.bottom - box.top + 1 : block.length;
    const width = single ? box.right - box.left + 1 : Math.max(...block.map((row) => row.length));
    if (height > MOST_ROWS) return toast.error(words.grid.tooMuch);
    const targets = columns.slice(from.column, from.column + width);
    const open = targets.map(({ field }) => !isReadOnly(field));
    attempt(async () => {
      const records = await recordsOf(from.row, from.row + height - 1);
      let passedOver = 0;
      const drafts: Draft[] = Array.from({ length: height }, (_, index) => {
        const cells = single ? Array.from({ length: width }, () => block[0]?.[0] ?? "") : (block[index] ?? []);
        const record = records[index];
        const waits = record ? mending.of(record.id) : fresh[from.row + index];
        const typed = Object.fromEntries(
          targets.flatMap(({ field }, place) => {
            const cell = cells[place];
            if (cell === undefined) return [];
            if (open[place]) return [[field.key, cell]];
            passedOver += cell === "" || cell === record?.texts[field.key] ? 0 : 1;
            return [];
          }),
        );
        return { id: record?.id ?? null, typed: { ...waits?.typed, ...typed } };
      }).filter((draft) => Object.keys(draft.typed).length > 0);
      // Rows that wait and are pasted over are tried again with what was pasted.
      mending.drop(fresh.slice(from.row, from.row + height).map((each) => each.key));
      if (drafts.length === 0) return toast(words.grid.pasted(0, 0, passedOver));
      const note = toast.loading(words.grid.pasting);
      const { saved, refused } = await write(drafts).finally(() => toast.dismiss(note));
      (refused > 0 ? toast.warning : toast)(words.grid.pasted(saved, refused, passedOver));
      put(from, { row: from.row + height - 1, column: from.column + width - 1 });
    });
  };

  const clear = () => {
    if (box.bottom - box.top >= MOST_ROWS) return toast.error(words.grid.tooMuch);
    const open = columns.slice(box.left, box.right + 1).filter(({ field }) => !isReadOnly(field));
    if (!table.may.edit || open.length === 0) return;
    attempt(async () => {
      const records = await recordsOf(box.top, box.bottom);
      const typed = Object.fromEntries(open.map(({ field }) => [field.key, null]));
      const drafts = records.flatMap((record) =>
        record ? [{ id: record.id, typed: { ...mending.of(record.id)?.typed, ...typed } }] : [],
      );
      if (drafts.length === 0) return;
      const { saved, refused } = await write(drafts);
      if (refused > 0) toast.warning(words.grid.pasted(saved, refused, 0));
    });
  };

  return { copy, paste, clear, retry: (rows: Waiting[]) => attempt(() => write(rows)) };
}
