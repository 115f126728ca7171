import { TriangleAlert } from "lucide-react";
import type { RuleNotice, RuleParts, Table } from "../../api/client";
import { t } from "../../words";
import { TriedCase } from "./TriedCase";

type Props = { table: Table; parts: RuleParts; notices: RuleNotice[] };

/** Gaps, overlaps and the like that the rule is about, each with cases that are tried by it as it is being written. */
export function Notices({ table, parts, notices }: Props) {
  if (notices.length === 0) return null;
  const tried = (typed: RuleNotice["examples"][number]["values"]) =>
    Object.keys(typed).length > 0 && <TriedCase table={table} parts={parts} typed={typed} />;
  return (
    <ul className="mb-2 flex flex-col gap-1.5" aria-label={t("notices.title")}>
      {notices.map((notice) => (
        <li key={notice.message} className="rounded border border-secondary border-dashed px-2.5 py-1.5">
          <div className="flex flex-wrap items-start gap-x-1.5 text-secondary">
            <TriangleAlert size={14} className="mt-0.5 shrink-0" aria-hidden />
            <span className="min-w-0 flex-1 basis-64">{notice.message}</span>
            {notice.examples[0] && tried(notice.examples[0].values)}
          </div>
          {notice.examples.length > 1 && (
            <details className="quiet mt-1 text-xs">
              <summary className="cursor-pointer">{t("notices.more")}</summary>
              <ul className="mt-1 list-disc pl-5">
                {notice.examples.slice(1).map((example) => (
                  <li key={example.words.join()}>
                    <span className="flex flex-wrap items-baseline gap-x-2">
                      {example.words.join(", ")} {tried(example.values)}
                    </span>
                  </li>
                ))}
              </ul>
            </details>
          )}
        </li>
      ))}
    </ul>
  );
}
