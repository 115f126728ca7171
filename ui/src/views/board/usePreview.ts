import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import type { RuleParts } from "../../api/client";
import { previewRule } from "../../api/queries";

/** Milliseconds without a keystroke after which the rule is looked at. */
const PAUSE = 180;

/** What the rule as it stands would do; asked again shortly after each change. */
export function usePreview(table: string, parts: RuleParts, lookAt: number | null, all: boolean) {
  const [settled, setSettled] = useState(parts);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(parts), PAUSE);
    return () => clearTimeout(timer);
  }, [parts]);

  const { name: _name, note: _note, ...what } = settled;
  const begun =
    what.kind === "required" ||
    (what.kind === "check" || what.kind === "calculation"
      ? what.formula !== ""
      : what.value !== null || (what.formula ?? "") !== "");
  const query = useQuery({
    queryKey: ["preview", table, what, lookAt, all],
    queryFn: ({ signal }) => previewRule(table, { ...what, look_at: lookAt, all }, signal),
    placeholderData: keepPreviousData,
    enabled: begun,
    gcTime: 0,
  });
  return begun ? query : { data: undefined, isFetching: false };
}
