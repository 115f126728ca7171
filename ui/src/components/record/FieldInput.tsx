import type { ReactNode } from "react";
import type { Field } from "../../api/client";
import type { Typed } from "../../api/queries";
import { t } from "../../words";
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
  const { field, id, value, invalid, describedBy, onKey } = props;
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
  const onType = (text: string) => {
    props.onType(text);
    onKey?.(text);
  };
  const own = props.inLine ? { "data-line-input": field.key } : { "data-input": field.key };
  const input = {
    id,
    ...own,
    "aria-invalid": invalid,
    "aria-describedby": describedBy,
    "aria-required": props.required || undefined,
  };
  const Input = INPUTS[field.editor];
  return <Input {...props} onType={onType} input={input} />;
}

type Shared = InputProps & { input: { id: string; "aria-invalid": boolean; "aria-describedby": string } };

function Choice({ field, choices, value, input, begun, onPick, onLeave }: Shared) {
  const given = { field, choices, value, input, begun, onPick, onLeave };
  return <ChoiceInput {...given} className={LOOK} />;
}

function Area({ input, value, onType, onLeave }: Shared) {
  return (
    <textarea
      {...input}
      rows={3}
      className={`${LOOK} block resize-y`}
      value={value}
      onChange={(event) => onType(event.target.value)}
      onBlur={onLeave}
    />
  );
}

function Line({ field, input, value, onType, onLeave }: Shared) {
  const shared = { ...input, value, placeholder: field.format.blank };
  if (field.mask)
    return <MaskedInput {...shared} mask={field.mask} className={LOOK} onType={onType} onLeave={onLeave} />;
  return (
    <input
      {...shared}
      className={`${LOOK} ${field.editor === "day" ? "pr-9" : ""}`}
      autoComplete="off"
      inputMode={field.editor === "number" ? "decimal" : undefined}
      onChange={(event) => onType(event.target.value)}
      onBlur={onLeave}
    />
  );
}

function Day(props: Shared) {
  const { field, value, onPick } = props;
  return (
    <>
      <Line {...props} />
      {!field.mask && <DayPicker value={value} label={`${t("form.pickDay")}: ${field.label}`} onPick={onPick} />}
    </>
  );
}

/** The inputs by what a field's type says of its editor. */
const INPUTS: { [editor in Field["editor"]]: (props: Shared) => ReactNode } = {
  line: Line,
  number: Line,
  day: Day,
  area: Area,
  choice: Choice,
  answer: Choice,
  link: (props) => <LinkInput {...props} className={LOOK} />,
};
