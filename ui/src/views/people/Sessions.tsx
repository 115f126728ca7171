import { toast } from "sonner";
import { endOtherSessions, endSession, useSecurity, useSessions } from "../../api/security";
import { showDay } from "../../components/moments";
import { t } from "../../words";

/** Where one is signed in; for builders, where anybody is. */
export function Sessions({ everybody }: { everybody: boolean }) {
  const sessions = useSessions();
  const end = useSecurity(endSession);
  const others = useSecurity<void, unknown>(endOtherSessions);
  if (!sessions.data) return null;
  const person = sessions.data.find((each) => each.current)?.person.id;
  const shown = sessions.data.filter((each) => everybody || each.person.id === person);
  const more = sessions.data.some((each) => !each.current && each.person.id === person);
  return (
    <section aria-label={t("security.sessions")}>
      <div className="mb-1 flex flex-wrap items-baseline gap-3">
        <h2 className="flex-1 text-base">{t("security.sessions")}</h2>
        {more && (
          <button
            type="button"
            className="btn btn-ghost btn-xs"
            onClick={() => others.mutate(undefined, { onSuccess: () => toast(t("security.othersEnded")) })}
          >
            {t("security.endOthers")}
          </button>
        )}
      </div>
      <ul className="flex flex-col text-[0.8125rem]">
        {shown.map((each) => (
          <li key={each.id} className="flex items-baseline gap-x-4 border-base-300/60 border-t py-1.5">
            <span className="flex min-w-0 flex-1 flex-wrap items-baseline gap-x-4">
              {everybody && <span className="w-40 truncate font-semibold">{each.person.name}</span>}
              <span className="min-w-32 flex-1">{each.device}</span>
              <span className="quiet flex flex-wrap gap-x-4 text-xs">
                <span>{t("security.since", { day: showDay(each.made_at.slice(0, 10)) })}</span>
                <span>{t("security.used", { day: showDay(each.seen_at.slice(0, 10)) })}</span>
              </span>
            </span>
            {each.current ? (
              <span className="w-9 text-right text-secondary text-xs">{t("security.here")}</span>
            ) : (
              <button
                type="button"
                className="link w-9 text-right text-error text-xs"
                aria-label={t("security.endOf", { name: each.person.name, device: each.device })}
                onClick={() => end.mutate(each.id, { onSuccess: () => toast(t("security.ended")) })}
              >
                {t("security.end")}
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
