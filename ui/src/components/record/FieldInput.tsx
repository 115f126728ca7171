import type { Field } from "../../api/client";
import type { Typed } from "../../api/queries";
import { words } from "../../words";
import { ShownValue } from "./Address";
import { ChoiceInput } from "./ChoiceInput";
import { DayPicker } from "./DayPicker";
import { LinkInput } from "./LinkInput";
import { MaskedInput } from "./MaskedInput";

export type InputProps = {
  field: Field;
  id: string;
  value: string;
  invalid: boolean;
  describedBy: string;
  /** Whether nobody can type there now, as the record stands. */
  closed?: boolean;
  /** Whether it stands in a line beneath a record, with a cursor of its own. */
  inLine?: boolean;
  /** Whether it must be filled as the record stands. */
  required?: boolean;
  /** The choices that the field can take now, null where all of the list are open. */
  choices: string[] | null;
  /** The table that the record is of, and what is typed in it so far; a link may be narrowed by them. */
  within: { table: string; typed: Typed; id: number | null };
  /** A keystroke: the text so far. A link keeps what is typed itself, until it is found. */
  onType: (text: string) => void;
  /** The letters with which the typing of a choice began before its list was there. */
  begun?: string | undefined;
  /** A keystroke in any field, the text so far, to be kept in case the page goes. */
  onKey?: (text: string) => void;
  /** The field was left. */
  onLeave: () => void;
  /** A choice was made, which counts at once. */
  onPick: (text: string) => void;
  /** A link's record was found, which counts at once; null leaves it as it is. */
  onLink: (found: { id: number; title: string } | string | null) => void;
  /** A search goes on whose end will tell the field's input. */
  onBusy?: (work: Promise<unknown>) => void;
};

const LOOK = "w-full bg-transparent px-2.5 py-1.5 outline-none";

/** Whether a rule alone gives the field its values, or the person's role lets them only look. */
export const isReadOnly = (field: Field) => field.given || !field.may_edit;

/**
 * The input that belongs to a field's type. What is typed is read by the server, so dates and numbers are typed
 * freely.
 */
export function FieldInput(props: InputProps) {
  const { field, id, value, invalid, describedBy, onKey, onLeave, onPick } = props;
  const onType = (text: string) => {
    props.onType(text);
    onKey?.(text);
  };
  const placeholder = field.format.blank;
  const own = props.inLine ? { "data-line-input": field.key } : { "data-input": field.key };
  const shared = {
    id,
    ...own,
    "aria-invalid": invalid,
    "aria-describedby": describedBy,
    "aria-required": props.required || undefined,
  };

  if (isReadOnly(field) || props.closed) {
    return (
      <output
        id={id}
        aria-describedby={describedBy}
        className={`${LOOK} block min-h-8 max-h-56 overflow-auto whitespace-pre-wrap break-words`}
      >
        <ShownValue field={field} text={value} />
      </output>
    );
  }
  if (field.type === "link") return <LinkInput {...props} input={shared} className={LOOK} />;
  if (field.type === "choice" || field.type === "yes_no") {
    return (
      <ChoiceInput
        field={field}
        choices={props.choices}
        value={value}
        input={shared}
        className={LOOK}
        begun={props.begun}
        onPick={onPick}
        onLeave={onLeave}
      />
    );
  }
  if (field.mask)
    return (
      <MaskedInput
        {...shared}
        mask={field.mask}
        value={value}
        className={LOOK}
        placeholder={placeholder}
        onType={onType}
        onLeave={onLeave}
      />
    );
  if (field.type === "long_text") {
    return (
      <textarea
        {...shared}
        rows={3}
        className={`${LOOK} block resize-y`}
        value={value}
        onChange={(event) => onType(event.target.value)}
        onBlur={onLeave}
      />
    );
  }
  return (
    <>
      <input
        {...shared}
        className={`${LOOK} ${field.type === "date" ? "pr-9" : ""}`}
        value={value}
        placeholder={placeholder}
        autoComplete="off"
        inputMode={field.type === "number" ? "decimal" : undefined}
        onChange={(event) => onType(event.target.value)}
        onBlur={onLeave}
      />
      {field.type === "date" && (
        <DayPicker value={value} label={`${words.form.pickDay}: ${field.label}`} onPick={onPick} />
      )}
    </>
  );
}
