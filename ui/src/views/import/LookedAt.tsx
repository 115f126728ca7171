import type { Look } from "../../api/imports";
import { t } from "../../words";

type Props = { look: Look; reading: boolean; onAll: () => void };

/** From how many rows the fields and rules of a table are suggested. */
export function LookedAt({ look, reading, onAll }: Props) {
  return (
    <p className="flex flex-wrap items-baseline gap-x-3 px-4 pt-3 text-xs" role="status">
      {look.whole
        ? t("imports.lookedAtAll", { count: look.rows })
        : t("imports.lookedAt", { looked: look.looked_at, rows: look.rows })}
      {!look.whole && reading && <span className="quiet">{t("imports.lookingAtAll")}</span>}
      {!look.whole && !reading && (
        <button type="button" className="link" onClick={onAll}>
          {t("imports.lookAtAll")}
        </button>
      )}
    </p>
  );
}
