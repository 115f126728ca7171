import { TriangleAlert } from "lucide-react";
import { t, word } from "../../words";
import { type Graph, neighbours } from "./graph";

type Props = { graph: Graph; all: Graph; onPick: (id: string) => void };

/** The picture's answer as a table: each rule in its order, with what it reads and what it sets. */
export function MapList({ graph, all, onPick }: Props) {
  const label = (id: string, table: string) => {
    const field = all.fields.find((each) => each.id === id);
    if (!field) return id;
    return field.table === table ? field.label : `${field.label} (${field.table_label})`;
  };
  const rules = [...graph.rules].sort((one, other) =>
    one.table === other.table ? one.place - other.place : one.table_label.localeCompare(other.table_label),
  );
  return (
    <div className="min-h-0 overflow-auto px-5 pb-8">
      <table className="sheet w-full border-collapse text-[0.8125rem]">
        <thead>
          <tr className="border-base-300 border-b text-left text-secondary text-xs uppercase tracking-wide">
            <th className="px-3 py-2">#</th>
            <th className="px-3 py-2">{t("map.rule")}</th>
            <th className="px-3 py-2">{t("map.reads")}</th>
            <th className="px-3 py-2">{t("map.sets")}</th>
          </tr>
        </thead>
        <tbody>
          {rules.map((rule) => {
            const near = neighbours(all, rule.id);
            return (
              <tr key={rule.id} className="border-base-300/70 border-b align-top">
                <td className="quiet whitespace-nowrap px-3 py-1.5 tabular-nums">
                  {rule.place} · {word(`map.stages.${rule.stage}`)}
                </td>
                <td className="px-3 py-1.5">
                  <button
                    type="button"
                    className="text-left underline-offset-2 hover:underline"
                    onClick={() => onPick(rule.id)}
                  >
                    {rule.sentence}
                  </button>
                  {rule.notices.map((notice) => (
                    <p key={notice.message} className="flex items-start gap-1 text-secondary text-xs">
                      <TriangleAlert size={12} className="mt-0.5 shrink-0" aria-hidden />
                      {notice.message}
                    </p>
                  ))}
                </td>
                <td className="px-3 py-1.5">{near.reads.map((id) => label(id, rule.table)).join(", ")}</td>
                <td className="px-3 py-1.5">
                  {[...near.sets, ...near.checks].map((id) => label(id, rule.table)).join(", ")}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
