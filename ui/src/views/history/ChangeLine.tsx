import { Undo2 } from "lucide-react";
import type { Entry } from "../../api/client";
import { t } from "../../words";
import { LongDifference } from "./LongDifference";

type Props = {
  change: Entry["changes"][number];
  action: Entry["action"];
  /** Key of the table. */
  table: string | null;
  /** Puts the old value back, where that is possible. */
  onBack?: () => void;
};

/** Characters from which a text is long enough to show what became different inside it. */
const LONG = 40;

/** One field in an entry: its value before and after, and the rule that made it. */
export function ChangeLine({ change, action, table, onBack }: Props) {
  const made = action === "create" || action === "restore";
  const long = !made && change.before && change.after && Math.max(change.before.length, change.after.length) > LONG;
  return (
    <div className="contents" data-writes={table && change.key ? `${table}.${change.key}` : undefined}>
      <dt className="quiet truncate" title={change.field}>
        {change.field}
      </dt>
      <dd className="group/change min-w-0 whitespace-pre-wrap break-words">
        {long ? (
          <LongDifference before={change.before} after={change.after} />
        ) : (
          <>
            {!made && (
              <>
                <span className={change.before ? "" : "quiet"}>{cut(change.before) || t("history.blank")}</span>
                <span className="quiet"> → </span>
              </>
            )}
            <span className={change.rule ? "stitched" : change.after ? "" : "quiet"} title={change.rule ?? undefined}>
              {cut(change.after) || t("history.blank")}
            </span>
          </>
        )}
        {change.rule && <span className="quiet ml-2 text-xs">{change.rule}</span>}
        {onBack && (
          <button
            type="button"
            className="btn btn-ghost btn-xs ml-1 h-5 opacity-0 focus-visible:opacity-100 group-hover/change:opacity-100"
            aria-label={t("history.putValueBack", { field: change.field, value: change.before || t("history.blank") })}
            title={t("history.putValueBack", { field: change.field, value: change.before || t("history.blank") })}
            onClick={onBack}
          >
            <Undo2 size={12} aria-hidden />
            {t("history.putBack")}
          </button>
        )}
      </dd>
    </div>
  );
}

/** Long texts are cut in the list; the record itself shows them whole. */
const cut = (text: string) => (text.length > 400 ? `${text.slice(0, 399)}…` : text);
