import { useQueryClient } from "@tanstack/react-query";
import { type KeyboardEvent, useCallback, useEffect, useRef, useState } from "react";
import { api, data, type Field, ProblemError, type RecordData, type Table } from "../../api/client";
import type { Typed } from "../../api/queries";
import { FieldInput } from "../../components/record/FieldInput";
import { PassWarning } from "../../components/record/PassWarning";
import { useDraft } from "../../components/record/useDraft";
import { words } from "../../words";

type Props = {
  table: Table;
  record: RecordData;
  field: Field;
  /** Done: by how many cells to go on, 0 to stay on the row. */
  onDone: (step: number) => void;
};

/** One value typed right in the grid, through the same rules as in a form. */
export function CellEditor({ table, record, field, onDone }: Props) {
  const client = useQueryClient();
  const box = useRef<HTMLDivElement>(null);
  const ask = useCallback(
    (typed: Typed, reasons: { [rule: string]: string }) =>
      data(
        api.POST("/api/tables/{table}/draft", {
          params: { path: { table: table.key } },
          body: { typed, id: record.id, reasons },
        }),
      ),
    [table.key, record.id],
  );
  const draft = useDraft(ask);
  const [text, setText] = useState<string | null>(null);
  const [messages, setMessages] = useState<{ message: string; rule: string | null; passable: boolean }[]>([]);
  const found = draft.answer?.fields[field.key];
  // Read when a key ends the typing, which may be before what was typed is drawn.
  const picked = useRef<Typed[string] | undefined>(undefined);
  const saving = useRef(false);

  // At once, before the server has answered: no key of a fast hand may be lost.
  useEffect(() => {
    const input = box.current?.querySelector<HTMLInputElement>("[data-input]");
    input?.focus();
    input?.select?.();
  }, []);

  const save = async (step: number) => {
    const value = picked.current;
    if (saving.current) return;
    if (value === undefined) return onDone(step);
    saving.current = true;
    try {
      const path = { table: table.key, id: record.id };
      const body = { typed: { [field.key]: value }, reasons: draft.reasons, version: record.version, way: "grid" };
      await data(api.PATCH("/api/tables/{table}/records/{id}", { params: { path }, body }));
      for (const key of ["records", "history", "tables", "record", "open"])
        client.invalidateQueries({ queryKey: [key] });
      onDone(step);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      const refused = error.problem.answer?.messages;
      setMessages(refused ?? [{ message: error.message, rule: null, passable: false }]);
      box.current?.querySelector<HTMLElement>("[data-input]")?.focus();
    } finally {
      saving.current = false;
    }
  };

  const onKeyDown = (event: KeyboardEvent) => {
    event.stopPropagation();
    if (event.key === "Escape") onDone(0);
    else if (event.key === "Enter" || event.key === "Tab") {
      event.preventDefault();
      // What a list has highlighted is taken over by leaving it.
      (document.activeElement as HTMLElement | null)?.blur();
      requestAnimationFrame(() => save(event.key === "Tab" ? (event.shiftKey ? -1 : 1) : 0));
    }
  };

  const value = text ?? found?.edit ?? record.texts[field.key] ?? "";
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: keys and clicks stay within the cell
    <div
      ref={box}
      data-cell-editor={field.key}
      onKeyDown={onKeyDown}
      onClick={(event) => event.stopPropagation()}
      className="absolute top-0 left-0 z-20 min-w-full bg-base-100 shadow-lg outline-2 outline-accent"
    >
      <FieldInput
        field={field}
        id={`cell-${field.key}`}
        value={value}
        invalid={messages.length > 0}
        describedBy={`cell-below-${field.key}`}
        choices={found?.choices ?? null}
        within={{ table: table.key, typed: draft.typed, id: record.id }}
        onType={(now) => {
          picked.current = now;
          setText(now);
        }}
        onLeave={() => undefined}
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
      <div id={`cell-below-${field.key}`} aria-live="polite">
        {messages.map((each) => (
          <div key={each.message} className="max-w-80 whitespace-normal px-2.5 py-1 text-xs">
            <p role="alert" className={each.passable ? "text-secondary" : "text-error"}>
              {each.message}
            </p>
            {each.passable && each.rule && <PassWarning rule={each.rule} draft={draft} />}
          </div>
        ))}
        {messages.length > 0 && <p className="quiet px-2.5 pb-1 text-xs">{words.records.cellRefused}</p>}
      </div>
    </div>
  );
}
