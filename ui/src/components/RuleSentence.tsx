import type { Rule } from "../api/client";
import { t } from "../words";

type Props = { rule: Pick<Rule, "sentence" | "cases">; className?: string };

/**
 * A rule in words, line by line where it has many conditions; what a chain of ifs gives stands in rows, since such a
 * sentence has to be read twice.
 */
export function RuleSentence({ rule, className = "" }: Props) {
  if (!rule.cases) return <p className={`whitespace-pre-line ${className}`}>{rule.sentence}</p>;
  return (
    <div className={`flex flex-col gap-2 ${className}`}>
      <p>{rule.cases.lead}</p>
      {rule.cases.fields.map(({ field, rows }) => (
        <table key={field} className="w-full border-collapse text-[0.8125rem]" aria-label={field}>
          <thead>
            <tr className="text-left text-xs">
              <th className="py-1 pr-3 font-semibold">{t("cases.condition")}</th>
              <th className="border-secondary border-l py-1 pl-3 font-semibold">{field}</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.when} className="border-base-300 border-t align-top">
                <td className="py-1 pr-3">{row.when ?? t("cases.else")}</td>
                <td className="border-secondary border-l py-1 pl-3">{row.then}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}
