import { TriangleAlert } from "lucide-react";
import { useContext } from "react";
import type { Field } from "../../api/client";
import { t } from "../../words";
import { OpenAddress } from "./Address";
import { FieldInput } from "./FieldInput";
import { PassWarning } from "./PassWarning";
import type { Draft } from "./useDraft";
import { useFieldText } from "./useFieldText";
import { WhyContext } from "./WhyContext";

/** Seen by whoever points or types there. */
const SHY = "opacity-0 focus-visible:opacity-100 group-focus-within/box:opacity-100 group-hover/box:opacity-100";

type Props = {
  table: string;
  /** The record that is edited, null for a new one. */
  id: number | null;
  field: Field;
  draft: Draft;
  /** Tells the inputs of a form within a form from those around it. */
  prefix?: string;
  /** What the form calls it, where that is another name. */
  label?: string | null | undefined;
  /** What the form says beneath it while nothing else is to be said. */
  hint?: string | null | undefined;
};

/** One field of a form: label, input on its line, and beneath it where the value came from or what to mend. */
export function FieldBox({ table, id, field, draft, prefix = "", label, hint }: Props) {
  const found = draft.answer?.fields[field.key];
  const askWhy = useContext(WhyContext);
  const answered = draft.isAnswered(field.key);
  const { value, computed, setText, setInside, leave, leaveTyped, link } = useFieldText({
    field,
    raw: draft.typed[field.key],
    found,
    answered,
    onLeave: (text) => draft.leave(field.key, text),
  });
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
  const closed = found ? !found.state.enabled || found.state.read_only : false;
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
  const from = found ? origin(field, found.source, found.words) : null;
  const said = closed && !field.given ? t("form.closed") : from || hint;
  return (
    <div className="group/box min-w-0" data-field-box={field.key} data-writes={`${table}.${field.key}`}>
      <div className="mb-0.5 flex items-baseline gap-2">
        <label htmlFor={input} className="min-w-0 truncate font-semibold text-[0.8125rem]">
          {label || field.label}
        </label>
        {found?.state.required && value === "" && (
          <span className="quiet shrink-0 text-[0.6875rem]" aria-hidden>
            {t("form.required")}
          </span>
        )}
        {!closed && !field.given && <OpenAddress field={field} text={value} className="shrink-0 self-center" />}
        {askWhy && found && (
          <button
            type="button"
            tabIndex={-1}
            className={`quiet ml-auto shrink-0 px-1 text-[0.6875rem] underline decoration-dotted underline-offset-2
              hover:text-base-content
              ${value === "" ? "" : SHY}`}
            title={
              value === ""
                ? t("bench.whyBlank", { field: label || field.label })
                : t("bench.why", { field: label || field.label })
            }
            onClick={() => askWhy(field.key)}
          >
            {t("bench.whyShort")}
          </button>
        )}
      </div>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: only told whether the input inside has the focus */}
      <div
        onFocus={() => setInside(true)}
        onBlur={() => setInside(false)}
        className={`relative rounded-t ${line} ${ground} focus-within:bg-base-100 focus-within:outline-2
          focus-within:outline-accent`}
      >
        {answered && found?.pending && (
          <span
            className="absolute top-1.5 right-2 rounded-full border border-secondary border-dashed px-1.5
            text-[0.6875rem] text-secondary"
          >
            {t("numbering.pending")}
          </span>
        )}
        <FieldInput
          field={field}
          id={input}
          value={value}
          invalid={refused}
          closed={closed}
          required={found?.state.required ?? false}
          describedBy={below}
          choices={found?.choices ?? null}
          within={{ table, typed: draft.typed, id }}
          onType={setText}
          onKey={(text) => draft.typing(field.key, text)}
          onLeave={leaveTyped}
          onPick={leave}
          onLink={link}
          onBusy={draft.wait}
        />
      </div>
      <div id={below} className="min-h-5 pt-0.5 text-xs">
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
          : said && <p className="quiet break-words">{said}</p>}
      </div>
    </div>
  );
}

function origin(field: Field, source: string, from: string | null) {
  if (source === "rule") return from;
  if (field.given) return t("form.given");
  if (source === "typed" && from) return `${t("form.typed")}, ${from}`;
  return source === "typed" ? t("form.typed") : t("form.blank");
}
