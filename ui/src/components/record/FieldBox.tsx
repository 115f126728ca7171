import { TriangleAlert } from "lucide-react";
import { useState } from "react";
import type { Field } from "../../api/client";
import { words } from "../../words";
import { FieldInput } from "./FieldInput";
import { PassWarning } from "./PassWarning";
import type { Draft } from "./useDraft";

type Props = {
  table: string;
  /** The record that is edited, null for a new one. */
  id: number | null;
  field: Field;
  draft: Draft;
  /** Tells the inputs of a form within a form from those around it. */
  prefix?: string;
};

/** One field of a form: label, input on its line, and beneath it where the value came from or what to mend. */
export function FieldBox({ table, id, field, draft, prefix = "" }: Props) {
  const [text, setText] = useState<string | null>(null);
  const [inside, setInside] = useState(false);
  const [linked, setLinked] = useState<{ id: number; title: string } | null>(null);
  const found = draft.answer?.fields[field.key];
  const answered = draft.isAnswered(field.key);
  const shown =
    answered && draft.visited.has(field.key)
      ? draft.answer?.messages.filter((each) => each.field === field.key)
      : undefined;
  const messages = shown ?? [];
  const refused = messages.length > 0;
  const warned = refused && messages.every((message) => message.passable);
  const concerned = draft.answer?.messages.some(
    (each) => draft.visited.has(each.field) && each.field !== field.key && each.fields.includes(field.key),
  );
  const computed = answered && (found?.source === "rule" || field.given);
  const raw = draft.typed[field.key];
  // What was typed stands until the server has read it; no answer, late or lost, takes it away.
  const asTyped = linked && raw === linked.id ? linked.title : String(raw ?? found?.text ?? "");
  const settled = answered && found && found.source !== "unreadable" ? found.text : asTyped;
  // Whoever is in the field sees it as one would type it, without unit and the like.
  const plain = answered && found && inside && raw === undefined ? found.edit : settled;
  const value = text ?? plain;

  const leave = (now: string | null) => {
    setText(null);
    draft.leave(field.key, now !== null && now !== plain ? now : null);
  };

  const link = (picked: { id: number; title: string } | string | null) => {
    if (picked === null || typeof picked === "string") return draft.leave(field.key, picked);
    setLinked(picked);
    draft.leave(field.key, picked.id);
  };

  const line = refused && !warned ? "line-refused" : computed ? "line-computed" : "line-typed";
  const ground = warned
    ? "bg-[var(--tint-lit)]"
    : refused
      ? "bg-[var(--tint-refused)]"
      : concerned
        ? "bg-[var(--tint-lit)]"
        : "bg-base-200/70";
  const below = `below-${prefix}${field.key}`;
  const input = `input-${prefix}${field.key}`;
  return (
    <div className={`min-w-0 ${field.type === "long_text" ? "sm:col-span-2" : ""}`} data-field-box={field.key}>
      <label htmlFor={input} className="mb-0.5 block font-semibold text-[0.8125rem]">
        {field.label}
      </label>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: only told whether the input inside has the focus */}
      <div
        onFocus={() => setInside(true)}
        onBlur={() => setInside(false)}
        className={`relative rounded-t ${line} ${ground} focus-within:bg-base-100 focus-within:outline-2 focus-within:outline-accent`}
      >
        {answered && found?.pending && (
          <span className="absolute top-1.5 right-2 rounded-full border border-secondary border-dashed px-1.5 text-[0.6875rem] text-secondary">
            {words.numbering.pending}
          </span>
        )}
        <FieldInput
          field={field}
          id={input}
          value={value}
          invalid={refused}
          describedBy={below}
          choices={found?.choices ?? null}
          within={{ table, typed: draft.typed, id }}
          onType={setText}
          onLeave={() => leave(text)}
          onPick={leave}
          onLink={link}
        />
      </div>
      <div id={below} className="min-h-5 pt-0.5 text-xs" aria-live="polite">
        {refused
          ? messages.map((message) => (
              <div key={message.message}>
                <p className={`flex items-start gap-1 ${message.passable ? "text-secondary" : "text-error"}`}>
                  <TriangleAlert size={13} className="mt-px shrink-0" aria-hidden />
                  <span className="min-w-0 break-words">{message.message}</span>
                </p>
                {message.passable && message.rule && <PassWarning rule={message.rule} draft={draft} />}
              </div>
            ))
          : found && (
              <p className="quiet truncate" title={origin(field, found.source, found.words) ?? undefined}>
                {origin(field, found.source, found.words)}
              </p>
            )}
      </div>
    </div>
  );
}

function origin(field: Field, source: string, from: string | null) {
  if (source === "rule") return from;
  if (field.given) return words.form.given;
  if (source === "typed" && from) return `${words.form.typed}, ${from}`;
  return source === "typed" ? words.form.typed : words.form.blank;
}
