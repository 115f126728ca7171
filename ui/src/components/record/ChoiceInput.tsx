import type { Field } from "../../api/client";
import { words } from "../../words";

type Props = {
  field: Field;
  choices: string[] | null;
  value: string;
  input: { id: string };
  className: string;
  onPick: (text: string) => void;
  onLeave: () => void;
};

/** A list to pick from: the choices that are open now, or the two words for yes and no. */
export function ChoiceInput({ field, choices, value, input, className, onPick, onLeave }: Props) {
  const open =
    field.type === "choice"
      ? (choices ?? field.choices.filter((choice) => !field.retired.includes(choice)))
      : [field.format.yes || words.records.yes, field.format.no || words.records.no];
  // A value that can't be picked any more is kept until another is.
  const all = value === "" || open.includes(value) ? open : [value, ...open];
  return (
    <select
      {...input}
      className={`${className} h-8`}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      onBlur={onLeave}
    >
      <option value="">{field.format.blank ?? words.form.noChoice}</option>
      {all.map((choice) => (
        <option key={choice} value={choice}>
          {field.retired.includes(choice) ? words.form.retired(choice) : choice}
        </option>
      ))}
    </select>
  );
}
