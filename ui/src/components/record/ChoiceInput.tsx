import { type KeyboardEvent, useRef } from "react";
import type { Field } from "../../api/client";
import { words } from "../../words";
import { astray } from "./playing";

type Props = {
  field: Field;
  choices: string[] | null;
  value: string;
  input: { id: string };
  className: string;
  onPick: (text: string) => void;
  onLeave: () => void;
};

/** Milliseconds after which a letter begins another word. */
const PAUSE = 1_000;

/** A list to pick from: the choices that are open now, or the two words for yes and no. */
export function ChoiceInput({ field, choices, value, input, className, onPick, onLeave }: Props) {
  const open =
    field.type === "choice"
      ? (choices ?? field.choices.filter((choice) => !field.retired.includes(choice)))
      : [field.format.yes || words.records.yes, field.format.no || words.records.no];
  // A value that can't be picked any more is kept until another is.
  const all = value === "" || open.includes(value) ? open : [value, ...open];
  const begun = useRef({ text: "", at: 0 });

  // Letters pick what they begin, however fast they come; those that begin nothing are said, not swallowed.
  const onKeyDown = (event: KeyboardEvent<HTMLSelectElement>) => {
    if ([...event.key].length !== 1 || event.ctrlKey || event.metaKey || event.altKey) return;
    const going = event.timeStamp - begun.current.at < PAUSE ? begun.current.text : "";
    if (going === "" && event.key === " ") return;
    event.preventDefault();
    const text = going + event.key;
    begun.current = { text, at: event.timeStamp };
    const found = all.find((choice) => choice.toLowerCase().startsWith(text.toLowerCase()));
    if (found !== undefined) onPick(found);
    else astray(text, all);
  };

  return (
    <select
      {...input}
      className={`${className} h-8`}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      onKeyDown={onKeyDown}
      onBlur={() => {
        begun.current = { text: "", at: 0 };
        onLeave();
      }}
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
