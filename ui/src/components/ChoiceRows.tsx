import { ArrowDown, ArrowUp, X } from "lucide-react";
import { type KeyboardEvent, useRef } from "react";
import { flushSync } from "react-dom";
import { words } from "../words";
import { SignButton } from "./SignButton";

type Props = { values: string[]; retired: string[]; onChange: (values: string[], retired: string[]) => void };

/** A list of choices in its order. Enter adds one below; a retired one stays for the records that have it. */
export function ChoiceRows({ values, retired, onChange }: Props) {
  const rows = useRef<HTMLOListElement>(null);
  const shown = values.length === 0 ? [""] : values;
  // At once: the next letter may come before the next frame.
  const putAndFocus = (next: string[], out: string[], index: number) => {
    flushSync(() => onChange(next, out));
    rows.current?.querySelectorAll<HTMLElement>("input[type=text]")[index]?.focus();
  };
  const put = (index: number, text: string) => {
    const before = shown[index] ?? "";
    onChange(
      shown.map((each, at) => (at === index ? text : each)),
      retired.map((each) => (each === before ? text : each)),
    );
  };
  const add = (index: number, texts: string[]) => {
    putAndFocus([...shown.slice(0, index + 1), ...texts, ...shown.slice(index + 1)], retired, index + texts.length);
  };
  const move = (index: number, by: number) => {
    const next = [...shown];
    const [taken] = next.splice(index, 1);
    if (taken !== undefined) next.splice(index + by, 0, taken);
    putAndFocus(next, retired, index + by);
  };
  const remove = (index: number) => {
    putAndFocus(
      shown.filter((_, at) => at !== index),
      retired.filter((each) => each !== shown[index]),
      Math.max(0, index - 1),
    );
  };
  const onKeyDown = (event: KeyboardEvent, index: number) => {
    if (event.ctrlKey || event.metaKey) return;
    if (event.key === "Enter") {
      event.preventDefault();
      add(index, [""]);
    } else if (event.key === "Backspace" && shown[index] === "" && shown.length > 1) {
      event.preventDefault();
      remove(index);
    } else if (event.altKey && event.key === "ArrowUp" && index > 0) move(index, -1);
    else if (event.altKey && event.key === "ArrowDown" && index < shown.length - 1) move(index, 1);
  };
  return (
    <ol ref={rows} className="flex max-h-72 flex-col gap-1 overflow-auto">
      {shown.map((value, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place while its text is being typed
        <li key={index} className="flex items-center gap-1">
          <input
            type="text"
            aria-label={words.choices.one(index + 1)}
            className={`input input-sm min-w-0 flex-1 ${retired.includes(value) ? "italic opacity-70" : ""}`}
            value={value}
            onChange={(event) => put(index, event.target.value)}
            onKeyDown={(event) => onKeyDown(event, index)}
            onPaste={(event) => {
              const lines = event.clipboardData.getData("text").split(/\r?\n/);
              if (lines.length < 2) return;
              event.preventDefault();
              const [first = "", ...others] = lines.map((line) => line.trim()).filter(Boolean);
              onChange([...shown.slice(0, index), value + first, ...others, ...shown.slice(index + 1)], retired);
            }}
          />
          <label className="flex items-center gap-1 text-xs">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={retired.includes(value)}
              disabled={value === ""}
              onChange={() =>
                onChange(
                  shown,
                  retired.includes(value) ? retired.filter((each) => each !== value) : [...retired, value],
                )
              }
            />
            {words.choices.retired}
          </label>
          <SignButton passed name={words.tidy.earlier} disabled={index === 0} onClick={() => move(index, -1)}>
            <ArrowUp size={13} aria-hidden />
          </SignButton>
          <SignButton
            passed
            name={words.tidy.later}
            disabled={index === shown.length - 1}
            onClick={() => move(index, 1)}
          >
            <ArrowDown size={13} aria-hidden />
          </SignButton>
          <SignButton passed name={words.tidy.remove} onClick={() => remove(index)}>
            <X size={13} aria-hidden />
          </SignButton>
        </li>
      ))}
      <li>
        <button type="button" className="btn btn-ghost btn-xs" onClick={() => add(shown.length - 1, [""])}>
          {words.choices.add}
        </button>
      </li>
    </ol>
  );
}
