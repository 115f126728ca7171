import { useState } from "react";
import { sentences, t } from "../../words";

type Props = { column: string; choices: string[] | null; onChange: (choices: string[]) => void };

/** Choices shown in a row. */
const SHOWN = 2;

/** The choices of a field that is yet to be made: the first of them, and all of them to be edited, one a line. */
export function Choices({ column, choices, onChange }: Props) {
  const [typed, setTyped] = useState<string | null>(null);
  const all = choices ?? [];
  // Choices that were added elsewhere meanwhile stand among them.
  const text = typed !== null && lines(typed).join("\n") === all.join("\n") ? typed : all.join("\n");
  if (typed === null) {
    return (
      <p className="mt-1 flex items-baseline gap-2 text-xs">
        <span className="quiet max-w-44 truncate" title={all.join(", ")}>
          {all.length === 0 ? t("imports.noChoices") : sentences.imports.choices(all, SHOWN)}
        </span>
        <button
          type="button"
          className="link"
          aria-label={t("imports.editChoicesOf", { column })}
          onClick={() => setTyped(all.join("\n"))}
        >
          {t("imports.editChoices")}
        </button>
      </p>
    );
  }
  // It closes only when asked to: whatever is clicked next stays where it is.
  const close = () => setTyped(null);
  return (
    <div className="mt-1 flex flex-col items-start gap-1">
      <textarea
        // biome-ignore lint/a11y/noAutofocus: it opens where somebody asked for it
        autoFocus
        className="textarea textarea-sm w-44 leading-snug"
        rows={Math.min(Math.max(all.length + 1, 3), 8)}
        aria-label={t("imports.choicesOf", { column })}
        value={text}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(lines(event.target.value));
        }}
        onKeyDown={(event) => event.key === "Escape" && close()}
      />
      <p className="flex gap-2 text-xs">
        <span className="quiet">{t("imports.oneALine")}</span>
        <button type="button" className="link" onClick={close}>
          {t("imports.doneChoices")}
        </button>
      </p>
    </div>
  );
}

/** What stands in the lines, each once. */
const lines = (text: string) => [
  ...new Set(
    text
      .split("\n")
      .map((line) => line.trim())
      .filter(Boolean),
  ),
];
