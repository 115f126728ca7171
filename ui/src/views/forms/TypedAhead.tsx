import { useSyncExternalStore } from "react";
import { keyQueue } from "../../components/record/keyQueue";
import { t } from "../../words";

const shown = () => JSON.stringify(keyQueue.shown);

/** What was typed and waits for its place: for the server's answer, or for the next record. */
export function TypedAhead() {
  const { held, aside, unplaced } = JSON.parse(
    useSyncExternalStore(keyQueue.subscribe, shown),
  ) as typeof keyQueue.shown;
  return (
    <>
      {(aside || unplaced) !== "" && (
        <p className="flex min-w-0 items-center gap-2 text-sm" role="status">
          <span className="min-w-0 truncate">
            {unplaced ? t("form.unplaced") : t("form.aside")} <span className="font-mono">{unplaced + aside}</span>
          </span>
          <button type="button" className="link shrink-0" onClick={() => keyQueue.drop()}>
            {t("form.dropAside")}
          </button>
        </p>
      )}
      {held !== "" && (
        <p className="typed-ahead min-w-0 truncate text-sm" aria-hidden>
          {t("form.held")} <span className="font-mono">{held}</span>
        </p>
      )}
    </>
  );
}
