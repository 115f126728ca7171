import { ArrowDown, ArrowUp, Merge, X } from "lucide-react";
import { type KeyboardEvent, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { t } from "../words";
import { type Choices, mergedWith } from "./choices";
import { IconButton } from "./IconButton";

type Props = { choices: Choices; onChange: (choices: Choices) => void };

/**
 * A list of choices in its order. Enter adds one below; a retired one stays for the records that have it. One that
 * is typed over is renamed, and one that gets the name of another becomes one with it.
 */
export function ChoiceRows({ choices, onChange }: Props) {
  const rows = useRef<HTMLOListElement>(null);
  const [merging, setMerging] = useState<number | null>(null);
  const shown: Choices = choices.values.length === 0 ? { ...choices, values: [""], was: [null] } : choices;
  const { values, retired, was } = shown;
  // At once: the next letter may come before the next frame.
  const putAndFocus = (next: Choices, index: number) => {
    flushSync(() => onChange(next));
    rows.current?.querySelectorAll<HTMLElement>("input[type=text]")[index]?.focus();
  };
  const put = (index: number, text: string) => {
    const before = values[index] ?? "";
    onChange({
      ...shown,
      values: values.map((each, at) => (at === index ? text : each)),
      retired: retired.map((each) => (each === before ? text : each)),
    });
  };
  const insert = (index: number, texts: string[]): Choices => ({
    ...shown,
    values: values.toSpliced(index + 1, 0, ...texts),
    was: was.toSpliced(index + 1, 0, ...texts.map(() => null)),
  });
  const add = (index: number, texts: string[]) => putAndFocus(insert(index, texts), index + texts.length);
  const move = (index: number, by: number) => {
    const moved = <T,>(all: T[]) => all.toSpliced(index, 1).toSpliced(index + by, 0, all[index] as T);
    putAndFocus({ ...shown, values: moved(values), was: moved(was) }, index + by);
  };
  const remove = (index: number) =>
    putAndFocus(
      {
        values: values.toSpliced(index, 1),
        was: was.toSpliced(index, 1),
        retired: retired.filter((each) => each !== values[index]),
      },
      Math.max(0, index - 1),
    );
  const onKeyDown = (event: KeyboardEvent, index: number) => {
    if (event.ctrlKey || event.metaKey) return;
    if (event.key === "Enter") {
      event.preventDefault();
      add(index, [""]);
    } else if (event.key === "Backspace" && values[index] === "" && values.length > 1) {
      event.preventDefault();
      remove(index);
    } else if (event.altKey && event.key === "ArrowUp" && index > 0) move(index, -1);
    else if (event.altKey && event.key === "ArrowDown" && index < values.length - 1) move(index, 1);
  };
  return (
    <ol ref={rows} className="flex max-h-72 flex-col gap-1 overflow-auto">
      {values.map((value, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a row is its place while its text is being typed
        <li key={index} className="flex flex-wrap items-center gap-1">
          <input
            type="text"
            aria-label={t("choices.one", { n: index + 1 })}
            className={`input input-sm min-w-0 flex-1 ${retired.includes(value) ? "italic opacity-70" : ""}`}
            value={value}
            onChange={(event) => put(index, event.target.value)}
            onKeyDown={(event) => onKeyDown(event, index)}
            onPaste={(event) => {
              const lines = event.clipboardData.getData("text").split(/\r?\n/);
              if (lines.length < 2) return;
              event.preventDefault();
              const [first = "", ...others] = lines.map((line) => line.trim()).filter(Boolean);
              const more = insert(index, others);
              onChange({ ...more, values: more.values.with(index, value + first) });
            }}
          />
          <label className="flex items-center gap-1 text-xs">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={retired.includes(value)}
              disabled={value === ""}
              onChange={() =>
                onChange({
                  ...shown,
                  retired: retired.includes(value) ? retired.filter((each) => each !== value) : [...retired, value],
                })
              }
            />
            {t("choices.retired")}
          </label>
          <IconButton passed name={t("tidy.earlier")} disabled={index === 0} onClick={() => move(index, -1)}>
            <ArrowUp size={13} aria-hidden />
          </IconButton>
          <IconButton
            passed
            name={t("tidy.later")}
            disabled={index === values.length - 1}
            onClick={() => move(index, 1)}
          >
            <ArrowDown size={13} aria-hidden />
          </IconButton>
          {was.filter(Boolean).length > 1 && (
            <IconButton
              passed
              name={t("choices.merge")}
              disabled={!was[index]}
              onClick={() => setMerging(merging === index ? null : index)}
            >
              <Merge size={13} aria-hidden />
            </IconButton>
          )}
          <IconButton passed name={t("tidy.remove")} onClick={() => remove(index)}>
            <X size={13} aria-hidden />
          </IconButton>
          {merging === index && (
            <select
              aria-label={t("choices.mergeInto", { name: value })}
              className="select select-sm basis-full"
              value=""
              onChange={(event) => {
                put(index, event.target.value);
                setMerging(null);
              }}
            >
              <option value="">{t("choices.mergeInto", { name: value })}</option>
              {values
                .filter((each, at) => at !== index && each.trim() !== "")
                .map((each) => (
                  <option key={each}>{each}</option>
                ))}
            </select>
          )}
          <Renamed choices={shown} index={index} onUndo={(name) => put(index, name)} />
        </li>
      ))}
      <li>
        <button type="button" className="btn btn-ghost btn-xs" onClick={() => add(values.length - 1, [""])}>
          {t("choices.add")}
        </button>
      </li>
    </ol>
  );
}

/** What becomes of a choice that is called otherwise than it was. */
function Renamed({ choices, index, onUndo }: { choices: Choices; index: number; onUndo: (name: string) => void }) {
  const was = choices.was[index];
  const name = choices.values[index]?.trim();
  if (!was || !name || was === name) return null;
  const other = mergedWith(choices, index);
  return (
    <p className="basis-full text-accent-content text-xs">
      {other ? t("choices.becomes", { was, other }) : t("choices.wasCalled", { was })}{" "}
      <button type="button" className="link" onClick={() => onUndo(was)}>
        {t("choices.undo")}
      </button>
    </p>
  );
}
