import type { Revision } from "../../api/client";
import { useForesight } from "../../api/history";
import { Confirm } from "../../components/Confirm";
import { Loading } from "../../components/Loading";
import { t } from "../../words";

type Props = { revision: Revision; onConfirm: () => void; onClose: () => void };

/** Parts of the design that are named before the rest is only counted. */
const MOST = 12;

/** Asks before an earlier design is put back, and says what would be lost and what would be different. */
export function PutBack({ revision, onConfirm, onClose }: Props) {
  const found = useForesight(revision.id);
  return (
    <Confirm
      title={t("history.putBackAsk", { day: `${revision.day_text}, ${revision.at_text}` })}
      action={t("history.putBackDo")}
      onConfirm={onConfirm}
      onClose={onClose}
    >
      {!found.data && (found.error ? <p className="text-error">{found.error.message}</p> : <Loading />)}
      {found.data && (
        <>
          {found.data.losses.length === 0 ? (
            <p className="text-success">{t("history.putBackNothing")}</p>
          ) : (
            <div className="rounded border border-error bg-[var(--tint-refused)] px-3 py-2">
              <p className="font-semibold text-error">{t("history.putBackLost")}</p>
              <ul>
                {found.data.losses.map((each) => (
                  <li key={each.place}>
                    {each.what === "records"
                      ? t("history.putBackRecords", { place: each.place, count: each.count })
                      : t("history.putBackValues", { place: each.place, count: each.count })}
                  </li>
                ))}
              </ul>
            </div>
          )}
          <p>{t("history.putBackDifferent", { count: found.data.differences.length })}</p>
          <ul className="quiet max-h-56 list-disc overflow-auto pl-5 text-[0.8125rem]">
            {found.data.differences.slice(0, MOST).map((each) => (
              <li key={`${each.what}-${each.id}`}>
                {t(`history.what.${each.what}`)} {each.place},{" "}
                {each.before === null
                  ? t("history.added")
                  : each.after === null
                    ? t("history.removed")
                    : t("history.changed")}
              </li>
            ))}
            {found.data.differences.length > MOST && (
              <li>{t("history.andMore", { n: found.data.differences.length - MOST })}</li>
            )}
          </ul>
          <p className="quiet">{t("history.putBackUndo")}</p>
        </>
      )}
    </Confirm>
  );
}
