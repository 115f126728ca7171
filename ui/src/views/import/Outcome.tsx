import { Download } from "lucide-react";
import type { Table } from "../../api/client";
import type { Imported } from "../../api/imports";
import { useTables } from "../../api/queries";
import { ChangedRecords } from "../../components/ChangedRecords";
import { sentences, t } from "../../words";
import { NewChoices } from "../board/NewChoices";
import { LeaveOff } from "./LeaveOff";

type Props = {
  table: Table;
  found: Imported;
  saved: boolean;
  refusedPath: string;
  /** What to do when a rule or a list of choices was changed; null for whoever may change none. */
  onFixed: (() => void) | null;
};

/** Lines shown of each kind. */
const SHOWN = 30;

/** What the rules make of a file: how many rows of each kind, which are refused and why, and some of the others. */
export function Outcome({ table, found, saved, refusedPath, onFixed }: Props) {
  const { report } = found;
  // A rule of a table that is in use is more than one import's affair.
  const unused = useTables().data?.find((each) => each.key === table.key)?.records === 0;
  const labelOf = (key: string) => table.fields.find((field) => field.key === key)?.label ?? key;
  const sentence = (id: string | null) =>
    table.rules.find((each) => each.id === id)?.sentence ?? t("imports.unreadable");
  return (
    <section className="sheet flex flex-col gap-4 p-4" aria-live="polite">
      <div>
        <p className="quiet text-xs">{saved ? t("imports.was") : t("imports.would")}</p>
        <p className="font-title text-xl" role="status">
          {sentences.imports.tried(found.made, found.changed, report.unchanged, report.refused)}
        </p>
      </div>
      {report.refused > 0 && (
        <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
          <div>
            <h3 className="mb-1 text-sm">{t("imports.byRule")}</h3>
            <ul className="flex flex-col gap-1">
              {report.by_rule.map((each) => (
                <li key={each.rule ?? ""} className="flex gap-3">
                  <span className="w-12 shrink-0 text-right font-semibold text-error tabular-nums">
                    {each.count.toLocaleString("en")}
                  </span>
                  <span className="min-w-0">
                    {sentence(each.rule)}
                    {onFixed && unused && each.rule && (
                      <LeaveOff table={table.key} rule={each.rule} words={sentence(each.rule)} onDone={onFixed} />
                    )}
                  </span>
                </li>
              ))}
            </ul>
            {onFixed && (
              <div className="mt-3 flex flex-col gap-2 text-[0.8125rem]">
                {table.fields.map((field) => {
                  const texts = report.not_choices.find((each) => each.field === field.key)?.texts ?? [];
                  if (texts.length === 0) return null;
                  return <NewChoices key={field.key} table={table.key} field={field} texts={texts} onAdded={onFixed} />;
                })}
              </div>
            )}
            <a className="btn btn-sm mt-3" href={refusedPath} download>
              <Download size={14} aria-hidden />
              {t("imports.getRefused")}
            </a>
            <p className="quiet mt-1 text-xs">{t("imports.mend")}</p>
          </div>
          <div className="min-w-0">
            <h3 className="mb-1 text-sm">{t("imports.rows")}</h3>
            {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so keys must reach it */}
            <ul tabIndex={0} className="max-h-64 overflow-auto rounded border border-base-300 text-[0.8125rem]">
              {report.refusals.slice(0, SHOWN).map((each) => (
                <li key={each.place} className="flex gap-3 border-base-300/60 border-b px-3 py-1 last:border-0">
                  <span className="quiet w-16 shrink-0 tabular-nums">{t("imports.row", { n: each.place })}</span>
                  <span className="w-32 shrink-0 truncate" title={each.title}>
                    {each.title}
                  </span>
                  <span className="min-w-0 text-error">
                    {each.refusals.map((refusal) => (
                      <span key={`${refusal.field}${refusal.message}`} className="block">
                        {refusal.field && !refusal.message.startsWith(labelOf(refusal.field)) && (
                          <span className="quiet mr-1">{labelOf(refusal.field)}:</span>
                        )}
                        {refusal.message}
                      </span>
                    ))}
                  </span>
                </li>
              ))}
              {report.refused > SHOWN && (
                <li className="quiet px-3 py-1">{t("bulk.more", { n: report.refused - SHOWN })}</li>
              )}
            </ul>
          </div>
        </div>
      )}
      {!saved && report.changes.some((each) => each.changes.length > 0) && (
        <div>
          <h3 className="mb-1 text-sm">{t("imports.samples", { count: report.refused })}</h3>
          <ChangedRecords report={report} most={SHOWN} />
        </div>
      )}
    </section>
  );
}
