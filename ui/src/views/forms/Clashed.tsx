import type { Entry } from "../../api/client";
import { t } from "../../words";

type Props = { theirs: Entry[]; onCompare: () => void };

/** Says that somebody else changed the record meanwhile; the comparison opens when it is asked for. */
export function Clashed({ theirs, onCompare }: Props) {
  const people = [...new Set(theirs.map((entry) => entry.person))].join(", ");
  return (
    <div id="refusals" tabIndex={-1} className="flex flex-wrap items-center gap-x-4 gap-y-1" role="alert">
      <div className="min-w-0 flex-1 basis-64">
        <p className="font-semibold text-error">{t("form.changedBy", { person: people })}</p>
        <p className="quiet text-xs">{t("form.compareKey")}</p>
      </div>
      <button type="button" className="btn btn-sm" onClick={onCompare}>
        {t("form.compare")}
      </button>
    </div>
  );
}
