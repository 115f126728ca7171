import { type ClipboardEvent, type MouseEvent, useRef, useState } from "react";
import type { RuleParts } from "../../../api/client";
import { sentences, t } from "../../../words";
import { readBlock } from "../../records/clipboard";
import { belongings } from "./belongings";
import type { PartsProps } from "./shared";

type Place = { row: number; column: number };

/** For each value of the parent the choices that belong to it: ticked, a range at a time, or pasted as two columns. */
export function NarrowMap({ table, parts, change }: Pick<PartsProps, "table" | "parts" | "change">) {
  const parent = table.fields.find((each) => each.key === parts.by);
  const field = table.fields.find((each) => each.key === parts.field);
  const map: NonNullable<RuleParts["map"]> = parts.map ?? {};
  const [note, setNote] = useState<string | null>(null);
  const last = useRef<Place | null>(null);
  const values = parent?.choices ?? [];
  const choices = field?.choices ?? [];
  const chosenOf = (value: string) => map[value] ?? choices;

  /** Sets all places between two of them alike. */
  const put = (from: Place, to: Place, on: boolean) => {
    const rows = values.slice(Math.min(from.row, to.row), Math.max(from.row, to.row) + 1);
    const columns = choices.slice(Math.min(from.column, to.column), Math.max(from.column, to.column) + 1);
    const changed = rows.map((value) => [
      value,
      choices.filter((each) => (columns.includes(each) ? on : chosenOf(value).includes(each))),
    ]);
    change({ map: { ...map, ...Object.fromEntries(changed) } });
  };
  const onTick = (event: MouseEvent, row: number, column: number) => {
    const value = values[row];
    const choice = choices[column];
    if (value === undefined || choice === undefined) return;
    const on = !chosenOf(value).includes(choice);
    put(event.shiftKey && last.current ? last.current : { row, column }, { row, column }, on);
    last.current = { row, column };
  };
  const onPaste = (event: ClipboardEvent) => {
    const found = belongings(readBlock(event.clipboardData.getData("text/plain")), values, choices);
    if (!found) return;
    event.preventDefault();
    change({ map: { ...map, ...found.map } });
    setNote(
      found.unknown.length > 0
        ? sentences.narrow.pastedUnknown(found.pairs, found.unknown)
        : sentences.narrow.pasted(found.pairs, Object.keys(found.map).length),
    );
  };

  return (
    <>
      <label className="flex items-center gap-2 font-semibold">
        {t("narrow.dependsOn")}
        <select
          className="select select-sm w-48 font-normal"
          value={parts.by ?? ""}
          onChange={(event) => change({ by: event.target.value, map: {} })}
        >
          {table.fields
            .filter((each) => each.editor === "choice" && each.key !== parts.field)
            .map((each) => (
              <option key={each.key} value={each.key}>
                {each.label}
              </option>
            ))}
        </select>
      </label>
      <p className="quiet text-xs">
        {t("narrow.pasteHint", { parent: parent?.label ?? "", field: field?.label ?? "" })}
      </p>
      <section
        aria-label={t("narrow.list")}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: two columns are pasted here, which needs the cursor
        tabIndex={0}
        onPaste={onPaste}
        className="max-h-96 shrink-0 overflow-auto rounded border border-base-300"
      >
        <table className="table-sm table">
          <thead>
            <tr>
              <th>{parent?.label}</th>
              {choices.map((choice) => (
                <th key={choice} className="text-center">
                  {choice}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {values.map((value, row) => (
              <tr key={value}>
                <th>
                  <button
                    type="button"
                    className="text-left underline-offset-2 hover:underline"
                    title={t("narrow.wholeRow")}
                    onClick={() =>
                      put(
                        { row, column: 0 },
                        { row, column: choices.length - 1 },
                        chosenOf(value).length < choices.length,
                      )
                    }
                  >
                    {value}
                  </button>
                </th>
                {choices.map((choice, column) => (
                  <td key={choice} className="text-center">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      aria-label={`${value}: ${choice}`}
                      checked={chosenOf(value).includes(choice)}
                      onClick={(event) => onTick(event, row, column)}
                      onChange={() => undefined}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      {note && (
        <p className="text-xs" role="status">
          {note}
        </p>
      )}
    </>
  );
}
