import { useState } from "react";
import type { Look, Options } from "../../api/imports";
import { group, sentences, t } from "../../words";

type Props = { look: Look; onOptions: (options: Options) => void; onAnother: () => void };

const ENCODINGS: Options["encoding"][] = [
  "UTF-8",
  "Windows-1252",
  "Windows-1250",
  "ISO-8859-1",
  "ISO-8859-2",
  "ISO-8859-15",
  "macRoman",
  "Shift_JIS",
  "UTF-16LE",
  "UTF-16BE",
];
/** Rows among which a heading is looked for by hand. */
const HEADINGS = 20;

/** What a file is, as it was read, with what can be read otherwise and its first rows. */
export function FileNotes({ look, onOptions, onAnother }: Props) {
  const [open, setOpen] = useState(false);
  const facts = [sentences.imports.told(look.format, look.rows, !look.whole), look.encoding].filter(Boolean);
  const readOtherwise = look.encoding !== null || look.sheets.length > 0;
  return (
    <section className="sheet px-4 py-3" aria-label={look.name}>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <h2 className="min-w-0 truncate text-base">{look.name}</h2>
        <span className="quiet text-xs">{facts.join(", ")}</span>
        <span className="flex-1" />
        {readOtherwise && (
          <button type="button" className="link text-xs" aria-expanded={open} onClick={() => setOpen(!open)}>
            {t("imports.reading")}
          </button>
        )}
        <button type="button" className="link text-xs" onClick={onAnother}>
          {t("imports.another")}
        </button>
      </div>
      {look.notes.length > 0 && (
        <ul className="mt-2 flex flex-col gap-1 text-secondary text-xs">
          {look.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
      {open && <Reading look={look} onOptions={onOptions} />}
    </section>
  );
}

/** The ways in which a file can be read, and what its first rows come to. */
function Reading({ look, onOptions }: Pick<Props, "look" | "onOptions">) {
  const rows = Array.from({ length: HEADINGS }, (_, index) => String(index + 1));
  const heading = look.heading === 0 ? "none" : String(look.heading);
  return (
    <div className="mt-3 flex flex-col gap-3 border-base-300/60 border-t pt-3">
      <div className="flex flex-wrap gap-x-5 gap-y-2 text-xs">
        {look.sheets.length > 1 && (
          <Choice
            label={t("imports.sheet")}
            value={look.sheet ?? ""}
            options={look.sheets.map((name) => [name, name])}
            onChange={(sheet) => onOptions({ sheet })}
          />
        )}
        <Choice
          label={t("imports.heading")}
          value={heading}
          options={[
            ["none", t("imports.noHeading")],
            ...[...new Set([...rows, heading])]
              .filter((row) => row !== "none")
              .map((row): [string, string] => [row, t("imports.headingRow", { row })]),
          ]}
          onChange={(row) => onOptions({ heading: row })}
        />
        {look.delimiter !== null && (
          <Choice
            label={t("imports.delimiter")}
            value={look.delimiter}
            options={group("imports.divided")}
            onChange={(sign) => onOptions({ delimiter: sign as NonNullable<Options["delimiter"]> })}
          />
        )}
        {look.encoding !== null && (
          <Choice
            label={t("imports.encodingOf")}
            value={look.encoding}
            options={ENCODINGS.map((name) => [name as string, name as string])}
            onChange={(name) => onOptions({ encoding: name as NonNullable<Options["encoding"]> })}
          />
        )}
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so keys must reach it */}
      <div className="max-h-64 overflow-auto rounded border border-base-300" tabIndex={0}>
        <table className="w-full text-xs" aria-label={t("imports.firstRows")}>
          <thead>
            <tr className="border-base-300 border-b text-left text-secondary">
              <th className="px-2 py-1 font-semibold">{t("imports.rowNumber")}</th>
              {look.columns.map(({ column }) => (
                <th key={column} className="max-w-48 truncate px-2 py-1 font-semibold" title={column}>
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {look.first_rows.map(({ row, cells }) => (
              <tr key={row} className="border-base-300/60 border-b last:border-0">
                <td className="quiet px-2 py-1">{row}</td>
                {cells.map((cell, index) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: cells never change their order
                  <td key={index} className="max-w-48 truncate px-2 py-1" title={cell}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}

type ChoiceProps = { label: string; value: string; options: [string, string][]; onChange: (value: string) => void };

function Choice({ label, value, options, onChange }: ChoiceProps) {
  return (
    <label className="flex items-center gap-2">
      {label}
      <select className="select select-xs w-44" value={value} onChange={(event) => onChange(event.target.value)}>
        {options.map(([key, name]) => (
          <option key={key} value={key}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
