import { type ClipboardEvent, useRef } from "react";
import { toast } from "sonner";
import { type Field, ProblemError, type RecordData, type Scalar, type Table } from "../../api/client";
import { type Draft, listRecords, queryOf, type View, type Written } from "../../api/records";
import { isReadOnly } from "../../components/record/FieldInput";
import { sentences, t } from "../../words";
import { clashOf } from "./clash";
import { readBlock, toClipboard, writeBlock } from "./clipboard";
import { spread, turnOf } from "./spreading";
import { MOST_ROWS, type Writing } from "./useBatchWrite";
import type { GridRows } from "./useGridRows";
import type { GridColumn } from "./useLayout";
import type { Box } from "./useRange";
import type { Mending, Waiting } from "./useRejectedRows";

type Props = {
  table: Table;
  view: View;
  columns: GridColumn[];
  rows: GridRows;
  box: Box;
  writing: Writing;
  mending: Mending;
  /** A block is going to be written; what it gives is told its place and the numbers of its records then. */
  onWriting: () => (box: Box, ids: (number | null)[]) => void;
};

/** What is carried from one cell to another: as it is shown, and its very value for a field of the same kind. */
type Cell = { text: string; value?: Scalar; field?: Field };

/** Blocks of cells: copied, cut, cleared, filled, and pasted into rows that are there or into new ones. */
export function useCellClipboard({ table, view, columns, rows, box, writing, mending, onWriting }: Props) {
  /** What was copied here last; the clipboard itself carries texts alone. */
  const copied = useRef<{ text: string; cells: Cell[][] } | null>(null);

  /** The records of some rows, those out of sight included. */
  const recordsOf = async (from: number, to: number): Promise<(RecordData | undefined)[]> => {
    const found: (RecordData | undefined)[] = [];
    for (let row = from; row <= to && row < rows.matching; ) {
      const limit = Math.min(500, to - row + 1, rows.matching - row);
      const { records } = await listRecords(table.key, { ...queryOf(view), at: row, limit });
      found.push(...records);
      if (records.length === 0) break;
      row += records.length;
    }
    return found;
  };
  const waitingOf = (record: RecordData | undefined, row: number) =>
    record ? mending.of(record.id) : rows.freshAt(row);

  const attempt = async (work: () => Promise<unknown>) => {
    try {
      await work();
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      toast.error(error.message);
    }
  };

  /** Writes rows as one change, and keeps what is refused until it is fixed. */
  const write = async (drafts: (Draft & { waits: Waiting | undefined })[]) => {
    const sent = drafts.map(({ id, typed, waits }) => ({ id, typed, version: waits?.version ?? null }));
    const { results, report } = await writing.write(sent, "passing");
    const refused = drafts.flatMap(({ id, typed, waits }, place) => {
      const result = results[place];
      const clash = clashOf(result, waits?.clash?.record, typed);
      if (clash) return [{ id, ...clash }];
      return result?.state === "refused" ? [{ id, typed, messages: result.messages }] : [];
    });
    mending.drop(drafts.flatMap(({ waits }) => (waits ? [waits.key] : [])));
    if (refused.length > 0) mending.add(refused);
    return { saved: report.saved, refused: refused.length, results };
  };

  const tell = (saved: number, refused: number, passedOver: number) =>
    saved + refused + passedOver === 0
      ? toast(t("grid.nothingChanged"))
      : (refused > 0 ? toast.warning : toast)(sentences.grid.pasted(saved, refused, passedOver));

  const cells = (all: (RecordData | undefined)[], from: Box): Cell[][] =>
    Array.from({ length: from.bottom - from.top + 1 }, (_, index) => {
      const record = all[index];
      const waits = waitingOf(record, from.top + index);
      return columns.slice(from.left, from.right + 1).map(({ field }) => cellOf(field, record, waits));
    });

  /** Writes a cell into each of a box's columns, row by row. */
  const put = async (
    target: Box,
    at: (row: number, column: number) => Cell | undefined,
  ): Promise<Written["results"]> => {
    const records = await recordsOf(target.top, target.bottom);
    const targets = columns.slice(target.left, target.right + 1);
    let passedOver = 0;
    const drafts = Array.from({ length: target.bottom - target.top + 1 }, (_, index) => {
      const record = records[index];
      const waits = waitingOf(record, target.top + index);
      const typed: Draft["typed"] = {};
      for (const [place, { field }] of targets.entries()) {
        const cell = at(index, place);
        if (!cell) continue;
        if (!isReadOnly(field)) typed[field.key] = into(field, cell);
        else if (cell.text !== "" && cell.text !== record?.texts[field.key]) passedOver += 1;
      }
      const any = Object.keys(typed).length > 0;
      return { id: record?.id ?? null, typed: any ? { ...waits?.typed, ...typed } : {}, waits };
    }).filter(
      (draft) =>
        Object.keys(draft.typed).length > 0 &&
        (draft.id !== null || Object.values(draft.typed).some((value) => value !== "" && value !== null)),
    );
    if (drafts.length === 0) {
      tell(0, 0, passedOver);
      return [];
    }
    const { saved, refused, results } = await write(drafts);
    tell(saved, refused, passedOver);
    return results;
  };

  const tooMuch = (from: number, to: number) => {
    if (to - from < MOST_ROWS) return false;
    toast.error(t("grid.tooMuch"));
    return true;
  };

  const keep = (all: (RecordData | undefined)[]) => {
    const block = cells(all, box);
    const text = writeBlock(block.map((row) => row.map((cell) => cell.text)));
    copied.current = { text, cells: block };
    return text;
  };

  /** At once where all rows are at hand, which every browser allows; else as soon as they are fetched. */
  const takeAlong = (event: ClipboardEvent) => {
    event.preventDefault();
    const all = Array.from({ length: box.bottom - box.top + 1 }, (_, index) => rows.recordAt(box.top + index));
    if (all.every((record, index) => record || box.top + index >= rows.matching)) {
      event.clipboardData.setData("text/plain", keep(all));
      return Promise.resolve();
    }
    return recordsOf(box.top, box.bottom).then((found) => toClipboard(keep(found)));
  };

  const copy = (event: ClipboardEvent) => {
    if (tooMuch(box.top, box.bottom)) return event.preventDefault();
    const count = (box.bottom - box.top + 1) * (box.right - box.left + 1);
    attempt(() => takeAlong(event).then(() => toast(t("grid.copied", { count }))));
  };

  const cut = (event: ClipboardEvent) => {
    if (tooMuch(box.top, box.bottom) || !mayWrite(box)) return event.preventDefault();
    attempt(() => takeAlong(event).then(() => blank(box)));
  };

  const paste = (event: ClipboardEvent) => {
    event.preventDefault();
    const text = event.clipboardData.getData("text/plain").replaceAll("\r\n", "\n");
    const own = copied.current?.text === text ? copied.current.cells : null;
    const block: Cell[][] = own ?? readBlock(text).map((row) => row.map((cell) => ({ text: cell })));
    if (!table.may.edit || block.length === 0) return;
    const { height, width, at } = spread(block, box);
    if (tooMuch(box.top, box.top + height - 1)) return;
    const target = {
      top: box.top,
      left: box.left,
      bottom: box.top + height - 1,
      right: Math.min(columns.length - 1, box.left + width - 1),
    };
    const written = onWriting();
    attempt(async () => {
      const note = toast.loading(t("grid.pasting"));
      const results = await put(target, at).finally(() => toast.dismiss(note));
      written(
        target,
        results.map((each) => each.id),
      );
    });
  };

  /** Repeats a block over the box to which it was drawn. */
  const fill = (from: Box, to: Box) => {
    if (tooMuch(to.top, to.bottom) || !mayWrite(to)) return;
    const written = onWriting();
    attempt(async () => {
      const block = cells(await recordsOf(from.top, from.bottom), from);
      const [high, wide] = [block.length, from.right - from.left + 1];
      await put(to, (row, column) => {
        const [down, right] = [to.top + row - from.top, to.left + column - from.left];
        if (down >= 0 && down < high && right >= 0 && right < wide) return undefined;
        return block[turnOf(down, high)]?.[turnOf(right, wide)];
      });
      written(to, []);
    });
  };

  /** Whether any of the columns takes values by hand; where none does, why not is said. */
  const mayWrite = ({ left, right }: Box) => {
    const chosen = columns.slice(left, right + 1).map(({ field }) => field);
    if (!table.may.edit) return false;
    if (chosen.some((field) => !isReadOnly(field))) return true;
    if (chosen[0]) toast(t("records.notTyped", { label: chosen[0].label }), { id: "not-typed" });
    return false;
  };

  const blank = async (target: Box) => {
    const open = columns.slice(target.left, target.right + 1).filter(({ field }) => !isReadOnly(field));
    const records = await recordsOf(target.top, target.bottom);
    const typed = Object.fromEntries(open.map(({ field }) => [field.key, null]));
    // What was typed into a row that is not saved is simply taken out of it.
    for (let row = Math.max(target.top, rows.matching); row <= target.bottom; row += 1) {
      const fresh = rows.freshAt(row);
      if (!fresh) continue;
      const left = Object.entries(fresh.typed).filter(([key]) => !(key in typed));
      if (left.length === 0) mending.drop([fresh.key]);
      else mending.change(fresh.key, { typed: Object.fromEntries(left), texts: {} });
    }
    const drafts = records.flatMap((record) => {
      if (!record) return [];
      const waits = mending.of(record.id);
      return [{ id: record.id, typed: { ...waits?.typed, ...typed }, waits }];
    });
    if (drafts.length === 0) return;
    const { saved, refused } = await write(drafts);
    if (refused > 0) tell(saved, refused, 0);
  };

  const clear = () => {
    if (tooMuch(box.top, box.bottom) || !mayWrite(box)) return;
    attempt(() => blank(box));
  };

  return { copy, cut, paste, clear, fill };
}

function cellOf(field: Field, record: RecordData | undefined, waits: Waiting | undefined): Cell {
  if (waits && field.key in waits.typed) {
    const value = waits.typed[field.key] ?? null;
    return { field, value, text: waits.texts?.[field.key] ?? String(value ?? "") };
  }
  const value = record?.values[field.key] ?? null;
  // A program writes a number as one; as a text it would be read by the firm's marks.
  const exact = field.kind === "number" && typeof value === "string" ? Number(value) : value;
  return { field, value: exact, text: record?.texts[field.key] ?? "" };
}

const into = (field: Field, { field: from, value, text }: Cell): Scalar =>
  from && value !== undefined && from.type === field.type && from.target === field.target ? value : text;
