import type { Table } from "../../api/client";
import type { Report } from "../../api/records";
import { ChangedRecords } from "../../components/ChangedRecords";
import { sentences, t } from "../../words";

/** Lines shown of each kind. */
const SHOWN = 12;

/** What the rules make of many records: how many, which are refused and by what, and some of the others. */
export function ReportOf({ table, report, kind = "change" }: { table: Table; report: Report; kind?: string }) {
  const rule = (id: string | null) => table.rules.find((each) => each.id === id);
  return (
    <div className="flex flex-col gap-4">
      <p role="status">{sentences.bulk.would(kind, report.passing, report.unchanged, report.refused)}</p>
      {report.by_rule.length > 0 && (
        <section aria-label={t("bulk.refusedBy")}>
          <h3 className="mb-1 text-sm">{t("bulk.refusedBy")}</h3>
          <ul className="mb-2 flex flex-col gap-0.5">
            {report.by_rule.map((each) => (
              <li key={each.rule ?? ""} className="flex gap-3">
                <span className="w-14 shrink-0 text-right font-semibold text-error tabular-nums">
                  {each.count.toLocaleString("en")}
                </span>
                <span>{rule(each.rule)?.sentence ?? each.name ?? t("bulk.noRule")}</span>
              </li>
            ))}
          </ul>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so keys must reach it */}
          <ul tabIndex={0} className="max-h-44 overflow-auto rounded border border-base-300 text-[0.8125rem]">
            {report.refusals.slice(0, SHOWN).map((each) => (
              <li key={each.place} className="flex gap-3 border-base-300/60 border-b px-3 py-1 last:border-0">
                <span className="w-32 shrink-0 truncate" title={each.title}>
                  {each.title}
                </span>
                <span className="text-error">{each.refusals.map((refusal) => refusal.message).join(" ")}</span>
              </li>
            ))}
            {report.refused > SHOWN && (
              <li className="quiet px-3 py-1">
                {t("bulk.more", { n: report.refused - Math.min(SHOWN, report.refusals.length) })}
              </li>
            )}
          </ul>
        </section>
      )}
      {report.changes.some((each) => each.changes.length > 0) && (
        <section aria-label={t("bulk.what")}>
          <h3 className="mb-1 text-sm">{t("bulk.what")}</h3>
          <ChangedRecords report={report} most={SHOWN} />
        </section>
      )}
    </div>
  );
}
