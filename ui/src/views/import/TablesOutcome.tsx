import { Download } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { type ImportedTables, refusedOfTable } from "../../api/imports";
import { sentences, t } from "../../words";

type Told = ImportedTables["tables"][number];
type Props = {
  file: string;
  outcome: ImportedTables;
  /** What a field of one of the tables is called. */
  labelOf: (table: number, field: string) => string;
  /** Leaves a rule off that refuses rows, and adds texts to the choices of a field. */
  onLeaveOff: (table: number, field: string, kind: string) => void;
  onAddChoices: (table: number, field: string, texts: string[]) => void;
};

/** What became of each table of a file, or would: records, refused rows with why, and what to know. */
export function TablesOutcome({ file, outcome, ...fixes }: Props) {
  const saved = outcome.batch !== null;
  const sum = (of: "made" | "refused") => outcome.tables.reduce((all, each) => all + each[of], 0);
  return (
    <section className="sheet flex flex-col gap-3 p-4" aria-live="polite">
      <div>
        <p className="quiet text-xs">{saved ? t("imports.was") : t("imports.would")}</p>
        <p className="font-title text-xl" role="status">
          {sentences.imports.tried(sum("made"), 0, 0, sum("refused"))}
        </p>
        {saved && <p className="quiet text-xs">{t("imports.oneEntryEach")}</p>}
      </div>
      <ul className="divide-y divide-base-300/60 border-base-300 border-y text-[0.8125rem]">
        {outcome.tables.map((table) => (
          <li key={table.key} className="flex flex-col gap-1 py-1.5">
            <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
              <span className="min-w-40 flex-1 break-words font-semibold">
                {saved ? (
                  <Link className="link" to={`/t/${table.key}/records`}>
                    {table.label}
                  </Link>
                ) : (
                  table.label
                )}
              </span>
              <span className={table.refused > 0 ? "text-error" : "quiet"}>
                {sentences.imports.tried(table.made, 0, 0, table.refused)}
              </span>
              {table.refused > 0 && (
                <a className="btn btn-xs" href={refusedOfTable(file, table.number)} download>
                  <Download size={12} aria-hidden />
                  {t("imports.getRefused")}
                </a>
              )}
            </div>
            {table.notes.map((note) => (
              <p key={note} className="text-secondary text-xs">
                {note}
              </p>
            ))}
            {!saved && <Fixes told={table} {...fixes} />}
            {table.refusals.slice(0, 5).map((each) => (
              <p key={each.row} className="flex gap-3 text-xs">
                <span className="quiet w-16 shrink-0 tabular-nums">{t("imports.row", { n: each.row })}</span>
                <span className="w-32 shrink-0 truncate">{each.title}</span>
                <span className="min-w-0 text-error">{each.messages.join(" ")}</span>
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What can be done about rows that are refused, where they are right. */
function Fixes({ told, labelOf, onLeaveOff, onAddChoices }: { told: Told } & Omit<Props, "file" | "outcome">) {
  const [fixed, setFixed] = useState<string[]>([]);
  const fix = (name: string, label: string, how: () => void, spoken?: string) =>
    fixed.includes(name) ? (
      <span className="quiet ml-2">{t("imports.fixed")}</span>
    ) : (
      <button
        type="button"
        className="link ml-2"
        aria-label={spoken}
        onClick={() => {
          setFixed([...fixed, name]);
          how();
        }}
      >
        {label}
      </button>
    );
  return (
    <>
      {told.by_rule.map(({ field, kind, words, count }) => (
        <p key={`${field} ${kind}`} className="text-xs">
          {t("imports.refusedBy", { count, rule: words })}
          {fix(
            `${field} ${kind}`,
            t("imports.leaveOff"),
            () => onLeaveOff(told.number, field, kind),
            `${t("imports.leaveOff")}: ${words}`,
          )}
        </p>
      ))}
      {told.not_choices.map(({ field, texts }) => (
        <p key={field} className="text-xs">
          {t("imports.notChoices", { field: labelOf(told.number, field), texts: texts.join(", ") })}
          {fix(field, t("imports.addThese", { count: texts.length }), () => onAddChoices(told.number, field, texts))}
        </p>
      ))}
    </>
  );
}
