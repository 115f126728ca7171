import type { Look, Options } from "../../api/imports";
import { sentences, t, word } from "../../words";

type Props = { look: Look; onOptions: (options: Options) => void; onAnother: () => void };

/** Rows from which on there are about so many. */
const MANY = 5_000;

/** What a file is, as it was read, with what can be read otherwise. */
export function FileNotes({ look, onOptions, onAnother }: Props) {
  const facts = [
    sentences.imports.told(look.format, look.rows, look.rows >= MANY),
    look.encoding && t("imports.encoding", { name: look.encoding }),
    look.delimiter && word(`imports.divided.${look.delimiter}`),
  ].filter(Boolean);
  return (
    <section className="sheet px-4 py-3" aria-label={look.name}>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <h2 className="min-w-0 truncate text-base">{look.name}</h2>
        <span className="quiet text-xs">{facts.join(", ")}</span>
        {look.sheets.length > 1 && (
          <label className="flex items-center gap-2 text-xs">
            {t("imports.sheet")}
            <select
              className="select select-xs w-40"
              value={look.sheet ?? ""}
              onChange={(event) => onOptions({ sheet: event.target.value })}
            >
              {look.sheets.map((sheet) => (
                <option key={sheet}>{sheet}</option>
              ))}
            </select>
          </label>
        )}
        <span className="flex-1" />
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
    </section>
  );
}
