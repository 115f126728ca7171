import { useQuery } from "@tanstack/react-query";
import { Bell } from "lucide-react";
import { Link } from "react-router";
import { api, data } from "../api/client";
import { queryKeys } from "../api/queryKeys";
import { t } from "../words";

/** Milliseconds between two looks. */
const PACE = 60_000;

/** How many notices wait for somebody, on the way to them; nothing where there are none. */
export function NoticesWaiting({ person }: { person: string }) {
  const notices = useQuery({
    queryKey: queryKeys.outbox(),
    queryFn: () => data(api.GET("/api/outbox")),
    refetchInterval: PACE,
    retry: false,
  });
  const count = notices.data?.filter((notice) => !notice.read && notice.to === person).length ?? 0;
  if (count === 0) return null;
  return (
    <Link
      to="/outbox"
      title={t("outbox.waiting", { count })}
      aria-label={t("outbox.waiting", { count })}
      className="flex items-center gap-1 rounded-full bg-accent px-2 py-0.5 font-semibold text-accent-content
        text-xs tabular-nums"
    >
      <Bell size={12} aria-hidden />
      {count}
    </Link>
  );
}
