import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { CaseExample, RuleParts, Table } from "../../api/client";
import { suggestEdges } from "../../api/proofs";
import { queryKeys } from "../../api/queryKeys";
import { t } from "../../words";
import { cameOut } from "../bench/Edges";

type Props = { table: Table; parts: RuleParts; typed: CaseExample["typed"] };

/** Tries one case by the rule as it is being written, beside the editor, and says what comes of it. */
export function TriedCase({ table, parts, typed }: Props) {
  const [open, setOpen] = useState(false);
  const found = useQuery({
    queryKey: queryKeys.triedCase(table.key, parts, typed),
    queryFn: () => suggestEdges(table.key, { draft: parts, typed }),
    enabled: open,
    retry: false,
    gcTime: 10_000,
  });
  const came = found.data?.suggestions[0];
  return (
    <>
      <button type="button" className="link text-xs" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? t("edges.tryHide") : t("decision.tryIt")}
      </button>
      {open && (
        <div className="mt-0.5 mb-1 basis-full border-base-300 border-l-2 pl-2 text-xs" role="status">
          {found.isPending && t("common.loading")}
          {found.error && <p className="text-error">{found.error.message}</p>}
          {came && (
            <>
              {came.expects.length === 0 && <p>{t("edges.setsNothing")}</p>}
              {cameOut(came).length > 0 && <p>{t("edges.cameOut", { values: cameOut(came).join(" · ") })}</p>}
              {came.expects
                .filter((_, place) => came.expect[place]?.what === "refused")
                .map((each) => (
                  <p key={each} className="text-error">
                    {each}
                  </p>
                ))}
            </>
          )}
        </div>
      )}
    </>
  );
}
