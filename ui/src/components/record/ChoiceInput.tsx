import { type KeyboardEvent, useEffect, useRef } from "react";
import type { Field } from "../../api/client";
import { t } from "../../words";
import { astray, writes } from "./playing";

type Props = {
  field: Field;
  choices: string[] | null;
  value: string;
  input: { id: string };
  className: string;
  /** The letters with which the typing began before the list was there. */
  begun?: string | undefined;
  onPick: (text: string) => void;
  onLeave: () => void;
};

/** Milliseconds after which a letter begins another word. */
const PAUSE = 1_000;

/** A list to pick from: the choices that are open now, or the two words for yes and no. */
export function ChoiceInput({ field, choices, value, input, className, begun: first, onPick, onLeave }: Props) {
  const open =
    field.editor === "choice"
      ? (choices ?? field.choices.filter((choice) => !field.retired.includes(choice)))
      : [field.format.yes || t("records.yes"), field.format.no || t("records.no")];
  // A value that can't be picked any more is kept until another is.
  const all = value === "" || open.includes(value) ? open : [value, ...open];
  const begun = useRef({ text: "", at: 0, before: value });

  // Letters pick what they begin, however fast they come. What is none of the choices is refused as a
  // whole: what was there before stands again, and it is said.
  const take = (text: string, at: number, before: string) => {
    begun.current = { text, at, before };
    const found = all.find((choice) => choice.toLowerCase().startsWith(text.toLowerCase()));
    if (found === undefined) astray(text, all);
    onPick(found ?? before);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the list is there
  useEffect(() => {
    if (first) take(first, performance.now(), value);
  }, []);

  const onKeyDown = (event: KeyboardEvent<HTMLSelectElement>) => {
    if (!writes(event)) return;
    const going = begun.current.text !== "" && event.timeStamp - begun.current.at < PAUSE;
    if (!going && event.key === " ") return;
    event.preventDefault();
    if (going) take(begun.current.text + event.key, event.timeStamp, begun.current.before);
    else take(event.key, event.timeStamp, value);
  };

  return (
    <select
      {...input}
      className={`${className} h-8`}
      value={value}
      onChange={(event) => onPick(event.target.value)}
      onKeyDown={onKeyDown}
      onBlur={() => {
        begun.current = { text: "", at: 0, before: value };
        onLeave();
      }}
    >
      <option value="">{field.format.blank ?? t("form.noChoice")}</option>
      {all.map((choice) => (
        <option key={choice} value={choice}>
          {field.retired.includes(choice) ? t("form.retired", { choice }) : choice}
        </option>
      ))}
    </select>
  );
}
