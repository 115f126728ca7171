import type { Field } from "../../api/client";
import { words } from "../../words";
import { DayPicker } from "./DayPicker";
import { MatchInput } from "./MatchInput";

export type InputProps = {
  field: Field;
  id: string;
  value: string;
  invalid: boolean;
  describedBy: string;
  /** A keystroke: the text so far. */
  onType: (text: string) => void;
  /** The field was left. */
  onLeave: () => void;
  /** A choice was made, which counts at once. */
  onPick: (text: string) => void;
  /** A link's record was found, which counts at once; null leaves it as it is. */
  onLink: (found: { id: number; title: string } | string | null) => void;
};

const LOOK = "w-full bg-transparent px-2.5 py-1.5 outline-none";

/** Whether a field follows its formula and can't be typed. */
export const isWorkedOut = (field: Field) => field.calculated === "always" || field.calculated === "shown";

/** The input that belongs to a field's type. What is typed is read by the server, so dates and numbers are typed freely. */
export function FieldInput(props: InputProps) {
  const { field, id, value, invalid, describedBy, onType, onLeave, onPick, onLink } = props;
  const shared = { id, "data-input": field.key, "aria-invalid": invalid, "aria-describedby": describedBy };

  if (isWorkedOut(field)) {
    return (
      <output id={id} aria-describedby={describedBy} className={`${LOOK} block min-h-8 break-words`}>
        {value}
      </output>
    );
  }
  if (field.type === "link") {
    return (
      <MatchInput
        table={field.target ?? ""}
        value={value}
        input={shared}
        className={LOOK}
        onPick={onLink}
        onLeave={onLink}
      />
    );
  }
  if (field.type === "choice" || field.type === "yes_no") {
    const choices = field.type === "choice" ? field.choices : [words.records.yes, words.records.no];
    // A value that is no longer on the list is kept until another is picked.
    const all = value === "" || choices.includes(value) ? choices : [value, ...choices];
    return (
      <select
        {...shared}
        className={`${LOOK} h-8`}
        value={value}
        onChange={(event) => onPick(event.target.value)}
        onBlur={onLeave}
      >
        <option value="">{words.form.noChoice}</option>
        {all.map((choice) => (
          <option key={choice} value={choice}>
            {choice}
          </option>
        ))}
      </select>
    );
  }
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
