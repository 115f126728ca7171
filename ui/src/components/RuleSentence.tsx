import type { Rule } from "../api/client";
import { t } from "../words";

type Props = { rule: Pick<Rule, "sentence" | "cases">; className?: string };

/**
 * A rule in words, line by line where it has many conditions; where a chain of ifs sets a field, as rows, since such a
 * sentence has to be read twice.
 */
export function RuleSentence({ rule, className = "" }: Props) {
  if (rule.cases.length === 0) return <p className={`whitespace-pre-line ${className}`}>{rule.sentence}</p>;
  return (
    <div className={`flex flex-col gap-2 ${className}`}>
      {rule.cases.map(({ field, rows }) => (
        <table key={field} className="w-full border-collapse text-[0.8125rem]">
          <caption className="pb-1 text-left">{t("cases.lead", { field })}</caption>
          <tbody>
            {rows.map((row) => (
              <tr key={row.when} className="border-base-300 border-t align-top">
                <td className="py-1 pr-3">{row.when ? t("cases.when", { condition: row.when }) : t("cases.else")}</td>
                <td className="border-secondary border-l py-1 pl-3">{row.then}</td>
              </tr>
            ))}
          </tbody>
        </table>
      ))}
    </div>
  );
}
