import { Fragment } from "react";
import { useSecurityLog } from "../../api/security";
import { t } from "../../words";

/** Who came in, who was refused, and what happened to people, tokens and backups. */
export function SecurityLog() {
  const log = useSecurityLog();
  if (!log.data) return null;
  const events = log.data.pages.flat();
  return (
    <section aria-label={t("security.log")}>
      <h2 className="text-base">{t("security.log")}</h2>
      <p className="quiet mb-2 text-xs">{t("security.logAim")}</p>
      {events.length === 0 && <p className="quiet">{t("security.nothing")}</p>}
      <ul className="flex flex-col text-[0.8125rem]">
        {events.map((event, place) => (
          <Fragment key={event.id}>
            {event.day_text !== events[place - 1]?.day_text && (
              <li className="border-base-300/60 border-t pt-2.5 pb-1 font-semibold text-xs">{event.day_text}</li>
            )}
            <li className="flex items-baseline gap-x-3 py-0.5">
              <time className="quiet w-10 shrink-0 text-xs tabular-nums" dateTime={event.made_at}>
                {event.at_text}
              </time>
              <span className={`min-w-0 ${GRAVE.includes(event.kind) ? "text-error" : ""}`}>
                {event.person && <strong>{event.person} </strong>}
                {event.words}
              </span>
            </li>
          </Fragment>
        ))}
      </ul>
      {log.hasNextPage && (
        <button
          type="button"
          className="btn btn-ghost btn-sm mt-2"
          disabled={log.isFetchingNextPage}
          onClick={() => log.fetchNextPage()}
        >
          {t("security.older")}
        </button>
      )}
    </section>
  );
}

/** What a builder should look at. */
const GRAVE = ["sign_in_failed", "password_wrong", "locked_out", "refused"];
