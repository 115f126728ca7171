import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Act, RuleParts, Table } from "../../api/client";
import { suggestEdges } from "../../api/proofs";
import { queryKeys } from "../../api/queryKeys";
import { useDebounced } from "../../components/useDebounced";
import { sentences, t } from "../../words";
import { cameOut } from "../bench/Edges";

type Props = { table: Table; parts: RuleParts; sound: boolean };

/** What is typed into the rule's own fields, the last time. */
function typedIn(table: Table, acts: Act[], keys: string[]): string[] {
  return [...new Set(keys)].flatMap((key) => {
    const values = acts.flatMap((act) => (act.values && key in act.values ? [act.values[key]] : []));
    const label = table.fields.find((field) => field.key === key)?.label ?? key;
    return values.length > 0 ? [sentences.edges.typed(label, values.at(-1))] : [];
  });
}

/** Milliseconds of calm after which a changed rule is tried again. */
const CALM = 600;

/** Tries the rule as it is being written on records at its edges, beside the editor; nothing is kept. */
export function TryRule({ table, parts, sound }: Props) {
  const [open, setOpen] = useState(false);
  const text = JSON.stringify(parts);
  const calm = useDebounced(text, CALM);
  const found = useQuery({
    queryKey: queryKeys.triedRule(table.key, calm),
    queryFn: () => suggestEdges(table.key, { draft: JSON.parse(calm) }),
    enabled: open && sound && calm === text,
    placeholderData: (before: Awaited<ReturnType<typeof suggestEdges>> | undefined) => before,
    retry: false,
    gcTime: 10_000,
  });
  const own = [parts.field, ...(parts.sets ?? []).map((set) => set.field), ...(parts.outputs ?? [])];
  const stale = !sound || calm !== text || found.isFetching;
  return (
    <section className="mb-4 border-base-300 border-b pb-3" aria-label={t("edges.tryRule")} aria-busy={open && stale}>
      <div className="flex flex-wrap items-center gap-2">
        <h3 className="flex-1 text-base">{t("edges.tryRule")}</h3>
        <button type="button" className="btn btn-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? t("edges.tryHide") : t("edges.tryShow")}
        </button>
      </div>
      <p className="quiet text-xs">{t("edges.tryAim")}</p>
      {open && !sound && <p className="mt-1 text-secondary">{t("rulePanel.stale")}</p>}
      {open && found.error && <p className="mt-1 text-error">{found.error.message}</p>}
      {open && found.isPending && sound && <p className="quiet mt-1">{t("common.loading")}</p>}
      {open && found.data && (
        <ul className={`mt-1 max-h-80 divide-y divide-base-300/70 overflow-auto ${stale ? "opacity-60" : ""}`}>
          {found.data.suggestions.length === 0 && <li className="py-1">{t("edges.tryNone")}</li>}
          {found.data.suggestions.map((each) => (
            <li key={each.words.join()} className="py-1.5">
              <p className="break-words">{each.words[0]}</p>
              <p className={`text-xs ${each.state === "refused" ? "text-error" : "text-primary"}`}>
                {each.state === "refused" ? sentences.edges.refused(each.messages) : t("edges.saved")}
              </p>
              {(cameOut(each, own).length > 0 ? [] : typedIn(table, each.script.acts ?? [], own)).map((typed) => (
                <p key={typed} className="quiet break-words text-xs">
                  {typed}
                </p>
              ))}
              {cameOut(each, own).length > 0 && (
                <p className="quiet break-words text-xs">
                  {t("edges.cameOut", { values: cameOut(each, own).join(" · ") })}
                </p>
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
