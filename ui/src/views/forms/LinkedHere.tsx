import { useQueries } from "@tanstack/react-query";
import { Link } from "react-router";
import { countMatching, useNames } from "../../api/queries";
import { queryKeys } from "../../api/queryKeys";
import { t } from "../../words";

/** The records of other tables that link to this one, counted, each kind a step away. */
export function LinkedHere({ table, id }: { table: string; id: number }) {
  const linked = useNames().data?.find((each) => each.key === table)?.linked ?? [];
  const counts = useQueries({
    queries: linked.map((each) => {
      const filter = `${each.link}.id = ${id}`;
      return { queryKey: queryKeys.recordCount(each.table, filter), queryFn: () => countMatching(each.table, filter) };
    }),
  });
  if (linked.length === 0) return null;
  return (
    <nav aria-label={t("form.linkedHere")} className="mb-3 flex flex-wrap gap-x-4 gap-y-1 text-[0.8125rem]">
      {linked.map((each, index) => (
        <Link
          key={`${each.table}-${each.link}`}
          to={`/t/${each.table}/records?filter=${encodeURIComponent(`${each.link}.id = ${id}`)}`}
          className="underline-offset-2 hover:underline"
        >
          {each.label} <span className="quiet tabular-nums">{counts[index]?.data ?? "…"}</span>
        </Link>
      ))}
    </nav>
  );
}
