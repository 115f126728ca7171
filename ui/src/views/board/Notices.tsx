import { TriangleAlert } from "lucide-react";
import { Link } from "react-router";
import type { RuleNotice, Table } from "../../api/client";
import { trialOf } from "../../app/trialOf";
import { words } from "../../words";

/** Gaps, overlaps and the like that the rule is about, each with cases to try. */
export function Notices({ table, notices }: { table: Table; notices: RuleNotice[] }) {
  if (notices.length === 0) return null;
  return (
    <ul className="mb-2 flex flex-col gap-1.5" aria-label={words.notices.title}>
      {notices.map((notice) => (
        <li key={notice.message} className="rounded border border-secondary border-dashed px-2.5 py-1.5">
          <p className="flex items-start gap-1.5 text-secondary">
            <TriangleAlert size={14} className="mt-0.5 shrink-0" aria-hidden />
            <span className="min-w-0">
              {notice.message}{" "}
              {notice.examples[0] && Object.keys(notice.examples[0].values).length > 0 && (
                <Link className="link whitespace-nowrap" to={trialOf(table.key, notice.examples[0].values)}>
                  {words.notices.tryIt}
                </Link>
              )}
            </span>
          </p>
          {notice.examples.length > 1 && (
            <details className="quiet mt-1 text-xs">
              <summary className="cursor-pointer">{words.notices.more}</summary>
              <ul className="mt-1 list-disc pl-5">
                {notice.examples.slice(1).map((example) => (
                  <li key={example.words.join()}>{example.words.join(", ")}</li>
                ))}
              </ul>
            </details>
          )}
        </li>
      ))}
    </ul>
  );
}
