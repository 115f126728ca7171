import { type KeyboardEvent, useRef } from "react";
import type { Table } from "../../api/client";
import { FieldBox } from "./FieldBox";
import type { Draft } from "./useDraft";

type Props = { table: Table; id: number | null; draft: Draft; prefix?: string; onEnd?: () => void };

/** All fields of a record, laid out by themselves. Enter goes on to the next like Tab. */
export function RecordFields({ table, id, draft, prefix, onEnd }: Props) {
  const form = useRef<HTMLDivElement>(null);

  const onKeyDown = (event: KeyboardEvent<HTMLDivElement>) => {
    const target = event.target as HTMLElement;
    const plain = event.key === "Enter" && !event.ctrlKey && !event.metaKey && !event.altKey;
    if (!plain || !target.matches("input, select")) return;
    event.preventDefault();
    const all = [...(form.current?.querySelectorAll<HTMLElement>("[data-input]") ?? [])];
    const next = all[all.indexOf(target) + (event.shiftKey ? -1 : 1)];
    if (next) next.focus();
    else if (!event.shiftKey) {
      target.blur();
      onEnd?.();
    }
  };

  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: Enter is heard for all inputs inside
    <div ref={form} onKeyDown={onKeyDown} className="grid gap-x-5 gap-y-1.5 sm:grid-cols-2">
      {table.fields.map((field) => (
        <FieldBox key={field.key} table={table.key} id={id} field={field} draft={draft} prefix={prefix} />
      ))}
    </div>
  );
}
