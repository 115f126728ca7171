import type { Table } from "../../api/client";
import { useRenameTable, useSession } from "../../api/queries";
import { t } from "../../words";
import { weekdays } from "../../words/lists";

const EVERY = ["hour", "day", "week"] as const;

/** How often suggestions are looked for, and who is told when some wait. */
export function ReviewSchedule({ table }: { table: Table }) {
  const session = useSession().data;
  const change = useRenameTable();
  const review = table.review;
  const me = session?.person.id ?? 1;
  type Review = NonNullable<Table["review"]>;
  const put = (next: Review | null) => change.mutate({ table: table.key, review: next });
  return (
    <div className="mb-4 flex flex-wrap items-center gap-x-2 gap-y-1 text-[0.8125rem]">
      <span>{t("tidyReview.check")}</span>
      <select
        aria-label={t("tidyReview.howOften")}
        className="select select-xs w-32"
        value={review?.every ?? ""}
        onChange={(event) => {
          const every = EVERY.find((each) => each === event.target.value);
          put(every ? { hour: 9, weekday: 1, person: me, ...review, every } : null);
        }}
      >
        <option value="">{t("tidyReview.never")}</option>
        {EVERY.map((each) => (
          <option key={each} value={each}>
            {t(`tidyReview.every.${each}`)}
          </option>
        ))}
      </select>
      {review?.every === "week" && (
        <select
          aria-label={t("tidyReview.weekday")}
          className="select select-xs w-28"
          value={review.weekday ?? 1}
          onChange={(event) => put({ ...review, weekday: Number(event.target.value) })}
        >
          {weekdays().map((day, index) => (
            <option key={day} value={index + 1}>
              {day}
            </option>
          ))}
        </select>
      )}
      {review && review.every !== "hour" && (
        <select
          aria-label={t("tidyReview.hour")}
          className="select select-xs w-20"
          value={review.hour ?? 9}
          onChange={(event) => put({ ...review, hour: Number(event.target.value) })}
        >
          {[...Array(24).keys()].map((hour) => (
            <option key={hour} value={hour}>
              {`${String(hour).padStart(2, "0")}:00`}
            </option>
          ))}
        </select>
      )}
      {review && (
        <>
          <span>{t("tidyReview.tell")}</span>
          <select
            aria-label={t("tidyReview.whom")}
            className="select select-xs w-40"
            value={review.person}
            onChange={(event) => put({ ...review, person: Number(event.target.value) })}
          >
            {session?.people.map((person) => (
              <option key={person.id} value={person.id}>
                {person.name}
              </option>
            ))}
          </select>
          <span className="quiet">{t("tidyReview.ifAny")}</span>
        </>
      )}
    </div>
  );
}
