import { useQuery } from "@tanstack/react-query";
import { api, data } from "../api/client";
import { useJob } from "../api/jobs";
import { queryKeys } from "../api/queryKeys";
import { useWaiting } from "../api/waiting";
import { sentences, t } from "../words";

/** Milliseconds between two looks at what is waited for. */
const PACE = 1_000;

/** What somebody waits for whose save or change has not been answered for a second. */
export function Waiting() {
  const waiting = useWaiting();
  const own = useJob();
  const work = useQuery({
    queryKey: queryKeys.work(),
    queryFn: () => data(api.GET("/api/work")),
    enabled: waiting && !own,
    refetchInterval: PACE,
    gcTime: 0,
    retry: false,
  });
  if (!waiting || own) return null;
  const first = work.data?.work[0];
  return (
    <section
      role="status"
      className="sheet -translate-x-1/2 fixed left-1/2 z-50 w-96 max-w-[calc(100vw-2rem)] p-4 shadow-xl print:hidden"
      style={{ bottom: "calc(var(--save-bar, 0px) + 16px)" }}
    >
      <p className="break-words font-semibold">
        {first ? t("waiting.for", { what: first.words }) : t("waiting.server")}
      </p>
      {first && (
        <>
          <progress className="progress progress-primary mt-2 w-full" value={first.percent ?? undefined} max={100} />
          <p className="quiet mt-1 tabular-nums">
            {[
              first.percent !== null && t("waiting.percent", { percent: first.percent }),
              first.seconds !== null && sentences.job.left(first.seconds),
            ]
              .filter(Boolean)
              .join(", ")}
          </p>
        </>
      )}
      <p className="quiet mt-2 text-xs">{t("waiting.kept")}</p>
    </section>
  );
}
