import type { Report } from "../api/records";
import { t } from "../words";

/** Some of the records that rules let through, each with what became of its fields: stitched where a rule wrote it. */
export function ChangedRecords({ report, most }: { report: Report; most: number }) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, so keys must reach it
    <ul tabIndex={0} className="max-h-52 overflow-auto rounded border border-base-300 text-[0.8125rem]">
      {report.changes.slice(0, most).map((each, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the list never changes its order
        <li key={index} className="flex gap-3 border-base-300/60 border-b px-3 py-1 last:border-0">
          <span className="w-32 shrink-0 truncate" title={each.title}>
            {each.title}
          </span>
          <span className="min-w-0">
            {each.changes.map((change) => (
              <span key={change.field} className="mr-3 inline-block">
                <span className="quiet">{change.label}</span>{" "}
                {change.before && <s className="quiet">{change.before}</s>}{" "}
                <span className={change.rule ? "stitched" : ""}>{change.after || t("history.blank")}</span>
              </span>
            ))}
          </span>
        </li>
      ))}
      {report.passing > most && <li className="quiet px-3 py-1">{t("bulk.more", { n: report.passing - most })}</li>}
    </ul>
  );
}
