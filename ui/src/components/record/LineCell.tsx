import type { Answer, Field, Message, RecordData } from "../../api/client";
import { FieldInput } from "./FieldInput";
import type { LineTyped } from "./lines";
import { useFieldText } from "./useFieldText";

type Props = {
  table: string;
  field: Field;
  label: string;
  line: LineTyped;
  /** The line as it is stored, null for a new one. */
  record: RecordData | null;
  /** What the server last said of the line, undefined where it was left alone. */
  answer: Answer | undefined;
  messages: Message[];
  onBusy: (work: Promise<unknown>) => void;
  /** A keystroke: the text so far. */
  onTyping: (text: string) => void;
  onLeave: (text: string | number | null) => void;
  onLeft: () => void;
};

/** One value of a line. */
export function LineCell({
  table,
  field,
  label,
  line,
  record,
  answer,
  messages,
  onBusy,
  onTyping,
  onLeave,
  onLeft,
}: Props) {
  const stored = record && {
    value: record.values[field.key] ?? null,
    text: record.texts[field.key] ?? "",
    edit: record.texts[field.key] ?? "",
  };
  const found = answer?.fields[field.key] ?? (stored ? { ...BLANK, ...stored, source: "stored" as const } : undefined);
  const { value, computed, setText, setInside, leave, leaveTyped, link } = useFieldText({
    field,
    raw: line.typed[field.key],
    found,
    answered: answer !== undefined || line.typed[field.key] === undefined,
    onLeave: (text) => {
      onLeave(text);
      onLeft();
    },
  });
  const refused = messages.length > 0;
  const closed = found ? !found.state.enabled || found.state.read_only : field.given;
  const id = `line-${line.key}-${field.key}`;
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: only told whether the input inside has the focus
    <div
      onFocus={() => setInside(true)}
      onBlur={() => setInside(false)}
      className={`relative
        ${refused ? "line-refused bg-[var(--tint-refused)]" : computed ? "line-computed" : "line-typed"}
        ${field.kind === "number" ? "text-right [&_input]:text-right" : ""} focus-within:outline-2
        focus-within:outline-accent`}
    >
      <label htmlFor={id} className="sr-only">
        {label}
      </label>
      <span className="quiet block px-2.5 text-left text-xs sm:hidden" aria-hidden>
        {field.label}
      </span>
      <FieldInput
        field={field}
        id={id}
        value={value}
        invalid={refused}
        closed={closed}
        inLine
        describedBy={`${id}-said`}
        choices={found?.choices ?? null}
        within={{ table, typed: line.typed, id: line.id }}
        onType={setText}
        onKey={onTyping}
        onLeave={leaveTyped}
        onPick={leave}
        onLink={link}
        onBusy={onBusy}
      />
      <div id={`${id}-said`} className="text-left text-error text-xs" aria-live="polite">
        {messages.map((message) => (
          <p key={message.message}>{message.message}</p>
        ))}
      </div>
    </div>
  );
}

const BLANK = {
  rule: null,
  words: null,
  pending: false,
  choices: null,
  state: { shown: true, enabled: true, required: false, read_only: false },
};
