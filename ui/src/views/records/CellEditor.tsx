import { type KeyboardEvent, useCallback, useEffect, useLayoutEffect, useRef, useState } from "react";
import { api, data, type Field, type Message, ProblemError, type RecordData, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { FieldInput } from "../../components/record/FieldInput";
import { keyQueue } from "../../components/record/keyQueue";
import { PassWarning } from "../../components/record/PassWarning";
import { useDraft } from "../../components/record/useDraft";
import { t } from "../../words";
import { Conflict } from "../forms/Conflict";
import { clashOf } from "./clash";
import type { Writing } from "./useBatchWrite";
import type { Mending, Waiting } from "./useRejectedRows";

type Props = {
  table: Table;
  /** The record; null for one that is yet to be made. */
  record: RecordData | null;
  /** What of the row was refused before. */
  waiting: Waiting | undefined;
  field: Field;
  /** The letter with which the typing began, in place of what stood there. */
  begun: string | null;
  /** Whether the caret stands behind what is there, which typing then goes on. */
  atEnd: boolean;
  writing: Writing;
  mending: Mending;
  /** A new record has begun in the empty row. */
  onBegun: (key: string) => void;
  /** Done; where to go on, or null to stay. */
  onDone: (to: Move | null) => void;
};

/** The key that ended the typing, and whether it leads back. */
export type Move = { key: "Enter" | "Tab"; back: boolean };

/** Pixels that the head and the foot of the grid take. */
const FOOT = 40;

/** One value typed right in the grid, through the same rules as in a form. */
export function CellEditor(props: Props) {
  const { table, record, waiting, field, begun, atEnd, writing, mending, onDone } = props;
  const box = useRef<HTMLDivElement>(null);
  const id = record?.id ?? null;
  const others = waiting?.typed;
  const ask = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }) =>
      data(
        api.POST("/api/tables/{table}/draft", {
          params: { path: { table: table.key } },
          body: { typed: { ...others, ...typed }, id, reasons },
        }),
      ),
    [table.key, id, others],
  );
  const draft = useDraft(ask);
  // Of a list the letters pick; they are not its value.
  const listed = field.editor === "choice" || field.editor === "answer";
  const [text, setText] = useState<string | null>(listed ? null : begun);
  // A warning keeps a new row back until it is passed with a reason, here as in the form.
  const [messages, setMessages] = useState<{ message: string; rule: string | null; passable: boolean }[]>(
    () => (id === null && waiting?.messages.filter((each) => each.passable && each.field === field.key)) || [],
  );
  const found = draft.answer?.fields[field.key];
  // Read when a key ends the typing, which may be before what was typed is drawn.
  const picked = useRef<Typed[string] | undefined>(listed ? undefined : (begun ?? undefined));
  // Whoever opens a cell that somebody else changed as well chooses between both; who types on it has seen theirs.
  const [clash, setClash] = useState(
    (begun === null && waiting && field.key in waiting.typed && waiting.clash) || null,
  );
  const saving = useRef(false);
  const leaving = useRef(false);
  // A search for what was typed, by whose end it is known what is meant.
  const work = useRef<Promise<unknown> | undefined>(undefined);

  // At once, before the server has answered: no key of a fast hand may be lost.
  useEffect(() => {
    const input = box.current?.querySelector<HTMLInputElement>("[data-input]");
    input?.focus();
    if (begun === null && atEnd) input?.setSelectionRange?.(input.value.length, input.value.length);
    else if (begun === null) input?.select?.();
    else input?.setSelectionRange?.(begun.length, begun.length);
  }, [begun, atEnd]);

  // Beneath the last rows the foot would hide what is said: there it stands above the cell.
  const below = useRef<HTMLDivElement>(null);
  const [above, setAbove] = useState(false);
  useLayoutEffect(() => {
    const view = box.current?.closest("[role=grid]")?.getBoundingClientRect();
    const cell = box.current?.getBoundingClientRect();
    if (messages.length === 0 || !view || !cell) return setAbove(false);
    const needed = below.current?.offsetHeight ?? 0;
    setAbove(
      (before) => cell.bottom + (before ? needed : 0) > view.bottom - FOOT && cell.top - needed > view.top + FOOT,
    );
  }, [messages]);

  const refuse = (found: Message[]) => {
    const here = found.filter((each) => each.field === field.key && each.fields.every((key) => key === field.key));
    // Where other cells have a say, the row waits as a whole until they are typed; and whoever types on
    // is not kept. What is wrong with this cell alone stays open until it is fixed or left.
    const warned = found.every((each) => each.passable);
    if (keyQueue.any || (here.length === 0 && !warned)) {
      const typed = { ...others, [field.key]: picked.current ?? null };
      const version = record && writing.versionOf(record);
      const [key] = waiting ? [waiting.key] : mending.add([{ id, typed, messages: found, version }]);
      if (key) mending.consider(key);
      return false;
    }
    setMessages(here.length > 0 ? here : found);
    stay();
    return true;
  };
  const stay = () => {
    const input = box.current?.querySelector<HTMLElement>("[data-input]");
    if (keyQueue.held) keyQueue.release(input);
    else input?.focus();
  };

  /** A record that is yet to be made is saved as a whole, once its row is left. */
  const keep = (typed: Typed, reasons: { [rule: string]: string }) => {
    if (waiting) mending.change(waiting.key, { typed, reasons: { ...waiting.reasons, ...reasons } });
    const key = waiting?.key ?? mending.add([{ id: null, typed, messages: [] }])[0];
    if (!key) return;
    if (!waiting) props.onBegun(key);
    mending.consider(key);
  };

  const save = async (to: Move | null, given?: { typed: Typed; version: number | null }) => {
    if (saving.current) return;
    // The reason may have been typed just now.
    const { reasons } = messages.some((each) => each.passable) ? await draft.answered() : draft;
    const passed = Object.keys(reasons).length > 0 ? (others?.[field.key] ?? null) : undefined;
    const value = picked.current === undefined ? passed : picked.current;
    if (value === undefined) return onDone(to);
    // The row may have been saved while this was typed.
    const savedAs = waiting && mending.savedAs(waiting.key);
    const target = id ?? savedAs ?? null;
    const typed = given?.typed ?? { ...(savedAs === undefined && others), [field.key]: value };
    if (target === null) {
      keep(typed, reasons);
      return onDone(to);
    }
    saving.current = true;
    try {
      const seen = waiting ? waiting.version : record && writing.versionOf(record);
      const version = given?.version ?? seen ?? null;
      const { results } = await writing.write([{ id: target, version, typed, reasons }], "all", true);
      const result = results[0];
      if (result?.state === "saved" || result?.state === "unchanged") {
        if (waiting) mending.drop([waiting.key]);
        return onDone(to);
      }
      const clashed = clashOf(result, waiting?.clash?.record ?? record, typed);
      if (clashed) {
        // It waits in its cell: a question that opens by itself would swallow the keys of whoever types on.
        if (waiting) mending.change(waiting.key, clashed);
        else mending.add([{ id, ...clashed }]);
        writing.refresh(false);
        return onDone(to);
      }
      if (waiting) mending.change(waiting.key, { typed, messages: result?.messages ?? [] });
      if (result?.state === "gone") {
        setMessages([{ message: t("form.gone"), rule: null, passable: false }]);
        stay();
      } else if (!refuse(result?.messages ?? [])) onDone(to);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setMessages([{ message: error.message, rule: null, passable: false }]);
      stay();
    } finally {
      saving.current = false;
      leaving.current = false;
    }
  };

  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "Escape") onDone(null);
    else if (event.key === "Enter" && event.altKey) return;
    else if (event.key === "Enter" || event.key === "Tab") {
      event.preventDefault();
      const to: Move = { key: event.key, back: event.shiftKey };
      // From here on keys belong to the next cell. What a list has highlighted is taken over by leaving it.
      leaving.current = true;
      keyQueue.hold();
      Promise.resolve(work.current).then(() => save(to));
    }
  };

  const value = text ?? found?.edit ?? String(others?.[field.key] ?? record?.texts[field.key] ?? "");
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys and clicks stay within the cell
    <div
      ref={box}
      data-cell-editor={field.key}
      onKeyDown={onKeyDown}
      onPaste={(event) => event.stopPropagation()}
      onCopy={(event) => event.stopPropagation()}
      onPointerDown={(event) => event.stopPropagation()}
      onDoubleClick={(event) => event.stopPropagation()}
      onBlur={(event) => {
        // A click elsewhere keeps what was typed, as everywhere.
        if (!leaving.current && event.relatedTarget instanceof Node && !box.current?.contains(event.relatedTarget))
          save(null);
      }}
      className="absolute top-0 left-0 z-20 min-w-full bg-base-100 shadow-lg outline-2 outline-accent"
    >
      <FieldInput
        field={field}
        id={`cell-${field.key}`}
        value={value}
        invalid={messages.length > 0}
        describedBy={`cell-below-${field.key}`}
        choices={found?.choices ?? null}
        within={{ table: table.key, typed: { ...others, ...draft.typed }, id }}
        onType={(now) => {
          picked.current = now;
          setText(now);
        }}
        onLeave={() => undefined}
        onBusy={(going) => {
          work.current = going;
        }}
        begun={listed ? (begun ?? undefined) : undefined}
        onPick={(choice) => {
          picked.current = choice;
          setText(choice);
        }}
        onLink={(link) => {
          if (link === null) return;
          picked.current = typeof link === "string" ? link : link.id;
          setText(typeof link === "string" ? link : link.title);
        }}
      />
      {clash && (
        <Conflict
          table={table}
          before={clash.before}
          record={clash.record}
          theirs={clash.theirs}
          mine={{ ...others }}
          shown={Object.fromEntries(Object.entries(others ?? {}).map(([key, each]) => [key, String(each ?? "")]))}
          onClose={() => {
            setClash(null);
            stay();
          }}
          onMerge={(merged) => {
            setClash(null);
            if (Object.keys(merged).length === 0) {
              if (waiting) mending.drop([waiting.key]);
              writing.refresh();
              onDone(null);
            } else {
              picked.current = merged[field.key] ?? null;
              save(null, { typed: merged, version: clash.record.version });
            }
          }}
        />
      )}
      <div
        ref={below}
        id={`cell-below-${field.key}`}
        aria-live="polite"
        className={above ? "absolute bottom-full left-0 min-w-full bg-base-100 shadow-lg outline-2 outline-accent" : ""}
      >
        {messages.map((each) => (
          <div key={each.message} className="max-w-80 whitespace-normal px-2.5 py-1 text-xs">
            <p role="alert" className={each.passable ? "text-secondary" : "text-error"}>
              {each.message}
            </p>
            {each.passable && each.rule && <PassWarning rule={each.rule} draft={draft} />}
          </div>
        ))}
        {messages.length > 0 && <p className="quiet px-2.5 pb-1 text-xs">{t("records.cellRefused")}</p>}
      </div>
    </div>
  );
}
