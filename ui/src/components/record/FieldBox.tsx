import { TriangleAlert } from "lucide-react";
import { useState } from "react";
import type { Field } from "../../api/client";
import { words } from "../../words";
import { FieldInput } from "./FieldInput";
import type { Draft } from "./useDraft";

/** One field of a form: label, input on its line, and beneath it where the value came from or what to mend. */
export function FieldBox({ field, draft }: { field: Field; draft: Draft }) {
  const [text, setText] = useState<string | null>(null);
  const [linked, setLinked] = useState<{ id: number; title: string } | null>(null);
  const found = draft.answer?.fields[field.key];
  const answered = draft.isAnswered(field.key);
  const shown =
    answered && draft.visited.has(field.key)
      ? draft.answer?.messages.filter((each) => each.field === field.key)
      : undefined;
  const messages = shown ?? [];
  const refused = messages.length > 0;
  const concerned = draft.answer?.messages.some(
    (each) => draft.visited.has(each.field) && each.field !== field.key && each.fields.includes(field.key),
  );
  const computed = answered && found?.source === "rule";
  const raw = draft.typed[field.key];
  // What was typed stands until the server has read it; no answer, late or lost, takes it away.
  const asTyped = linked && raw === linked.id ? linked.title : String(raw ?? found?.text ?? "");
  const settled = answered && found && found.source !== "unreadable" ? found.text : asTyped;
  const value = text ?? settled;

  const leave = (now: string | null) => {
    setText(null);
    draft.leave(field.key, now !== null && now !== settled ? now : null);
  };

  const link = (picked: { id: number; title: string } | string | null) => {
    if (picked === null || typeof picked === "string") return draft.leave(field.key, picked);
    setLinked(picked);
    draft.leave(field.key, picked.id);
  };

  const line = refused ? "line-refused" : computed ? "line-computed" : "line-typed";
  const ground = refused ? "bg-[var(--tint-refused)]" : concerned ? "bg-[var(--tint-lit)]" : "bg-base-200/70";
  const below = `below-${field.key}`;
  return (
    <div className={`min-w-0 ${field.type === "long_text" ? "sm:col-span-2" : ""}`} data-field-box={field.key}>
      <label htmlFor={`input-${field.key}`} className="mb-0.5 block font-semibold text-[0.8125rem]">
        {field.label}
      </label>
      <div
        className={`relative rounded-t ${line} ${ground} focus-within:bg-base-100 focus-within:outline-2 focus-within:outline-accent`}
      >
        <FieldInput
          field={field}
          id={`input-${field.key}`}
          value={value}
          invalid={refused}
          describedBy={below}
          onType={setText}
          onLeave={() => leave(text)}
          onPick={leave}
          onLink={link}
        />
      </div>
      <div id={below} className="min-h-5 pt-0.5 text-xs" aria-live="polite">
        {refused
          ? messages.map((message) => (
              <p key={message.message} className="flex items-start gap-1 text-error">
                <TriangleAlert size={13} className="mt-px shrink-0" aria-hidden />
                <span className="min-w-0 break-words">{message.message}</span>
              </p>
            ))
          : found && <p className="quiet truncate">{origin(found.source, found.words)}</p>}
      </div>
    </div>
  );
}

function origin(source: string, from: string | null) {
  if (source === "rule") return from;
  return source === "typed" ? words.form.typed : words.form.blank;
}
